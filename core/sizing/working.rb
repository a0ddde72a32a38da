# frozen_string_literal: true

module Core
  module Sizing
    # How a piece's length came about, line by line: from the size asked for to the line, and from the line to the finished size.
    class Working
      def initialize(blueprint, worn, target, path, on_line, inside)
        @blueprint = blueprint
        @worn = worn
        @target = target
        @path = path
        @on_line = on_line
        @inside = inside
      end

      # @return [Array<Term>]
      def terms
        [*asked, *made, *back]
      end

      private

      def asked
        [term(:start, :worn, @worn),
         *allowance,
         (term(:times, :wraps, nil, wraps: @blueprint.design.wraps) if @blueprint.design.wraps > 1),
         (term(:plus, :overlap, @blueprint.design.overlap) if @blueprint.design.overlap.positive?),
         term(:equals, :wanted_on_line, @target)].compact
      end

      def allowance
        return [] if @blueprint.height.zero?

        [term(:plus, :height, Allowance.for_height(@blueprint.height), height: @blueprint.height, diameter: @blueprint.height * 2)]
      end

      def made
        [(term(:minus, :half_play, @blueprint.play / 2) if @blueprint.play.positive?),
         *@path.flat_map { |key, w|
           of_component(key, w.lengths)
         },
         term(:equals, :made_on_line, @on_line)].compact
      end

      def of_component(key, lengths)
        lengths.working.any? ? lengths.working : [term(:part, :ends, lengths.beaded, component: key.tr('_', ' '))]
      end

      def back
        return [] if @blueprint.height.zero?

        [term(:minus, :height, Allowance.for_height(@blueprint.height), height: @blueprint.height, diameter: @blueprint.height * 2),
         term(:equals, :finished, @inside)]
      end

      def term(operation, code, length, **values)
        Term.new(operation: operation, code: code, length: length, values: values)
      end
    end
  end
end
