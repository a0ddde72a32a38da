# frozen_string_literal: true

module Web
  module Routes
    # The coming classes, each with what is still in its way.
    module Home
      def self.registered(app)
        app.get('/') do
          classes = Presenters::Classes.new(settings.results, studio, settings.fragments, unit) { |row| partial(:class_row, row: row) }
          classes.ask_forecasts(settings.forecasts) unless polled?
          show_sections([fresh_section('classes', classes: classes)], title: 'Classes', kind: 'wide')
        end
        app.get('/classes/held') do
          held = Presenters::Held.new(studio, library, moment.today, text(:q), text(:page))
          page(:held, title: 'Held classes', held: held)
        end
        app.get('/keys') { page(:keys, title: 'Keys') }
      end
    end
  end
end
