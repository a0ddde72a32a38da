# frozen_string_literal: true

module Core
  module Sizing
    # The components of a design, each built against the catalogue; says what is wrong with them.
    class Members
      # table: the catalogue, with what this design makes · path, hung: [Member] in order
      # apart: {Member => Solution or nil} what is made first, then used like parts · all: {component key => Member}
      attr_reader :table, :path, :hung, :apart, :all

      # @raise [Making::InvalidParameters] @raise [UnknownKey]
      def initialize(design, table)
        @design = design
        @apart = {}.compare_by_identity
        @table = with_makes(table)
        @path = design.path.map { |component| build(component, @table) }
        refuse_fixed if @path.none?(&:takes_rest?) && design.body != :own
        @path.each { |member| refuse_length(member.component, member.own_solution) if kept_out_of_reach?(member) }
        @hung = design.hung.map { |component| build(component, @table) }
        @hung.each { |member| refuse_place(member.component) }
        @all = (@path + @hung + @apart.keys).to_h { |member| [member.key, member] }
      end

      private

      # Builds what is made apart, each after those that it uses, and puts each into the catalogue.
      # @return [Catalogue::Table]
      def with_makes(table)
        waiting = @design.makes
        until waiting.empty?
          ready = waiting.find { |component| !component.uses.intersect?(waiting.map(&:key)) } || refuse_cycle(waiting.first)
          waiting -= [ready]
          table = table.with(parts: table.parts.merge(ready.part_key => made_part(ready, table)))
        end
        table
      end

      def made_part(component, table)
        member = build(component, table)
        solution = member.own_solution
        refuse_length(component, solution) if solution.is_a?(Making::OutOfReach)
        @apart[member] = solution
        work_up = member.work_up(solution, Making::Maker.new)
        part = member.construction.as_part(work_up, key: component.part_key, name: component.key.tr('_', ' '), made: component.key) ||
               refuse(component, [Making::DesignProblem.new(at: ['apart'], code: :cannot_be_made_apart)])
        part.with(mass_mg: work_up.mass_mg, material: nil)
      end

      # A length that is given is kept, or refused.
      def kept_out_of_reach?(member)
        member.component.length && member.fills? && member.own_solution.is_a?(Making::OutOfReach)
      end

      def refuse_cycle(component)
        refuse(component, [Making::DesignProblem.new(at: ['apart'], code: :made_of_itself)])
      end

      def refuse_length(component, out_of_reach)
        refuse(component, [Making::DesignProblem.new(at: ['length'], code: :length_out_of_reach, values: { length: out_of_reach.target })])
      end

      # Something hangs from a component that takes it, at an item that is there, and not from itself.
      def refuse_place(component)
        place = Project::Hanging.parse(component.hung_at)
        return if place == Project::Hanging::CENTRE
        return if place && hangs_well?(component, place)

        refuse(component, [Making::DesignProblem.new(at: ['hung_at'], code: :no_such_place, values: { place: component.hung_at.to_s })])
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
          other = other.hung_at && @design.component(Project::Hanging.parse(other.hung_at)&.component)
        end
        false
      end

      def build(component, table)
        construction = construction(component)
        shown = @design.measured_of(component.key)
        # Where hands measure how tight it is worked, beads stay as they are stated.
        table = table.with_beads(size: construction.tension? ? 1.0 : shown.size, weight: shown.weight) if shown
        Member.new(component, parametrised(construction, component, table, shown))
      end

      def construction(component)
        Construction::Kinds.fetch(component.construction)
      rescue UnknownKey => e
        refuse(component, [Making::DesignProblem.new(at: ['construction'], code: :not_a_choice, values: { choices: e.known.join(', ') })])
      end

      def parametrised(construction, component, table, shown)
        construction.build(component.parameters, table, shown: shown)
      rescue Making::InvalidParameters => e
        refuse(component, e.problems.map { |problem| problem.under('parameters') })
      end

      # A piece that is sized by a body needs something that repeats.
      def refuse_fixed
        raise Making::InvalidParameters.new(@design.key, [Making::DesignProblem.new(at: ['components'], code: :nothing_fills)])
      end

      def refuse(component, problems)
        place = @design.components.index(component)
        raise Making::InvalidParameters.new(component.construction, problems.map { |problem| problem.under('components', place) })
      end
    end
  end
end
