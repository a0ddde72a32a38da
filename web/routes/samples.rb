# frozen_string_literal: true

module Web
  module Routes
    # A hand-made sample of a project, measured; what it shows is kept with the project as a new version.
    module Samples
      def self.registered(app)
        app.get('/projects/:key/sample') { show_sample(sample_page) }
        app.get('/projects/:key/sample/sheet') do
          form = sample_page
          erb(:'pages/sample_sheet', layout: :print_layout, locals: { title: say('sample.sheet'), print: form, page: form })
        end
        app.post('/projects/:key/sample') do
          form = sample_page(asked: true)
          next status(422) && show_sample(form) unless form.valid?

          keep_sampled(form, form.with_sample, :kept)
        end
        app.post('/projects/:key/sample/remove') do
          form = sample_page
          keep_sampled(form, form.without(text(:number).to_i), :taken_out)
        end
        app.helpers Showing
      end

      # What its pages share.
      module Showing
        def sample_page(asked: false)
          Presenters::Sample.new(library, studio.projects.find(params['key']), params, unit, asked: asked)
        end

        def show_sample(form)
          page(:sample, title: say('sample.title', name: form.design.name), page: form)
        end

        # @param told [Symbol] key of what is said of it
        def keep_sampled(form, design, told)
          saved = studio.projects.save(design)
          flash(say("sample.#{told}", name: saved.design.name, version: saved.design.version))
          redirect to("/projects/#{saved.design.key}/sample?component=#{form.component}"), 303
        end
      end
    end
  end
end
