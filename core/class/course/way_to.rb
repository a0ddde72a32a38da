# frozen_string_literal: true

module Core
  module Course
    # The evenings that lead a group to a goal: the fewest new techniques on each, and only such as stand on what was taught before. Costs
    # are those of Sequence, and EVENING for each evening; the best of a beam over which projects were made.
    class WayTo
      # An evening more weighs as much as one new technique (from memory).
      EVENING = 1
      BEAM = 200

      # @param lessons [Array<Lesson>] to choose from @param techniques [Hash{String=>Catalogue::Technique}]
      # @param known [Array<String>] keys of techniques that the group knows
      def initialize(lessons, techniques, known)
        @lessons = lessons
        @known = known
        @ladder = Steps::Ladder.new(techniques)
        @judge = Sequence.new([], techniques, known)
      end

      # @param goals [Array<Lesson>] any of which may be the last @param evenings [Range] how many there may be
      # @return [Array<Lesson>, nil] the last is a goal; nil where there is no such way
      def best(goals, evenings)
        useful = useful(goals)
        ways = [[[], 0]]
        found = []
        evenings.end.times do |before|
          found += ways.flat_map { |order, cost| goals.map { |goal| extended(order, cost, goal) } } if before + 1 >= evenings.begin
          ways = longer(ways, useful)
        end
        found.min_by { |way| rank(way) }&.first
      end

      private

      def extended(order, cost, lesson)
        [[*order, lesson], cost + EVENING + @judge.evening(lesson, order)]
      end

      # Names decide between ways that cost the same, so that the answer is always the same.
      def rank((order, cost))
        [cost, order.size, order.map(&:name)]
      end

      # Those that teach something a goal needs, itself or what that stands on.
      def useful(goals)
        wanted = goals.flat_map(&:techniques).flat_map { |key| @ladder.way_to(key).to_a }.uniq - @known
        (@lessons - goals).select { |lesson| lesson.techniques.intersect?(wanted) }
      end

      # Of ways over the same projects the cheapest.
      def longer(ways, useful)
        found = ways.flat_map { |order, cost| (useful - order).map { |lesson| extended(order, cost, lesson) } }
        cheapest = found.group_by { |order, _| order.map(&:key).sort }.each_value.map { |same| same.min_by { |way| rank(way) } }
        cheapest.min_by(BEAM) { |way| rank(way) }
      end
    end
  end
end
