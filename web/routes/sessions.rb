# frozen_string_literal: true

module Web
  module Routes
    # How a class will go: its settings, its forecast, what would help, and its run sheet.
    module Sessions
      def self.registered(app)
        app.post('/classes/:id/session') do
          form = Presenters::SessionForm.new(studio, params)
          next refuse(id, :session, form.draft) unless form.valid?

          change(id, 'session') { |state| form.apply(state) }
        end
        app.post('/classes/:id/forecast/stop') do
          class_page(id).forecast_entry.stop
          redraw? ? show_class(id) : redirect(to("/classes/#{id}#clock"), 303)
        end
        levers(app)
        run_sheet(app)
      end

      def self.levers(app)
        app.post('/classes/:id/levers') do
          class_page(id).search_levers
          redraw? ? show_class(id) : redirect(to("/classes/#{id}#clock"), 303)
        end
        app.post('/classes/:id/levers/apply') do
          stored = studio.classes.find(id)
          known = Core::Session::Levers.new(studio.plan(stored), studio.calibration).all.select(&:by_itself)
          chosen = text(:levers).split(' ').filter_map { |key| known.find { |lever| lever.key == key } }
          next show_class(id, notice: 'That is no longer possible. Look again for what would help.') if chosen.empty?

          change(id, 'lever') { |state| state.with(workshop: chosen.reduce(state.workshop) { |workshop, lever| lever.apply(workshop) }) }
        end
      end

      def self.run_sheet(app)
        app.get('/classes/:id/run-sheet') do
          page = class_page(id)
          page.forecast_entry.first_answer
          erb(:'pages/run_sheet', layout: :print_layout, locals: { title: 'Run sheet', page: page })
        end
        app.get('/classes/:id.ics') do
          page = class_page(id)
          page.forecast_entry.first_answer
          attachment "class-#{page.id}.ics"
          content_type 'text/calendar', charset: 'utf-8'
          Formats::ClassCalendar.write(page.workshop, page.clock.run_sheet)
        end
      end
      private_class_method :levers, :run_sheet
    end
  end
end
