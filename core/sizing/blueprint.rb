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
        @hung = design.hung.map { |component| member(component, table) }
        @filling, @fixed = @path.partition { |m| m.construction.fill }
      end

      # @return [Measure::Length] hole axis above the skin: the tallest bead that repeats carries the line there
      def height
        flat? ? Measure::Length::ZERO : @filling.map { |m| m.construction.fill.height }.max || Measure::Length::ZERO
      end

      # @param worn [Measure::Length] the wished inside length
      # @param maker [Construction::Maker]
      # @return [Piece, OutOfReach]
      def fit(worn, maker)
        target = around(worn)
        share = @filling.empty? ? nil : (target - fixed_length - (play / 2)) / @filling.size
        work_ups = (@path + @hung).to_h { |m| [m.component.key, m.construction.call(target: share, maker: maker)] }
        work_ups.values.find { |w| w.is_a?(OutOfReach) } || Assembly.new(self, worn, target, work_ups).piece
      end

      def around(worn)
        ((worn + Allowance.for_height(height)) * design.wraps) + design.overlap
      end

      # @return [Measure::Length] inside length of a path this long; the inverse of #around
      def inside(on_line)
        ((on_line - design.overlap) / design.wraps) - Allowance.for_height(height)
      end

      def fixed_length
        Measure::Length.sum(@fixed.map { |m| m.construction.fixed_length })
      end

      def play
        Measure::Length.sum(@fixed.map { |m| m.construction.play })
      end

      def flat?
        design.body == :length
      end

      private

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

      def refuse(component, problems)
        place = design.components.index(component)
        raise Construction::InvalidParameters.new(component.construction, problems.map { |problem| problem.under('components', place) })
      end
    end
  end
end
