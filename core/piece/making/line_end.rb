# frozen_string_literal: true

module Core
  module Making
    # One end of lines as hands make it: what they put on, from the beads outward, and the way the lines take through it. How often a
    # hole is passed, how long the end is, what goes into it, how much line stays and how it is drawn all follow from these.
    #
    # @param line [Catalogue::Line]
    # @param lines how many arrive in it
    # @param school how it is shut: see the schools of crimped ends
    # @param way :back where the lines turn in a loop and come back through the crimp, :straight where they end in it
    # @param crimp [Catalogue::Part, nil]
    # @param cover [Catalogue::Part, nil] cover or shell
    # @param guard [Catalogue::Part, nil] that lies in the loop
    # @param outside [Catalogue::Part, nil] bead beyond the crimp
    # @param loop [Measure::Length] inside the loop
    # @param row [Array<Catalogue::Part>] the beads next to it, from the end inward, as many as the tail shares and a few more
    # @param sharing how many of them the tail comes back through
    LineEnd = Value.define(:line, :lines, :school, :way, :crimp, :cover, :guard, :outside, :loop, :row, :sharing)

    class LineEnd
      # One thing on the lines.
      Item = Value.define(:part, :role)

      # Line that hands hold beyond all that stays in the piece, at the least (common practice, no source).
      GRIP_MM = 25

      # @return [Array<Catalogue::Part>] beads that the tail comes back through, from the end inward
      def shared
        row.first(sharing)
      end

      # @return [Array<Item>] from the beads outward, as the lines meet them
      def items
        shut = school.cover == :clamshell ? [Item.new(part: cover, role: :clamshell)] : []
        shut << Item.new(part: crimp, role: :crimp) if school.crimped
        outside ? [*shut, Item.new(part: outside, role: :outside)] : shut
      end

      # @return [Catalogue::Part] what the eye sees next to the beads: the crimp itself, or what hides it
      def terminal
        school.cover ? cover : crimp
      end

      # A shell hangs by its own eye, a guard by its bow.
      def looped?
        way == :back && school.cover != :clamshell && guard.nil?
      end

      # @return [Measure::Length] of what lies beyond the parts
      def loop_length
        return guard.along if guard && way == :back

        looped? ? loop : Measure::Length::ZERO
      end

      # @return [Measure::Length] of the parts alone
      def parts_length
        outside ? terminal.along + outside.along : terminal.along
      end

      # @return [Measure::Length] on the path
      def length
        parts_length + loop_length
      end

      # @return [Array<ThreadedElement>] from the beads outward
      def on_line
        parts = [terminal, *outside].map { |part| ThreadedElement.of(part) }
        loop_length.zero? ? parts : [*parts, ThreadedElement.bare(loop_length, line.thickness)]
      end

      # @return [Integer] lines in the crimp: each that comes back lies in it twice
      def passes
        way == :back ? lines * 2 : lines
      end

      # @return [Integer] lines in the hole of a shell: a knot in it holds those that arrive, a crimp all that pass it
      def shell_passes
        school.crimped ? passes : lines
      end

      # Round the loop, and back through all that the tail shares.
      # @return [Measure::Length] of one line, beyond the parts, that stays in the piece
      def stays
        return Measure::Length::ZERO unless way == :back

        back = [terminal, *outside, *shared].map(&:along)
        Measure::Length.sum([turn, *back])
      end

      # @param hold [Measure::Length] that hands ask for beyond the beads, what stays included
      # @return [Measure::Length] of one line, beyond its parts
      def tail(hold)
        return hold if shared.empty?

        [hold, stays + Measure::Length.mm(GRIP_MM)].max
      end

      # @param ends [Integer] how many of them a piece has @return [Array<PartUse>]
      def parts(ends)
        used = items.map { |item| [item.part, item.role] }
        used << [cover, :cover] if school.cover == :cover
        used << [guard, :guard] if guard
        used.map { |part, role| PartUse.new(part: part, count: ends, role: role) }
      end

      # @param beside [Catalogue::Part, nil] what stands next to it in the row @return [Array<Join>]
      def joins(beside: nil)
        [*grips, (join(:cover_beside, beside, cover) if school.cover == :cover && beside),
         (join(:lines_through, line, outside, passes) if outside), (join(:lines_through, line, guard, lines * 2) if guard)].compact
      end

      private

      def grips
        [(join(:crimp_on_lines, line, crimp, passes) if school.crimped),
         (join(:cover_on_crimp, crimp, cover) if school.cover && school.crimped),
         (join(:lines_through, line, cover, shell_passes) if school.cover == :clamshell)].compact
      end

      def join(kind, inner, outer, passes = 1)
        Join.new(kind: kind, inner: inner, outer: outer, at: 0.0, passes: passes)
      end

      # A loop's line runs along its middle: pi times the inside and one thickness (plane geometry). A guard is passed twice.
      def turn
        return guard.along * 2 if guard

        looped? ? (loop + line.thickness) * Math::PI : Measure::Length::ZERO
      end
    end
  end
end
