# frozen_string_literal: true

module Web
  module Routes
    # Whether what is left of a line reaches. The whole question is in the address.
    module Reaches
      def self.registered(app)
        app.get('/classes/:id/reach') do
          page = Presenters::Reach.new(result(id), params, unit)
          show_sections([fresh_section('reach', :reach, page: page)], title: "Does it reach? #{page.title}", kind: 'wide')
        end
      end
    end
  end
end
