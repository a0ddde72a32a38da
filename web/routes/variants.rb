# frozen_string_literal: true

module Web
  module Routes
    # Versions of a class's project side by side. What is compared stands in the address.
    module Variants
      def self.registered(app)
        app.get('/classes/:id/variants') do
          built(id)
          given = params.select { |name, value| value.is_a?(String) && name.match?(/\A[abc][12]\z/) }
          page(:variants, title: 'Variants side by side',
            page: Presenters::Variants.new(result(id), settings.comparisons.free_stock(id), given, unit))
        end
      end
    end
  end
end
