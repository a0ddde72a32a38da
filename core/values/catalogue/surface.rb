# frozen_string_literal: true

module Core
  module Catalogue
    # How a part or line catches light, for pictures of what a learner will hold. Stated, or as its material usually looks (common
    # practice, no source).
    module Surface
      KINDS = %i[clear glass pearl faceted bright matt stone wood shell resin horn leather twisted].freeze
      METALS = ['brass', 'steel', 'copper', 'silver', 'bronze', 'nickel silver', 'gold', 'aluminium', 'plated', 'base metal'].freeze
      BY_MATERIAL = { 'glass' => :glass,
                      'pearl' => :pearl,
                      'stone' => :stone,
                      'wood' => :wood,
                      'shell' => :shell,
                      'resin' => :resin,
                      'horn' => :horn,
                      'leather' => :leather }.merge(METALS.to_h { |metal| [metal, :bright] }).freeze
      BY_LINE = { cord: :twisted,
                  rope: :twisted,
                  thread: :twisted,
                  tape: :matt,
                  elastic: :clear }.freeze

      module_function

      # @param item [Part, Line] @return [Symbol] one of KINDS
      def of(item)
        return BY_MATERIAL['leather'] if item.material == 'leather'
        return BY_LINE.fetch(item.kind, :bright) if item.is_a?(Line)

        item.surface || BY_MATERIAL.fetch(item.material, :matt)
      end
    end
  end
end
