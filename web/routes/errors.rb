# frozen_string_literal: true

module Web
  module Routes
    # What is answered when something cannot be done.
    module Errors
      def self.registered(app)
        app.not_found { Errors.render(self, 404, 'This page is not here', 'It may have been removed. The bench lists what there is.') }

        app.error(Store::NotFound) do |error|
          Errors.render(self, 404, "There is no such #{error.kind}", 'It may have been removed. The bench lists what there is, and what can be brought back.')
        end
        app.error(Core::Construction::InvalidParameters, Core::UnknownKey) do |error|
          Errors.render(self, 422, 'A project here cannot be built any more', "#{error.message}. Open it under Projects and compose it further, or mend the part in the stockroom.")
        end
        app.error(Sinatra::BadRequest, Rack::QueryParser::InvalidParameterError, Rack::QueryParser::ParameterTypeError, Rack::Multipart::MultipartPartLimitError, EOFError) do
          Errors.render(self, 400, 'That could not be read', 'Go back and send it again. If it was a file, save it anew as CSV or JSON.')
        end
        app.error do
          Errors.render(self, 500, 'Something went wrong here', 'Nothing that was saved is lost. Go back and try again.')
        end
      end

      def self.render(app, status, heading, advice)
        app.status status
        app.content_type :html
        app.page(:error, title: heading, heading: heading, advice: advice)
      end
    end
  end
end
