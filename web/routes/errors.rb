# frozen_string_literal: true

module Web
  module Routes
    # What is answered when something cannot be done.
    module Errors
      # What a request that cannot be read raises, wherever it is found out.
      UNREADABLE = [Sinatra::BadRequest,
                    Rack::QueryParser::InvalidParameterError,
                    Rack::QueryParser::ParameterTypeError,
                    Rack::QueryParser::QueryLimitError,
                    Rack::Multipart::MultipartPartLimitError,
                    EOFError].freeze

      def self.registered(app)
        app.not_found {
          Errors.render(self, 404, 'This page is not here', 'It may have been removed. The list of classes shows what there is.')
        }

        app.error(Store::NotFound) do |error|
          Errors.render(self, 404, "There is no such #{error.kind}",
            'It may have been removed. The list of classes shows what there is, and what can be brought back.')
        end
        app.error(Core::Making::InvalidParameters, Core::UnknownKey) do |error|
          Errors.render(self, 422, 'A project here cannot be built any more',
            "#{error.message[0, 400]}. Open it under Projects and change it, or correct the part in the stockroom.")
        end
        app.error(*UNREADABLE) {
          Errors.render(self, 400, 'That could not be read', 'Go back and send it again. If it was a file, save it again as CSV or JSON.')
        }
        app.error(Store::NotSaved) do |error|
          Errors.note(error)
          Errors.render(self, 503, 'The studio could not save that just now',
            'Nothing was changed. Go back and send it again; if it stays so, look whether the disk is full.')
        end
        app.error do |error|
          Errors.note(error)
          Errors.render(self, 500, 'Something went wrong here', 'Nothing that was saved is lost. Go back and try again.')
        end
      end

      # The kind of a fault and its place, never its message: what was typed may stand there.
      def self.note(error)
        place = error.backtrace&.find { |line| line.start_with?(EagerBench::ROOT) && !line.include?('/vendor/') }
        warn "#{error.class} at #{place&.delete_prefix("#{EagerBench::ROOT}/") || 'an unknown place'}"
      end

      def self.render(app, status, heading, advice)
        app.status status
        app.content_type :html
        app.page(:error, title: heading, heading: heading, advice: advice, number: status >= 500 ? app.env['eager_bench.request'] : nil)
      end
    end
  end
end
