# frozen_string_literal: true

require 'json'

module Web
  module Routes
    # Classes and plans in and out as open files.
    module Exchange
      # What these routes share.
      module Showing
        # @return [Hash] what a class file says of the stock: what is free to this class, so that it plans as the page does
        def stock_for(found)
          shelf = studio.ledger.stock
          supply = found.supply if found.plan
          supply ? { stock: supply.free_of(shelf), free_to_class: true } : { stock: shelf }
        end
      end

      def self.registered(app)
        app.helpers Showing
        app.get('/classes/:id.json') do
          wait_for_forecast(id)
          found = result(id)
          content_type :json
          halt 422,
            JSON.pretty_generate('errors' => [{ 'code' => found.problem.code, 'detail' => found.problem.detail }]) if found.plan.nil?

          JSON.pretty_generate(Formats::PlanDocument.write(found))
        end
        app.get('/classes/:id/file') do
          found = result(id)
          attachment "#{Presenters::FileName.of('class', found.workshop)}.json", :attachment
          content_type :json
          JSON.pretty_generate(Formats::ClassDocument.write(found.inputs, market: library.market, events: found.live_events,
            **stock_for(found)))
        end
        app.get('/import') { page(:import, title: 'Import a class', errors: []) }
        app.post('/import') do
          content = Formats::ClassDocument.read(uploaded(:file, Formats::ClassDocument::LARGEST_BYTES) || text(:document))
          redirect to(once { "/classes/#{studio.import(content.inputs, content.events)}" }), 303
        rescue Formats::BadDocument => e
          halt 422, page(:import, title: 'Import a class', errors: e.errors)
        end
      end
    end
  end
end
