# frozen_string_literal: true

module Web
  module Routes
    # The library of designs, and the way from a design to its composer.
    module Projects
      def self.registered(app)
        app.helpers Showing
        app.get('/projects') do
          library = Presenters::Library.new(studio, settings, unit)
          sections = library.times { |time| partial(:project_time, time: time) }
          next chunks(unknown(sections)) if redraw?

          whole = page(:projects, title: 'Projects', library: library)
          library.filled(whole, sections)
        end
        app.post('/projects') do
          form = Presenters::ProjectForm.new(studio, params)
          next redirect(to("/drafts/#{studio.drafts.begin(form.design)}"), 303) if form.valid?

          halt 422, page(:new_project, title: 'New project', form: form)
        end
        app.get('/projects/new') { page(:new_project, title: 'New project', form: Presenters::ProjectForm.blank(studio)) }
        app.post('/projects/:key/compose') { redirect to("/drafts/#{studio.drafts.begin(studio.projects.find(params['key']).design)}"), 303 }
      end

      # The times of the designs are sections of their own, so that they can be filled in as they are worked out.
      module Showing
        def unknown(sections)
          known = known_digests
          sections.reject { |section| known[section.name] == section.digest }
        end
      end
    end
  end
end
