# frozen_string_literal: true

require 'json'

module Web
  module Routes
    # Classes and plans in and out as open files.
    module Exchange
      def self.registered(app)
        app.get('/classes/:id.json') do
          content_type :json
          plan = studio.plan(studio.classes.find(id))
          JSON.pretty_generate(Formats::PlanDocument.write(plan, Core::Session::Forecast.for(plan, studio.calibration)))
        end
        app.get('/classes/:id/file') do
          attachment "class-#{id}.json", :attachment
          content_type :json
          JSON.pretty_generate(Formats::ClassDocument.write(studio.inputs(studio.classes.find(id))))
        end
        app.get('/import') { page(:import, title: 'Load a class file', errors: []) }
        app.post('/import') do
          upload = params['file']
          bytes = upload.is_a?(Hash) && upload['tempfile'] ? upload['tempfile'].read : text(:document)
          redirect to("/classes/#{studio.import(Formats::ClassDocument.read(bytes))}"), 303
        rescue Formats::BadDocument => e
          halt 422, page(:import, title: 'Load a class file', errors: e.errors, document: text(:document))
        end
      end
    end
  end
end
