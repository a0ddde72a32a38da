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
        by_part = Hash.new { |parts, part| parts[part] = [] }
        lost = Hash.new { |parts, part|
          parts[part] = Hash.new { |levels, level| levels[level] = Loss.probability(part, level, learnt) }
        }.compare_by_identity
        people.each do |person|
          person.needs.each { |need| by_part[need.part] << [lost[need.part][person.attendee.level], need.count] }
        end
        each = confidence**(1.0 / [by_part.size, 1].max)
        # Many bags hold as many of something that is lost as easily.
        enough = Hash.new { |known, (uses, share)| known[[uses, share]] = Losses.new(uses).spares(share) }
        by_part.to_h { |part, uses| [part, of_part(part, uses, each, enough)] }
      end

      # @param uses [Array<(Float, Integer)>] each person's: probability to lose one, and how many @param enough [Hash] (uses, confidence)
      #   to spares
      def self.of_part(part, uses, confidence, enough)
        together = uses.each_with_object(Hash.new(0)) { |(probability, count), all| all[probability] += count }
        bag = confidence**(1.0 / uses.size)
        new(part: part, needed: uses.sum(&:last), shared: enough[[together, confidence]],
          bagged: uses.tally.sum { |(probability, count), times| enough[[{ probability => count }, bag]] * times })
      end
      private_class_method :of_part
    end
  end
end
