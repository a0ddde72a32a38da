# frozen_string_literal: true

module Core
  module Steps
    # The steps of a piece in the order in which a class works them.
    #
    # @param steps [Making::StepUse]
    # @param exact whether no better order exists, else found by beam search
    # @param reasons [Reason], one a step
    # @param cost Cost
    # @param found Cost of the best order, for a hand-made one
    # @param broken [(StepUse, StepUse)] that a hand-made order turned round: the first should come before the second
    StepOrder = Value.define(:steps, :exact, :reasons, :cost, found: nil, broken: [].freeze) do
      def by_hand?
        !found.nil?
      end

      # @param key [String] @param by [Integer] places, negative for earlier
      # @return [Array<String>] step keys with this one moved; as they are when it cannot be
      def moved(key, by)
        keys = steps.map(&:key)
        from = keys.index(key) or return keys
        keys.insert((from + by).clamp(0, keys.size - 1), keys.delete_at(from))
      end

      # @return [Hash{Symbol=>Integer}] what a hand-made order costs beyond the best; only what differs
      def beyond
        found ? cost.beyond(found) : {}
      end
    end

    class StepOrder
      # Why a step stands where it does.
      #
      # @param code wording key
      # @param step another that it is about
      Reason = Value.define(:code, step: nil)

      # What an order costs, in points of what it makes harder (weights from memory).
      #
      # @param harder_first harder before easier
      # @param late the hardest in the last fifth
      # @param changes of tools
      # @param moved from one component to another
      # @param hurried right after glue that must dry
      # @param against better done the other way round
      # @param misplaced against the school that was chosen, where it is not gentle first
      Cost = Value.define(:harder_first, :late, :changes, :hurried, :against, moved: 0, misplaced: 0) do
        # @return [Hash{Symbol=>Integer}] how much more each is than in another order; only what differs
        def beyond(other)
          to_h.to_h { |name, value| [name, value - other.public_send(name)] }.reject { |_, difference| difference.zero? }
        end
      end

      # Steps that wait for each other. cycle: [String] their keys
      class Cycle < Error
        attr_reader :cycle

        def initialize(cycle)
          @cycle = cycle
          super("these steps each wait for another: #{cycle.join(', ')}")
        end
      end

      # @param steps [Array<Making::StepUse>] @param table [Catalogue::Table] @param by_hand [Array<String>] keys in the order wanted
      # @param minutes [#call, nil] step => minutes that it takes the class, on average; nil takes those of an experienced maker
      # @param school [Symbol] one of those of TeachingSettings
      # @return [StepOrder] @raise [Cycle] @raise [UnknownKey] for a technique the table lacks
      def self.of(steps, table, by_hand: [], minutes: nil, school: :gentle)
        search = OrderSearch.new(OrderRules.new(steps, table, minutes, school: school))
        by_hand.empty? ? search.best : search.by_hand(by_hand)
      end
    end
  end
end
