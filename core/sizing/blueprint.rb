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
        @filling, @fixed = @path.partition { |m| m.construction.fill }
      end

      # @return [Measure::Length] hole axis above the skin: the tallest bead that repeats carries the line there
      def height
        design.flat? ? Measure::Length::ZERO : @filling.map { |m| m.construction.fill.height }.max || Measure::Length::ZERO
      end

      # @param worn [Measure::Length] the inside length asked for
      # @param maker [Construction::Maker]
      # @return [Piece, OutOfReach]
      def fit(worn, maker)
        target = around(worn)
        share = @filling.empty? ? nil : (target - fixed_length - (play / 2)) / @filling.size
        return ends_too_long(target, share) if share && !share.positive?

        work_ups = (@path + @hung).to_h { |m| [m.component.key, work_up(m, share, maker)] }
        work_ups.values.find { |w| w.is_a?(OutOfReach) } || Assembly.new(self, worn, target, work_ups).piece
      end

      # A usual adult's measures in millimetres, to show a design before anybody is sized (from memory).
      USUAL_MM = { wrist: 170, neck: 380, ankle: 230, length: 180 }.freeze

      # @return [Piece, OutOfReach] at a usual size
      def fit_usual(maker = Construction::Maker.new)
        fit(design.body == :own ? own_size : Measure::Length.mm(USUAL_MM.fetch(design.body)) + design.ease, maker)
      end

      # What does not fill comes out the same for every wearer.
      def work_up(member, share, maker)
        return member.construction.call(target: share, maker: maker) if member.construction.fill

        @fixed_work_ups[[member.component.key, maker]] ||= member.construction.call(target: nil, maker: maker)
      end

      # @return [OutOfReach] the components of fixed length leave nothing for the rest
      def ends_too_long(target, share)
        by = { by: Measure::Length.mm(1) - share }
        OutOfReach.new(target: target, causes: [Cause.new(code: :ends_too_long, values: { ends: target - share, target: target })],
          cures: [Cause.new(code: :take_out, values: by), Cause.new(code: :wear_longer, values: by)])
      end

      def around(worn)
        ((worn + Allowance.for_height(height)) * design.wraps) + design.overlap
      end

      # @return [Measure::Length] inside length of a path this long; the inverse of #around
      def inside(on_line)
        ((on_line - design.overlap) / design.wraps) - Allowance.for_height(height)
      end

      # @return [Measure::Length] the size of a design that does not depend on its wearer
      def own_size
        inside(fixed_length)
      end

      def fixed_length
        Measure::Length.sum(@fixed.map { |m| m.construction.fixed_length })
      end

      def play
        Measure::Length.sum(@path.map { |m| m.construction.play })
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
