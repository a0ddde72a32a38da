# frozen_string_literal: true

require 'json'

module Web
  module Routes
    # The fit check at the table. The whole question is in the address.
    module FitCheck
      def self.registered(app)
        app.get('/fit-check.json') do
          content_type :json
          question = Formats::GaugeQuestion.new(params, library.table)
          halt 422, JSON.pretty_generate('errors' => question.errors) if question.errors.any?

          JSON.pretty_generate(question.to_data)
        end
        app.get('/fit-check') do
          presenter = Presenters::FitCheck.new(library, params, unit: unit)
          show_sections(Presenters::FitCheck::SECTIONS.map { |name|
            fresh_section("gauge-#{name}", :"gauge_#{name}", page: presenter)
          }, title: 'Fit check', kind: 'class-page gauge')
        end
        { '/gauge' => '/fit-check', '/gauge.json' => '/fit-check.json' }.each do |old, address|
          app.get(old) { redirect to("#{address}#{"?#{request.query_string}" unless request.query_string.empty?}"), 301 }
        end
      end
    end
  end
end
