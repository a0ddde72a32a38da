# frozen_string_literal: true

module Web
  module Routes
    # The library of designs, and the way from a design to its composer.
    module Projects
      def self.registered(app)
        app.get('/projects') do
          settings.project_times.ask(library, moment.today) unless polled?
          found = Presenters::Library.new(library, settings.project_times.known(library), unit, settings.drawn,
            Presenters::Library::Filter.new(params))
          next show_sections(found.rows.map { |row| time_section(found, row) }, title: 'Projects', kind: 'wide') if redraw?

          page(:projects, title: 'Projects', library: found, drafts: studio.drafts.all)
        end
        app.post('/projects') do
          form = Presenters::ProjectForm.new(studio, params)
          halt 422, page(:new_project, title: 'New project', form: form) unless form.valid?

          redirect to(once { "/drafts/#{studio.drafts.begin(form.design)}" }), 303
        end
        app.get('/projects/new') { page(:new_project, title: 'New project', form: Presenters::ProjectForm.blank(studio)) }
        app.post('/projects/:key/compose') {
          redirect to(once {
            "/drafts/#{studio.drafts.begin(studio.projects.find(params['key']).design)}"
          }), 303
        }
        app.helpers Showing
      end

      # The time of each design is a section of its own, so that it can be filled in as it is worked out.
      module Showing
        # @return [Fragments::Section]
        def time_section(found, row)
          time = found.time(row.design)
          fresh_section(time.name, :project_time, time: time)
        end
      end
    end
  end
end
