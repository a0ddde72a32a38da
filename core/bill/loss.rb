# frozen_string_literal: true

module Core
  module Bill
    # How likely one use of a part is lost: dropped, broken, pressed wrong. All from memory until a logbook replaces them.
    module Loss
      BY_KIND = { bead: 0.01, finishing: 0.01, crimp: 0.05, cover: 0.03, clamshell: 0.03, ring: 0.02, cap: 0.01, clasp: 0.003 }.freeze
      OTHERS = 0.005
      BY_LEVEL = { 1 => 2.0, 2 => 1.5, 3 => 1.0, 4 => 0.7, 5 => 0.5 }.freeze

      module_function

      # @param part [Catalogue::Part] @param level [Integer] 1..5
      # @return [Float] probability, 0...1
      def probability(part, level)
        BY_KIND.fetch(part.kind, OTHERS) * BY_LEVEL.fetch(level)
      end
    end
  end
end
