# frozen_string_literal: true

module Core
  module Sizing
    # A design built against a catalogue in one colourway, ready to be fitted to any number of people.
    class Blueprint
      # One component with its construction.
      Member = Value.define(:component, :construction)

      # table: the catalogue, with what this design makes
      attr_reader :design, :table

      # @raise [Construction::InvalidParameters] @raise [UnknownKey]
      def initialize(design, table)
        @design = design
        @makes = {}.compare_by_identity
        @table = with_makes(table)
        @path = design.path.map { |component| member(component, @table) }
        refuse_fixed if @path.none? { |m| m.construction.fill } && design.body != :own
        @hung = design.hung.map { |component| member(component, @table) }
        @hung.each { |member| refuse_place(member.component) }
        @fixed_work_ups = {}
        @bends = {}
        @assemblies = Memo.new(MOST_ASSEMBLIES)
        filling, @fixed = @path.partition { |m| m.construction.fill }
        @filling = filling.partition { |m| !m.construction.stretches? }.flatten(1)
      end

      # @return [Array<String>] keys of the techniques that a design's steps use; none where the catalogue cannot build it
      def self.techniques(design, table)
        piece = new(design, table).fit_usual
        piece.is_a?(Piece) ? piece.steps.map(&:technique).uniq : []
      rescue Error
        []
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
        assembly(solutions, maker, bend).piece(worn, around(worn, bend), others(solutions))
      end

      # Rounds until a length holds; two are the rule.
      ROUNDS = 8
      MOST_ASSEMBLIES = 500
      CLOSE_ENOUGH = Measure::Length.mm(0.5)

      # A usual adult's measures in millimetres, to show a design before anybody is sized (from memory).
      USUAL_MM = { wrist: 170, neck: 380, ankle: 230, length: 180 }.freeze

      # @return [Piece, OutOfReach] at a usual size
      def fit_usual(maker = Construction::Maker.new)
        fit(design.body == :own ? own_size : usual, maker, ease: design.added_ease)
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
        @fixed_length ||= Measure::Length.sum(@fixed.map { |m| m.construction.fixed_length })
      end

      def play
        @play ||= Measure::Length.sum(@path.map { |m| m.construction.play })
      end

      # @return [Array<Construction::OwnMeasure::Use>] what of it can be measured, once each
      def measurable
        @measurable ||= (@path + @hung + @makes.keys).flat_map { |member| member.construction.measurable }.uniq
      end

      def drawn_in
        @drawn_in ||= Measure::Length.sum(@path.map { |m| m.construction.drawn_in })
      end

      private

      # What the thickness takes at a usual size is close to what it takes at any.
      def first_guess
        @first_guess ||= begin
          solutions = design.body == :own ? nil : solve(around(usual + design.added_ease, many_small_parts))
          solutions.is_a?(Hash) ? bend_of(solutions) : many_small_parts
        end
      end

      # The limit of many small parts: the line runs at the tallest part that repeats, 2π times its height longer (circle geometry).
      def many_small_parts
        tallest = @filling.map { |m| m.construction.fill.height }.max
        design.flat? || tallest.nil? ? Bend.new : Bend.new(allowance: tallest * (2 * Math::PI))
      end

      def usual
        Measure::Length.mm(USUAL_MM.fetch(design.body))
      end

      # Several that fill share what is left; each takes up what those before it left over, and what can stretch comes last.
      # @return [Hash{Member=>Solution}, OutOfReach]
      def solve(target)
        left = target - fixed_length - drawn_in
        return ends_too_long(target, left) if @filling.any? && !left.positive?

        solutions = {}.compare_by_identity
        @filling.each_with_index do |member, i|
          found = solutions[member] = member.construction.solve(left / (@filling.size - i))
          return found if found.is_a?(OutOfReach)

          left -= member.construction.path_length(found)
        end
        @hung.each { |member| solutions[member] = own_solution(member) }
        solutions.values.grep(OutOfReach).first || solutions.delete_if { |_, found| found.nil? }
      end

      def alike?(some, others)
        some.all? do |member, solution|
          other = others.fetch(member)
          solution.repeats == other.repeats && solution.fillers == other.fillers && (solution.length - other.length).abs < CLOSE_ENOUGH
        end
      end

      # Whoever makes the same of the same lines shares it.
      def assembly(solutions, maker, bend)
        body = maker.measure if @path.any? { |member| member.construction.class.cut_to_body? }
        alike = [signature(solutions), bend, maker.tails, maker.by_line, body]
        @assemblies.fetch(alike) { Assembly.new(self, bend, made(solutions, maker)) }
      end

      # @return [Array] what of the solutions is made, whatever length was asked for
      def signature(solutions)
        solutions.values.map { |solution| [solution.repeats, solution.fillers, solution.length] }
      end

      # @return [Hash{String=>Array<Solution>}] of what fills, the other ways within reach, each as long as it lies on the path
      def others(solutions)
        @path.select { |member| solutions.key?(member) }.to_h do |member|
          [member.component.key, solutions[member].options.map { |other| other.with(length: member.construction.path_length(other)) }]
        end
      end

      # @return [Hash{String=>Construction::WorkUp}]
      def made(solutions, maker)
        (@path + @hung + @makes.keys).to_h { |m| [m.component.key, work_up(m, solutions[m] || @makes[m], maker)] }
      end

      # What does not fill, or is made apart, comes out the same for every wearer.
      def work_up(member, solution, maker)
        return member.construction.make(solution, maker) if solution && !member.component.apart

        @fixed_work_ups[[member.component.key, maker.tails, maker.by_line]] ||= member.construction.make(solution, maker)
      end

      # @return [Solution, OutOfReach, nil] at its own length, nil where it is fixed
      def own_solution(member)
        member.construction.fill && member.construction.solve(member.component.own_length)
      end

      # Builds what is made apart, each after those that it uses, and puts each into the catalogue.
      # @return [Catalogue::Table]
      def with_makes(table)
        waiting = design.makes
        until waiting.empty?
          ready = waiting.find { |component| !component.uses.intersect?(waiting.map(&:key)) } || refuse_cycle(waiting.first)
          waiting -= [ready]
          table = table.with(parts: table.parts.merge(ready.part_key => made_part(ready, table)))
        end
        table
      end

      def made_part(component, table)
        member = member(component, table)
        solution = own_solution(member)
        refuse_length(component, solution) if solution.is_a?(OutOfReach)
        @makes[member] = solution
        work_up = member.construction.make(solution, Construction::Maker.new)
        part = member.construction.as_part(work_up, key: component.part_key, name: component.key.tr('_', ' '), made: component.key) ||
               refuse(component, [Construction::Problem.new(at: ['apart'], code: :cannot_be_made_apart)])
        part.with(mass_mg: Catalogue::Mass.of_work(work_up.parts, work_up.cuts), material: nil)
      end

      def refuse_cycle(component)
        refuse(component, [Construction::Problem.new(at: ['apart'], code: :made_of_itself)])
      end

      def refuse_length(component, out_of_reach)
        refuse(component, [Construction::Problem.new(at: ['length'], code: :length_out_of_reach, values: { length: out_of_reach.target })])
      end

      # Something hangs from a component that takes it, at an item that is there, and not from itself.
      def refuse_place(component)
        place = Project::Hanging.parse(component.hung_at)
        return if place == Project::Hanging::CENTRE
        return if place && hangs_well?(component, place)

        refuse(component, [Construction::Problem.new(at: ['hung_at'], code: :no_such_place, values: { place: component.hung_at.to_s })])
      end

      def hangs_well?(component, place)
        parent = (@path + @hung).find { |member| member.component.key == place.component }
        return false if parent.nil? || !parent.construction.class.takes_hanging? || below?(component, parent.component)

        name, *path = place.item.to_s.split('.')
        path.empty? || !Project::PatternEdit.item(Array(parent.component.parameters[name]), path.map(&:to_i)).nil?
      end

      # @return [Boolean] whether other is component itself or hangs below it
      def below?(component, other)
        seen = []
        while other && !seen.include?(other.key)
          return true if other.key == component.key

          seen << other.key
          other = other.hung_at && design.component(Project::Hanging.parse(other.hung_at)&.component)
        end
        false
      end

      # A piece with a size of its own is not closed round anything. Whoever makes the same shares what was worked out.
      def bend_of(solutions)
        return Bend.new if design.body == :own

        @bends[signature(solutions)] ||= bent(solutions)
      end

      def bent(solutions)
        line = ClosedLine.new(row(solutions), wraps: design.wraps, overlap: design.overlap)
        return Bend.new(slack: line.slack) if design.flat?

        on_line = fixed_length + Measure::Length.sum(@filling.map { |member| member.construction.path_length(solutions.fetch(member)) })
        Bend.new(allowance: ((on_line - design.overlap) / design.wraps) - line.inside, slack: line.slack)
      end

      # @return [Array<Construction::Element>] all that is on the path, in order
      def row(solutions)
        @path.flat_map do |member|
          elements = member.construction.on_line(solutions[member])
          design.leading.include?(member.component) ? elements.reverse : elements
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
