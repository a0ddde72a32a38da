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
        by_part = bags(people, learnt)
        each = confidence**(1.0 / [by_part.size, 1].max)
        # Many bags hold as many of something that is lost as easily.
        enough = Hash.new { |known, (uses, share)| known[[uses, share]] = Losses.new(uses).spares(share) }
        by_part.to_h { |part, bags| [part, of_part(part, bags, each, enough)] }
      end

      # @return [Hash{Catalogue::Part=>Hash{Float=>Hash{Integer=>Integer}}}] of each part: by the probability to lose one, how many bags
      #   hold so many
      def self.bags(people, learnt)
        found = Hash.new { |parts, part| parts[part] = {} }
        people.group_by { |person| person.attendee.level }.each do |level, same|
          needs = same.flat_map(&:needs).group_by(&:part)
          needs.each do |part, each|
            found[part].merge!(Loss.probability(part, level, learnt) => each.map(&:count).tally) do |_, some, more|
              some.merge(more) { |_, times, again| times + again }
            end
          end
        end
        found
      end

      # @param enough [Hash] (uses, confidence) to spares
      def self.of_part(part, bags, confidence, enough)
        together = bags.transform_values { |counts| counts.sum { |count, times| count * times } }
        bag = confidence**(1.0 / bags.values.sum { |counts| counts.values.sum })
        bagged = bags.sum do |probability, counts|
          counts.sum { |count, times| enough[[{ probability => count }, bag]] * times }
        end
        new(part: part, needed: together.values.sum, shared: enough[[together, confidence]], bagged: bagged)
      end
      private_class_method :bags, :of_part
    end
  end
end
