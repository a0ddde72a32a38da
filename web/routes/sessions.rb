# frozen_string_literal: true

module Web
  module Routes
    # How a class will go: its settings, its forecast, what would help, and its run sheet.
    module Sessions
      # A print or a file waits so long for a forecast; then it says that it is still being worked out.
      WAIT_SECONDS = 3

      def self.registered(app)
        app.helpers Waiting
        app.post('/classes/:id/session') do
          form = Presenters::SessionForm.new(studio, params, result(id).workshop.minutes)
          next refuse(id, :session, form.draft) unless form.valid?

          change(id, 'session') { |state| form.apply(state) }
        end
        app.post('/classes/:id/forecast') do
          ask_forecast(id)
          redraw? ? show_class(id) : redirect(to(class_address(id, 'clock')), 303)
        end
        app.post('/classes/:id/forecast/stop') do
          settings.forecasts.stop(result(id).model)
          redraw? ? show_class(id) : redirect(to(class_address(id, 'clock')), 303)
        end
        levers(app)
        run_sheet(app)
      end

      def self.levers(app)
        app.post('/classes/:id/levers') do
          found = result(id)
          settings.searches.ask(id, found.digest(:plan), found.inputs, seat: found.seat_costs&.price&.minor.to_i) if found.plan
          redraw? ? show_class(id) : redirect(to(class_address(id, 'clock')), 303)
        end
        app.post('/classes/:id/levers/stop') do
          settings.searches.drop(id)
          redraw? ? show_class(id) : redirect(to(class_address(id, 'clock')), 303)
        end
        app.post('/classes/:id/levers/apply') do
          found = result(id)
          known = found.plan ? Core::Levers::Kinds.offers(found.plan, found.library.calibration).select(&:by_itself?) : []
          chosen = text(:levers).split.filter_map { |key| known.find { |lever| lever.key == key } }
          next show_class(id, notice: 'That is no longer possible. Look again for what would help.') if chosen.empty?

          change(id, 'lever') { |state| state.with(workshop: chosen.reduce(state.workshop) { |workshop, lever| lever.apply(workshop) }) }
        end
      end

      def self.run_sheet(app)
        app.get('/classes/:id/run-sheet') do
          wait_for_forecast(id)
          show_print(id, :run_sheet, 'Run sheet')
        end
        app.get('/classes/:id.ics') do
          wait_for_forecast(id)
          found = result(id)
          raise Store::NotFound.new(:calendar, id) if found.plan.nil?

          attachment "#{Presenters::FileName.of('calendar', found.workshop)}.ics"
          content_type 'text/calendar', charset: 'utf-8'
          lines = found.forecast ? Core::Session::RunSheet.new(found.plan, found.forecast, found.library.calibration).lines : []
          Formats::ClassCalendar.write(found.workshop, lines)
        end
      end

      # A bounded wait for what prints and files tell.
      module Waiting
        # Waits for all runs, since what is printed or exported is to agree with what a page shows in the end.
        def wait_for_forecast(id)
          found = result(id)
          settings.forecasts.ask(id, found.model)&.wait(WAIT_SECONDS) if found.plan
        end
      end
      private_class_method :levers, :run_sheet
    end
  end
end
