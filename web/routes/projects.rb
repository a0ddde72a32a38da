# frozen_string_literal: true

module Web
  module Routes
    # The library of designs, and the way from a design to its composer.
    module Projects
      def self.registered(app)
        app.get('/projects') { page(:projects, title: 'Projects', library: Presenters::Library.new(studio, unit)) }
        app.post('/projects') do
          form = Presenters::ProjectForm.new(studio, params)
          next redirect(to("/drafts/#{studio.drafts.begin(form.design)}"), 303) if form.valid?

          halt 422, page(:new_project, title: 'New project', form: form)
        end
        app.get('/projects/new') { page(:new_project, title: 'New project', form: Presenters::ProjectForm.blank(studio)) }
        app.post('/projects/:key/compose') { redirect to("/drafts/#{studio.drafts.begin(studio.projects.find(params['key']).design)}"), 303 }
      end
    end
  end
end
