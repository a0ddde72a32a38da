# frozen_string_literal: true

require 'json'

module Web
  module Routes
    # The quick check at the table. The whole question is in the address.
    module Gauge
      def self.registered(app)
        app.get('/gauge.json') do
          content_type :json
          question = Formats::GaugeQuestion.new(params, studio.catalogue.table)
          halt 422, JSON.pretty_generate('errors' => question.errors) if question.errors.any?

          JSON.pretty_generate(question.to_data)
        end
        app.get('/gauge') do
          presenter = Presenters::Gauge.new(studio, settings.fragments, params, unit: unit) { |name, page| partial(:"gauge_#{name}", page: page) }
          next chunks(changed_sections(presenter)) if redraw?

          head, tail = page(:gauge, title: 'Gauge', page: presenter).split(Helpers::CONTENT)
          [head, *chunks(presenter.sections), tail]
        end
      end
    end
  end
end
