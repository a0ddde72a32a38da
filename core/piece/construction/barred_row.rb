# frozen_string_literal: true

module Core
  module Construction
    # The parts of one of several rows that are held apart by bars, in order: bars stand in the pattern, or divide the row into sections
    # alike from both sides. A bar lies across all rows.
    class BarredRow
      # @param pattern [Pattern] @param centre [Pattern] once in the middle, where it is mirrored
      # @param bar [Catalogue::Part, nil] between sections @param bars [Integer] @param lip [Catalogue::Part, nil] on both sides of each
      def initialize(pattern, centre:, mirror:, bar:, bars:, lip:)
        @pattern = pattern
        @centre = centre
        @mirror = mirror
        @bar = bar
        @bars = bars
        @lip = lip
      end

      # @return [Integer] units that must be added at once to keep both sides alike: an odd number of sections has a middle one that takes
      #   a single unit
      def step_units
        return 2 if @mirror

        sections.even? ? 2 : 1
      end

      # @return [Measure::Length] of all that does not repeat
      def fixed_length
        (@pattern.fixed_length * halves) + @centre.fixed_length + bar_length
      end

      # @return [Measure::Length] of the bars between sections, with the small beads beside them
      def bar_length
        @bars.zero? ? Measure::Length::ZERO : (@bar.along + (@lip ? @lip.along * 2 : Measure::Length::ZERO)) * @bars
      end

      # @return [Array<(Catalogue::Part, Symbol)>] parts with their roles: :bead, :lip or :bar
      def parts(repeats)
        return mirrored(repeats) if @mirror

        units(repeats).each_with_index.map { |number, i|
          section = tagged(@pattern.expand(number))
          i < sections / 2.0 ? section : section.reverse
        }.reduce { |all, one| all + at_bar + one }
      end

      # @return [Array<Catalogue::Part>] of one row from its middle to one end, the middle one first
      def outward(repeats)
        row = parts(repeats).map(&:first)
        row.drop(row.size / 2)
      end

      # @return [Array<Catalogue::Part>] all bars it may hold, once each
      def kinds_of_bar
        [@bar, *[@pattern, @centre].flat_map { |list| list.expand(1) }].compact.uniq.select { |part| part.kind == :spacer_bar }
      end

      private

      def sections
        @bars + 1
      end

      def halves
        @mirror ? 2 : sections
      end

      def mirrored(repeats)
        half = tagged(@pattern.expand(repeats))
        half + tagged(@centre.expand) + half.reverse
      end

      def tagged(parts)
        parts.map { |part| [part, part.kind == :spacer_bar ? :bar : :bead] }
      end

      # @return [Array<Integer>] units in each section: even, what is left over in the middle ones, the same from both sides
      def units(repeats)
        each, over = (repeats * step_units).divmod(sections)
        from_middle = (0...sections).sort_by { |i| [(((sections - 1) / 2.0) - i).abs, i] }
        from_middle = from_middle.drop(1) if sections.odd? && over.even?
        extra = from_middle.first(over)
        (0...sections).map { |i| each + (extra.include?(i) ? 1 : 0) }
      end

      def at_bar
        beside = @lip ? [[@lip, :lip]] : []
        [*beside, [@bar, :bar], *beside]
      end
    end
  end
end
