# frozen_string_literal: true

module Core
  module Course
    # Puts projects in an order in which each evening brings few new techniques, and only such as stand on what was taught before.
    #
    # Cost of an evening: the square of the number of its new techniques, so that they spread, and LEAP for each that stands on something
    # not taught (weights from memory). Exact by dynamic programming over what was taught up to EXACT projects (Held and Karp, Journal of
    # the Society for Industrial and Applied Mathematics 10(1), 1962, for the form); a beam of the best beyond.
    class Sequence
      LEAP = 20
      EXACT = 12
      BEAM = 300

      attr_reader :order, :cost

      # @param lessons [Array<Lesson>] @param techniques [Hash{String=>Catalogue::Technique}] @param known [Array<String>] to the group
      def initialize(lessons, techniques, known)
        @lessons = lessons
        @techniques = techniques
        @known = known
        @order, @cost = best
        freeze
      end

      # @return [Boolean] whether no other order costs less
      def proven?
        @lessons.size <= EXACT
      end

      # @param order [Array<Lesson>] one of one's own @return [Integer] what it costs
      def cost_of(order)
        order.each_index.sum { |i| step(order[i], taught(order.first(i))) }
      end

      # @param lesson [Lesson] @param before [Array<Lesson>] @return [Array<String>] its techniques that are new then
      def fresh(lesson, before)
        lesson.techniques - taught(before)
      end

      # @return [Array<(String, String)>] new techniques with what each stands on that was not taught
      def wanting(lesson, before)
        have = taught(before) | lesson.techniques
        fresh(lesson, before).flat_map { |key| (needed(key) - have).map { |missing| [key, missing] } }
      end

      # @param before [Array<Lesson>] made before it @return [Integer] what this evening costs then
      def evening(lesson, before)
        step(lesson, taught(before))
      end

      private

      def taught(lessons)
        lessons.flat_map(&:techniques) | @known
      end

      def needed(key)
        @techniques[key]&.prerequisites || []
      end

      def step(lesson, have)
        fresh = lesson.techniques - have
        (fresh.size**2) + (LEAP * fresh.sum { |key| (needed(key) - have - lesson.techniques).size })
      end

      # Each set of lessons with the cheapest way to have taught them; sets of one size from those one smaller.
      # @return [(Array<Lesson>, Integer)]
      def best
        ways = { 0 => [[], 0] }
        @lessons.size.times do
          longer = {}
          ways.each { |set, (order, cost)| extend_way(longer, set, order, cost) }
          ways = proven? ? longer : longer.min_by(BEAM) { |_, (_, cost)| cost }.to_h
        end
        ways.values.first
      end

      def extend_way(longer, set, order, cost)
        have = taught(order)
        @lessons.each_with_index do |lesson, i|
          next if set[i] == 1

          known = longer[set | (1 << i)]
          sum = cost + step(lesson, have)
          longer[set | (1 << i)] = [[*order, lesson], sum] if known.nil? || sum < known.last
        end
      end
    end
  end
end
