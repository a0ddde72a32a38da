# frozen_string_literal: true

module Core
  module Bill
    # What is held back so that nobody is short. shared: in one dish for all · bagged: in each bag, added up
    Spares = Value.define(:part, :needed, :shared, :bagged) do
      # @param mode [Symbol] :shared or :bagged @return [Integer]
      def held(mode)
        mode == :bagged ? bagged : shared
      end
    end

    class Spares
      CONFIDENCE = 0.95

      # Nothing runs out in this share of classes, all parts taken together: each of the k parts that can be lost must last in the share
      # `confidence ** (1 / k)` (Šidák, Journal of the American Statistical Association 62, 1967); in bags, each bag of it as well.
      # @param people [Array<PersonPlan>] @param confidence [Float] @param learnt [Hash{String=>Float}] see Loss.probability
      # @return [Hash{Catalogue::Part=>Spares}]
      def self.of(people, confidence: CONFIDENCE, learnt: {})
        uses = people.flat_map { |person|
          person.needs.map { |need|
            [need.part, need.count, Loss.probability(need.part, person.attendee.level, learnt)]
          }
        }
        by_part = uses.group_by(&:first)
        each = confidence**(1.0 / [by_part.size, 1].max)
        by_part.to_h { |part, same| [part, of_part(part, same.map { |_, count, probability| { probability => count } }, each)] }
      end

      # @param uses [Array<Hash>] each person's
      def self.of_part(part, uses, confidence)
        together = uses.reduce { |all, one| all.merge(one) { |_, a, b| a + b } }
        bag = confidence**(1.0 / uses.size)
        bagged = uses.tally.sum { |one, times| Losses.new(one).spares(bag) * times }
        new(part: part, needed: uses.sum { |one| one.values.sum }, shared: Losses.new(together).spares(confidence), bagged: bagged)
      end
      private_class_method :of_part
    end
  end
end
