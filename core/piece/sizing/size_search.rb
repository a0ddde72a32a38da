# frozen_string_literal: true

module Core
  module Sizing
    # Finds what is made for a size: how long each component that fills comes out, and how the whole lies round the body. What the
    # thickness of the parts takes depends on what is made, and the other way round: both are found in turns.
    class SizeSearch
      # Rounds until a length holds; two are the rule.
      ROUNDS = 8
      CLOSE_ENOUGH = Measure::Length.mm(0.5)
      # What the thickness takes may differ so much between two ways.
      CLOSE_BY = Measure::Length.mm(2)
      # Ways to lie that are remembered.
      MOST_BENDS = 500

      # A usual adult's measures in millimetres, to show a design before anyone is sized (from memory).
      USUAL_MM = { wrist: 170, neck: 380, ankle: 230, length: 180 }.freeze

      # @param body [Symbol] @return [Measure::Length] of a usual adult
      def self.usual(body)
        Measure::Length.mm(USUAL_MM.fetch(body))
      end

      # @return [Hash{Symbol=>Measure::Length}] all measures of a usual adult
      def self.usual_measures
        USUAL_MM.transform_values { |millimetres| Measure::Length.mm(millimetres) }
      end

      # What may be made. off: how far it is from the size asked for
      Attempt = Struct.new(:solutions, :bend, :off)

      # @param members [Members] of the design
      def initialize(design, members)
        @design = design
        @path = members.path
        @hung = members.hung
        @leading = design.leading.map(&:key)
        @bends = LruCache.new(MOST_BENDS)
        filling, @fixed = @path.partition(&:takes_rest?)
        @filling = filling.partition { |member| !member.construction.stretches? }.flatten(1)
        @twins = @filling.group_by { |member| @filling.find { |first| first.twin?(member) } }.values
      end

      # Half way between two ways to make it, each may lie so that the other seems nearer, or so that itself does: the nearest of all
      # that were tried is made, and the next best is tried where it comes close.
      # @param worn [Measure::Length] the inside that is asked for
      # @return [(Hash{Member=>Solution}, Bend), (OutOfReach, Bend)]
      def call(worn)
        bend = first_guess
        # The latest first: of equals it was told for the truest length.
        tried = []
        ROUNDS.times do
          solutions = solve(around(worn, bend))
          return [solutions, bend] if solutions.is_a?(Making::OutOfReach)

          settled = tried.any? && alike?(solutions, tried.first.solutions)
          bend = bend_of(solutions) unless settled
          tried.unshift(attempt(solutions, bend, worn))
          break if settled
        end
        nearest = tried.min_by(&:off)
        made = [nearest, next_best(worn, nearest)].compact.min_by(&:off)
        [made.solutions, made.bend]
      end

      # @param repeats [Integer] of all that fills in the piece that is made of the solutions
      # @return [Array<Solution>] the other ways within reach, each with its repeats of all that fills, and as long as the inside that it
      #   comes to
      def others(solutions, repeats)
        @twins.flat_map do |alike|
          made = solutions[alike.first]
          made.options.map do |other|
            whole = solutions.merge(alike.to_h { |member| [member, other] })
            other.with(length: inside(on_line(whole), bend_of(whole)), repeats: repeats + ((other.repeats - made.repeats) * alike.size))
          end
        end
      end

      # @return [Measure::Length] along the line, for an inside length
      def around(worn, bend)
        ((worn - outer_wires + bend.allowance) * @design.wraps) + @design.overlap
      end

      # @return [Measure::Length] inside length of a path this long; the inverse of #around
      def inside(on_line, bend)
        ((on_line - @design.overlap) / @design.wraps) - bend.allowance + outer_wires
      end

      # @return [Measure::Length] what the outermost parts add to the path where it is not closed
      def beyond
        beyond_start + beyond_end
      end

      # @return [Measure::Length] what the outermost part at the start adds
      def beyond_start
        @beyond_start ||= @path.first.construction.beyond(leading?(@path.first) ? :last : :first)
      end

      # @return [Measure::Length] what the outermost part at the end adds
      def beyond_end
        @beyond_end ||= @path.last.construction.beyond(leading?(@path.last) ? :first : :last)
      end

      def fixed_length
        @fixed_length ||= Measure::Length.sum(@fixed.map(&:own_path_length))
      end

      def tightened_by
        @tightened_by ||= Measure::Length.sum(@path.map { |member| member.construction.tightened_by })
      end

      # @return [Measure::Length] of the body
      def usual
        self.class.usual(@design.body)
      end

      # @return [Array] the part of the solutions that is made, without the length that was asked for
      def signature(solutions)
        solutions.values.map(&:made)
      end

      private

      # A piece that is not closed is measured over all.
      def outer_wires
        @design.body == :own ? beyond : Measure::Length::ZERO
      end

      def leading?(member)
        @leading.include?(member.key)
      end

      def attempt(solutions, bend, worn)
        Attempt.new(solutions, bend, (on_line(solutions) + tightened_by - around(worn, bend)).abs)
      end

      # The same with the next best length of what fills last.
      # @return [Attempt, nil] nil where there is no other, or where it is much farther off
      def next_best(worn, nearest)
        last = @twins.last
        return if last.nil? || nearest.solutions[last.first].options.empty?

        way = nearest.solutions[last.first].next_best
        other = nearest.solutions.merge(last.to_h { |member| [member, way] })
        attempt(other, bend_of(other), worn) unless attempt(other, nearest.bend, worn).off - nearest.off > CLOSE_BY
      end

      # What the thickness takes at a usual size is close to what it takes at any.
      def first_guess
        @first_guess ||= begin
          solutions = @design.body == :own ? nil : solve(around(usual + @design.added_ease, many_small_parts))
          solutions.is_a?(Hash) ? bend_of(solutions) : many_small_parts
        end
      end

      # The limit of many small parts: the line runs at the tallest part that repeats, 2π times its height longer (circle geometry).
      def many_small_parts
        tallest = @filling.map { |member| member.construction.fill.height }.max
        @design.flat? || tallest.nil? ? Bend.new : Bend.new(allowance: tallest * (2 * Math::PI))
      end

      # Several that fill share what is left; each takes up what those before it left over, and what can stretch comes last. Two halves that
      # are made alike come out alike.
      # @return [Hash{Member=>Solution}, OutOfReach]
      def solve(target)
        left = target - fixed_length - tightened_by
        return ends_too_long(target, left) if @filling.any? && !left.positive?

        solutions = {}.compare_by_identity
        waiting = @filling.size
        @twins.each do |alike|
          found = alike.first.construction.solve(left / waiting)
          return found if found.is_a?(Making::OutOfReach)

          alike.each { |member| solutions[member] = found }
          left -= alike.first.construction.path_length(found) * alike.size
          waiting -= alike.size
        end
        @fixed.each { |member| solutions[member] = member.own_solution }
        @hung.each { |member| solutions[member] = member.own_solution }
        solutions.values.grep(Making::OutOfReach).first || solutions.delete_if { |_, found| found.nil? }
      end

      def alike?(some, others)
        some.all? do |member, solution|
          other = others.fetch(member)
          solution.repeats == other.repeats && solution.fillers == other.fillers && (solution.length - other.length).abs < CLOSE_ENOUGH
        end
      end

      # A piece of fixed size is not closed round a body. People who make the same share the result.
      def bend_of(solutions)
        return Bend.new if @design.body == :own

        @bends.fetch(signature(solutions)) { bent(solutions) }
      end

      def bent(solutions)
        line = ClosedLine.new(row(solutions), wraps: @design.wraps, overlap: @design.overlap)
        return Bend.new(slack: line.slack) if @design.flat?

        Bend.new(allowance: inside(on_line(solutions), Bend.new) - line.inside, slack: line.slack, doubt: line.doubt)
      end

      # @return [Measure::Length] of the whole path
      def on_line(solutions)
        fixed_length + Measure::Length.sum(@filling.map { |member| member.construction.path_length(solutions.fetch(member)) })
      end

      # @return [Array<Making::ThreadedElement>] all that is on the path, in order
      def row(solutions)
        @path.flat_map do |member|
          elements = member.row(solutions[member])
          leading?(member) ? elements.reverse : elements
        end
      end

      # @return [OutOfReach] the components of fixed length leave nothing for the rest
      def ends_too_long(target, left)
        by = { by: Measure::Length.mm(1) - left }
        too_long = Making::Cause.new(code: :ends_too_long, values: { ends: target - left, target: target })
        Making::OutOfReach.new(target: target, causes: [too_long],
          cures: [Making::Cause.new(code: :take_out, values: by), Making::Cause.new(code: :wear_longer, values: by)])
      end
    end
  end
end
