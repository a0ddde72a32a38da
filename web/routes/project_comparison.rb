# frozen_string_literal: true

module Web
  module Routes
    # Choosing a project for the people of a class: every project, with what speaks for it and against it.
    module ProjectComparison
      def self.registered(app)
        app.get('/classes/:id/projects') do
          settings.comparisons.ask(id) unless polled?
          shown = Presenters::ProjectChoice.new(result(id), settings.comparisons.state(id), params, unit)
          show_sections([fresh_section('choosing', :choosing, page: shown)], title: "Projects for #{shown.title}", kind: 'wide')
        end
      end
    end
  end
end
