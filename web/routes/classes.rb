# frozen_string_literal: true

module Web
  module Routes
    # Making, showing, changing and removing a class.
    module Classes
      def self.registered(app)
        app.helpers Editing
        making(app)
        showing(app)
        changing(app)
        removing(app)
      end

      def self.showing(app)
        number = { id: /\d+/ }
        places = { **number, place: Presenters::ClassPage::PLACES.keys }
        app.get('/classes/:id', mustermann_opts: { capture: number }) { open_class(id) }
        { 'pieces' => 'Pieces', 'choices' => 'Ways to work', 'checks' => 'All checks' }.each do |section, title|
          app.get("/classes/:id/#{section}") { show_alone(section, title) }
        end
        app.get('/classes/:id/:place', mustermann_opts: { capture: places }) { open_class(id) }
        app.helpers Opening
      end

      # Coming to a class's page asks for its forecast; a look at how far it is does not.
      module Opening
        # A section by itself stands under the head of the class; within its fold it stands alone.
        def show_alone(section, title)
          built(id)
          page = class_page(id)
          show_sections([*('strip' unless redraw?), section].map { |name| page.alone(name) }, title: "#{title}: #{page.title}",
            kind: 'class-page')
        end

        def open_class(id)
          ask_forecast(id) unless polled?
          show_class(id)
        end
      end

      def self.making(app)
        app.get('/classes/new') { page(:new_class, title: 'New class', form: Presenters::NewClassForm.blank(studio)) }
        app.post('/classes') do
          form = Presenters::NewClassForm.new(studio, params)
          halt 422, page(:new_class, title: 'New class', form: form) unless form.valid?

          address = once { "/classes/#{studio.classes.create(form.state)}" }
          id = address[/\d+\z/].to_i
          next page(:paste, title: 'People',
            list: Presenters::PeopleList.new(studio.classes.find(id), params)) unless form.list.strip.empty?

          redirect to(form.by_group? ? "#{address}/projects" : address), 303
        end
      end

      def self.changing(app)
        app.post('/classes/:id/settings') do
          form = Presenters::ClassForm.new(params)
          next refuse(id, :settings, form.draft) unless form.valid?

          change(id, 'settings') { |state| form.apply(state) }
        end
        app.post('/classes/:id/piece') do
          form = Presenters::PieceForm.new(studio, params)
          change(id, 'piece') { |state| form.apply(state) }
        end
        app.post('/classes/:id/supply') do
          form = Presenters::SupplyForm.new(studio, params)
          next refuse(id, text(:form).to_sym, form.draft) unless form.valid?

          change(id, 'supply') { |state| form.apply(state) }
        end
        app.post('/classes/:id/teaching') do
          form = Presenters::TeachingForm.new(params, built(id).order.steps, studio.catalogue.table.techniques)
          next refuse(id, :teaching, form.draft) unless form.valid?

          change(id, 'teaching') { |state| form.apply(state) }
        end
        app.post('/classes/:id/steps') do
          order = built(id).order
          keys = text(:reset) == '1' ? [] : order.moved(text(:step), text(:by) == '-1' ? -1 : 1)
          change(id, 'steps') { |state| state.with(workshop: state.workshop.with(teaching: state.workshop.teaching.with(order: keys))) }
        end
        app.post('/classes/:id/cure') do
          cure = Presenters::CureForm.new(built(id), studio, params)
          next show_class(id, notice: 'That is no longer needed.') unless cure.found?

          change(id, 'cure') { |state| cure.apply(state) }
        end
        app.post('/classes/:id/way') do
          way = Presenters::WayForm.new(result(id), studio, params)
          next show_class(id, notice: 'That way cannot be chosen any more.') unless way.found?

          change(id, 'way') { |state| way.apply(state) }
        end
        app.post('/classes/:id/way/back') do
          change(id, 'way') do |state|
            teaching = state.workshop.teaching
            state.with(workshop: state.workshop.with(teaching: teaching.with(ways: teaching.ways - [text(:way)])))
          end
        end
        app.post('/classes/:id/undo') { step_back(id) { studio.classes.undo(id) } }
        app.post('/classes/:id/redo') { step_back(id) { studio.classes.redo(id) } }
        app.helpers Built
      end

      # The plan of a class that can be built.
      module Built
        def built(id)
          result(id).plan || raise(Store::NotFound.new(:plan, id))
        end
      end

      def self.removing(app)
        app.post('/classes/:id/remove') do
          title = studio.classes.title(id)
          studio.classes.remove(id)
          [settings.forecasts, settings.searches, settings.comparisons, settings.live_forecasts].each { |work| work.drop(id) }
          flash("“#{title}” is removed.", undo: "/classes/#{id}/restore")
          redirect to('/'), 303
        end
        app.post('/classes/:id/restore') do
          studio.classes.restore(id)
          redirect to("/classes/#{id}"), 303
        end
      end
      private_class_method :showing, :making, :changing, :removing
    end
  end
end
