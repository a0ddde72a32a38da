# frozen_string_literal: true

module Core
  module Materials
    # What is held back so that nobody is short.
    #
    # @param shared in one dish for all
    # @param bagged in each bag, added up
    Spares = Value.define(:part, :needed, :shared, :bagged) do
      # @param mode [Symbol] :shared or :bagged @return [Integer]
      def held(mode)
        mode == :bagged ? bagged : shared
      end
    end

    class Spares
      CONFIDENCE = 0.95

      # The fewest parts with which nothing runs out in this share of classes, all parts taken together; in bags, no bag of any part.
      # @param people [Array<PersonPlan>]
      # @param confidence [Float] between 0 and 1, both exclusive
      # @param learnt [Loss::Learnt]
      # @return [Hash{Catalogue::Part=>Spares}]
      def self.of(people, confidence: CONFIDENCE, learnt: Loss::Learnt.new)
        by_part = bags(people, learnt)
        together = by_part.transform_values { |bags| bags.transform_values { |counts| counts.sum { |count, times| count * times } } }
        shared = enough(together.transform_values { |uses| [[uses, 1]] }, confidence)
        bagged = enough(by_part.transform_values { |bags| each_bag(bags) }, confidence)
        by_part.to_h { |part, _| [part, new(part: part, needed: together[part].values.sum, shared: shared[part], bagged: bagged[part])] }
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

      # @return [Array<(Hash{Float=>Integer}, Integer)>] uses of a bag, and how many bags are like it
      def self.each_bag(bags)
        bags.flat_map { |probability, counts| counts.map { |count, times| [{ probability => count }, times] } }
      end

      # Each dish must last in that share of classes by itself: from there, one spare more where it adds most to the chance for what it
      # costs, until all last together (greedy allocation; exact where chances are log-concave: B. Fox, Management Science 13(3), 1966).
      # @param dishes [Hash{Object=>Array<(Hash{Float=>Integer}, Integer)>}] of each part: uses of a dish, and how many are like it
      # @return [Hash{Object=>Integer}] spares of each part
      def self.enough(dishes, confidence)
        known = Hash.new { |all, uses| all[uses] = Losses.new(uses) }
        held = dishes.flat_map { |part, alike| alike.map { |uses, times| [part, known[uses], times, known[uses].spares(confidence)] } }
        missing = Math.log(confidence) - held.sum { |_, losses, times, number| times * Math.log(losses.lasts(number)) }
        gains = held.map { |_, losses, _, number| gain(losses, number) }
        while missing.positive?
          at = gains.each_index.max_by { |i| gains[i] }
          part, losses, times, number = held[at]
          break unless gains[at].positive?

          missing -= times * gains[at]
          held[at] = [part, losses, times, number + 1]
          gains[at] = gain(losses, number + 1)
        end
        held.group_by(&:first).transform_values { |same| same.sum { |_, _, times, number| times * number } }
      end

      # @return [Float] what one spare more adds to the logarithm of the chance, for each part that it costs
      def self.gain(losses, number)
        Math.log(losses.lasts(number + 1)) - Math.log(losses.lasts(number))
      end
      private_class_method :bags, :each_bag, :enough, :gain
    end
  end
end
