# frozen_string_literal: true

module Core
  module Supply
    # How many more pieces of a class's design the shelf makes at one size.
    #
    # @param measure of the body
    # @param pieces how many
    # @param first_out the parts or lines that are too few for one more
    Leftovers = Value.define(:measure, :pieces, :first_out)

    class Leftovers
      # More than anyone makes at once is not told apart.
      MOST = 200

      # @param plan [Plan] @param stock [Stock] that no class waits for
      # @return [Array<Leftovers>] at the smallest, the middle and the largest size of its people; empty where nobody was measured
      def self.of(plan, stock)
        sized = plan.people.select(&:fitted?).reject(&:assumed).sort_by(&:measure)
        [sized.first, sized[sized.size / 2], sized.last].compact.uniq(&:measure).map { |person| for_one(person, stock) }
      end

      def self.for_one(person, stock)
        most = person.needs.to_h { |need| [need.part, stock.part(need.part.key) / need.count] }
          .merge(person.cuts.group_by(&:line).to_h { |line, cuts| [line, sets(cuts, stock.bars(line.key))] })
        pieces = [*most.values, MOST].min
        new(measure: person.measure, pieces: pieces, first_out: pieces == MOST ? [] : most.select { |_, number| number == pieces }.keys)
      end

      # @param cuts [Array<Cutting::CutNeed>] of one line for one piece @param bars [Hash{Measure::Length=>Integer}]
      # @return [Integer] for how many pieces they can be cut from these bars
      def self.sets(cuts, bars)
        total = Measure::Length.sum(cuts.map(&:total))
        there = Measure::Length.sum(bars.map { |length, count| length * count })
        most = [(there / total).floor, MOST].min
        (0..most).bsearch { |number| number == most || !cut?(cuts, number + 1, bars) }
      end

      def self.cut?(cuts, number, bars)
        wanted = cuts.flat_map { |cut| [Cutting::WantedCut.new(owner: '', length: cut.length)] * (cut.count * number) }
        plan = Cutting::Reels.plan(wanted, [], on_hand: bars)
        plan.unplaced.empty? && plan.too_long.empty?
      end
      private_class_method :for_one, :sets, :cut?
    end
  end
end
