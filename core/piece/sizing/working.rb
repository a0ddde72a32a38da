# frozen_string_literal: true

module Core
  module Sizing
    # How a piece's length came about, line by line: from the size asked for to the line, and from the line to the finished size.
    class Working
      # @param allowance [Measure::Length] what the parts' thickness takes of the line, for one turn
      def initialize(blueprint, worn, target, path, on_line, inside, allowance)
        @blueprint = blueprint
        @worn = worn
        @target = target
        @path = path
        @on_line = on_line
        @inside = inside
        @allowance = allowance
      end

      # @return [Array<Term>]
      def terms
        [*asked, *made, *back]
      end

      private

      def asked
        [term(:start, @blueprint.design.flat? ? :asked_length : :worn, @worn),
         *allowance,
         (term(:times, :wraps, nil, wraps: @blueprint.design.wraps) if @blueprint.design.wraps > 1),
         (term(:plus, :overlap, @blueprint.design.overlap) if @blueprint.design.overlap.positive?),
         term(:equals, :wanted_on_line, @target)].compact
      end

      def allowance
        @allowance.zero? ? [] : [term(:plus, :thickness, @allowance)]
      end

      def made
        [(term(:minus, :half_play, @blueprint.tightened_by) if @blueprint.tightened_by.positive?),
         *@path.flat_map { |key, w|
           of_component(key, w.lengths)
         },
         term(:equals, :made_on_line, @on_line)].compact
      end

      def of_component(key, lengths)
        lengths.working.any? ? lengths.working : [term(:part, :ends, lengths.beaded, component: key.tr('_', ' '))]
      end

      def back
        return [] if @allowance.zero?

        [(term(:minus, :overlap, @blueprint.design.overlap) if @blueprint.design.overlap.positive?),
         (term(:shared, :turns, nil, wraps: @blueprint.design.wraps) if @blueprint.design.wraps > 1),
         term(:minus, :thickness, @allowance),
         term(:equals, :finished, @inside)].compact
      end

      def term(operation, code, length, **values)
        Making::Term.new(operation: operation, code: code, length: length, values: values)
      end
    end
  end
end
