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

      # @param people [Array<PersonPlan>] @param confidence [Float] @return [Hash{Catalogue::Part=>Spares}]
      # In each bag, every bag must last, so each is given the share of confidence that makes all of them last together.
      def self.of(people, confidence: CONFIDENCE)
        uses = people.flat_map { |person| person.needs.map { |need| [need.part, need.count, Loss.probability(need.part, person.attendee.level)] } }
        quantiles = {}
        uses.group_by(&:first).to_h do |part, same|
          each = confidence**(1.0 / same.size)
          bagged = same.sum { |_, count, probability| quantiles[[count, probability, each]] ||= Losses.new(probability => count).quantile(each) }
          together = same.group_by(&:last).transform_values { |alike| alike.sum { |_, count, _| count } }
          [part, new(part: part, needed: same.sum { |_, count, _| count }, shared: Losses.new(together).quantile(confidence), bagged: bagged)]
        end
      end
    end
  end
end
