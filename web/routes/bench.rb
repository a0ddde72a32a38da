# frozen_string_literal: true

module Web
  module Routes
    # The coming classes, each with what is still in its way.
    module Bench
      def self.registered(app)
        app.get('/') { page(:bench, title: 'Bench', bench: Presenters::Bench.new(studio, settings.forecasts)) }
        app.get('/keys') { page(:keys, title: 'Keys') }
      end
    end
  end
end
