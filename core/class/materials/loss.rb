# frozen_string_literal: true

module Core
  module Materials
    # How likely one use of a part is lost: dropped, broken, pressed wrong. From memory, until what classes taught takes its place.
    module Loss
      BY_KIND = { bead: 0.01, finishing: 0.01, crimp: 0.05, cover: 0.03, clamshell: 0.03, ring: 0.02, cap: 0.01, clasp: 0.003 }.freeze
      OTHERS = 0.005
      BY_LEVEL = { 1 => 2.0, 2 => 1.5, 3 => 1.0, 4 => 0.7, 5 => 0.5 }.freeze

      module_function

      # The largest share of a part that can be lost, also by what classes teach.
      MOST = 0.9

      # @param kind [Symbol] of part @return [Float] probability at level 3, from memory
      def usual(kind)
        BY_KIND.fetch(kind, OTHERS)
      end

      # What classes showed in place of the usual shares.
      #
      # @param by_kind {kind of part => share of uses that is lost at level 3}
      # @param rejected {part key => share of its lot that is no good}
      Learnt = Value.define(by_kind: {}.freeze, rejected: {}.freeze)

      # @param part [Catalogue::Part] @param level [Integer] 1..5 @param learnt [Learnt]
      # @return [Float] probability that one is lost, or is no good to begin with, 0...1
      def probability(part, level, learnt = Learnt.new)
        lost = learnt.by_kind.fetch(part.kind.to_s) { usual(part.kind) } * BY_LEVEL.fetch(level)
        [1 - ((1 - [lost, MOST].min) * (1 - learnt.rejected.fetch(part.key, part.reject_rate))), MOST].min
      end
    end
  end
end
