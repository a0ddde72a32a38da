# frozen_string_literal: true

module Web
  module Routes
    # The library of designs.
    module Projects
      def self.registered(app)
        app.get('/projects') { page(:projects, title: 'Projects', library: Presenters::Library.new(studio, unit)) }
      end
    end
  end
end
