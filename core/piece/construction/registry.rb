# frozen_string_literal: true

module Core
  module Construction
    # Every construction by its key. A new one is one file, one spec and one line here.
    module Registry
      ALL = [Strung, TwoHole, Stretch, MemoryCoil, Stations, TwistedStrands, KnottedCord, BeadedFlower, Findings,
             WireLink, Linked, Chain, Coil, JigForm, Framed, WireBail, OwnWork,
             FlowerChain, DiscBraid, TwistedVine, LoopedRope, Spray].to_h { |construction|
        [construction.key, construction]
      }.freeze

      module_function

      # @raise [UnknownKey]
      def fetch(key)
        ALL.fetch(key) { raise UnknownKey.new(:construction, key, ALL.keys) }
      end

      def keys
        ALL.keys
      end

      # @return [Array<Catalogue::Skill>] that constructions bring along
      def techniques
        ALL.each_value.flat_map(&:techniques).uniq(&:key)
      end
    end
  end
end
