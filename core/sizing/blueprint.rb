# frozen_string_literal: true

module Core
  module Sizing
    # A design built against a catalogue in one colourway, ready to be fitted to any number of people.
    class Blueprint
      # One component with its construction.
      Member = Value.define(:component, :construction)

      attr_reader :design

      # @raise [Construction::InvalidParameters] @raise [UnknownKey]
      def initialize(design, table)
        @design = design
        @path = design.path.map { |component| member(component, table) }
        refuse_fixed if @path.none? { |m| m.construction.fill } && design.body != :own
        @hung = design.hung.map { |component| member(component, table) }
        @fixed_work_ups = {}
        @bends = {}
        filling, @fixed = @path.partition { |m| m.construction.fill }
        @filling = filling.partition { |m| !m.construction.stretches? }.flatten(1)
      end

      # What the thickness of the parts takes depends on what is made, and the other way round: both are found in turns.
      # @param measure [Measure::Length] of the body @param ease [Measure::Length] added to it
      # @param maker [Construction::Maker]
      # @return [Piece, OutOfReach]
      def fit(measure, maker, ease: Measure::Length::ZERO)
        maker = maker.with(measure: measure, wraps: design.wraps)
        worn = measure + ease
        bend = first_guess
        solutions = nil
        ROUNDS.times do
          before = solutions
          solutions = solve(around(worn, bend))
          return solutions if solutions.is_a?(OutOfReach)
          break if before && alike?(solutions, before)

          bend = bend_of(solutions)
        end
        Assembly.new(self, worn, around(worn, bend), bend, made(solutions, maker)).piece
      end

      # Rounds until a length holds; two are the rule.
      ROUNDS = 8
      CLOSE_ENOUGH = Measure::Length.mm(0.5)

      # A usual adult's measures in millimetres, to show a design before anybody is sized (from memory).
      USUAL_MM = { wrist: 170, neck: 380, ankle: 230, length: 180 }.freeze

      # @return [Piece, OutOfReach] at a usual size
      def fit_usual(maker = Construction::Maker.new)
        fit(design.body == :own ? own_size : Measure::Length.mm(USUAL_MM.fetch(design.body)), maker, ease: design.added_ease)
      end

      # @return [Measure::Length] along the line, for an inside length
      def around(worn, bend)
        ((worn + bend.allowance) * design.wraps) + design.overlap
      end

      # @return [Measure::Length] inside length of a path this long; the inverse of #around
      def inside(on_line, bend)
        ((on_line - design.overlap) / design.wraps) - bend.allowance
      end

      # @return [Measure::Length] the size of a design that does not depend on its wearer
      def own_size
        inside(fixed_length, Bend.new)
      end

      def fixed_length
        Measure::Length.sum(@fixed.map { |m| m.construction.fixed_length })
      end

      def play
        Measure::Length.sum(@path.map { |m| m.construction.play })
      end

      private

      # The limit of many small parts: the line runs at the tallest part that repeats, 2π times its height longer (circle geometry).
      def first_guess
        tallest = @filling.map { |m| m.construction.fill.height }.max
        design.flat? || tallest.nil? ? Bend.new : Bend.new(allowance: tallest * (2 * Math::PI))
      end

      # Several that fill share what is left; each takes up what those before it left over, and what can stretch comes last.
      # @return [Hash{Member=>Solution}, OutOfReach]
      def solve(target)
        left = target - fixed_length - (play / 2)
        return ends_too_long(target, left) if @filling.any? && !left.positive?

        share = left / [@filling.size, 1].max
        solutions = {}
        @filling.each_with_index do |member, i|
          found = solutions[member] = member.construction.solve(left / (@filling.size - i))
          return found if found.is_a?(OutOfReach)

          left -= member.construction.path_length(found)
        end
        @hung.select { |m| m.construction.fill }.each { |member| solutions[member] = member.construction.solve(share) }
        solutions.values.grep(OutOfReach).first || solutions
      end

      def alike?(some, others)
        some.all? do |member, solution|
          other = others.fetch(member)
          solution.repeats == other.repeats && solution.fillers == other.fillers && (solution.length - other.length).abs < CLOSE_ENOUGH
        end
      end

      # @return [Hash{String=>Construction::WorkUp}]
      def made(solutions, maker)
        (@path + @hung).to_h { |m| [m.component.key, work_up(m, solutions[m], maker)] }
      end

      # What does not fill comes out the same for every wearer.
      def work_up(member, solution, maker)
        return member.construction.make(solution, maker) if solution

        @fixed_work_ups[[member.component.key, maker.tails, maker.by_line]] ||= member.construction.make(nil, maker)
      end

      # A piece with a size of its own is not closed round anything. Whoever makes the same shares what was worked out.
      def bend_of(solutions)
        return Bend.new if design.body == :own

        @bends[solutions.values.map { |solution| [solution.repeats, solution.fillers, solution.length] }] ||= bent(solutions)
      end

      def bent(solutions)
        line = ClosedLine.new(row(solutions), wraps: design.wraps, overlap: design.overlap)
        return Bend.new(slack: line.slack) if design.flat?

        on_line = fixed_length + Measure::Length.sum(@filling.map { |member| member.construction.path_length(solutions.fetch(member)) })
        Bend.new(allowance: ((on_line - design.overlap) / design.wraps) - line.inside, slack: line.slack)
      end

      # What lies before the first that fills reads outward from it, so it is turned round.
      # @return [Array<Construction::Element>] all that is on the path, in order
      def row(solutions)
        leading = @path.take_while { |member| member.construction.fill.nil? }
        @path.flat_map do |member|
          elements = member.construction.on_line(solutions[member])
          leading.include?(member) ? elements.reverse : elements
        end
      end

      # @return [OutOfReach] the components of fixed length leave nothing for the rest
      def ends_too_long(target, left)
        by = { by: Measure::Length.mm(1) - left }
        OutOfReach.new(target: target, causes: [Cause.new(code: :ends_too_long, values: { ends: target - left, target: target })],
          cures: [Cause.new(code: :take_out, values: by), Cause.new(code: :wear_longer, values: by)])
      end

      def member(component, table)
        construction = construction(component)
        Member.new(component: component, construction: parametrised(construction, component, table))
      end

      def construction(component)
        Construction::Registry.fetch(component.construction)
      rescue UnknownKey => e
        refuse(component, [Construction::Problem.new(at: ['construction'], code: :not_a_choice, values: { choices: e.known.join(', ') })])
      end

      def parametrised(construction, component, table)
        construction.build(component.parameters, table)
      rescue Construction::InvalidParameters => e
        refuse(component, e.problems.map { |problem| problem.under('parameters') })
      end

      # A piece that is sized by a body needs something that repeats.
      def refuse_fixed
        raise Construction::InvalidParameters.new(design.key, [Construction::Problem.new(at: ['components'], code: :nothing_fills)])
      end

      def refuse(component, problems)
        place = design.components.index(component)
        raise Construction::InvalidParameters.new(component.construction, problems.map { |problem| problem.under('components', place) })
      end
    end
  end
end
