# frozen_string_literal: true

module Core
  module Construction
    # Beads, knots and bare cord in a row.
    module KnottedRow
      # One of them.
      #
      # @param kind :bead, :knot or :bare
      # @param length along the cord, zero for bare cord that takes the rest
      # @param part of a bead
      # @param takes_rest whether it is bare cord that takes what is left
      Cell = Value.define(:kind, :length, part: nil, takes_rest: false) do
        def knot?
          kind == :knot
        end

        # @param bundle [Measure::Length] across the cords @param knot_across [Measure::Length]
        # @return [ThreadedElement]
        def element(bundle, knot_across)
          case kind
          when :bead then Making::ThreadedElement.of(part, along: length)
          when :knot then Making::ThreadedElement.new(along: length, height: knot_across / 2, width: knot_across, profile: :round)
          else Making::ThreadedElement.bare(length, bundle)
          end
        end
      end

      module_function

      # @param list [Array<Catalogue::Part>] @param repeats [Integer] times that it comes
      # @param knots [Symbol] :on_both_sides of the list, or of each bead where cord takes the rest; :neighbours_share, between them and at
      #   both ends; :none
      # @param rest [Symbol] :more_beads or :bare_cord @return [Array<Cell>]
      def cells(list, repeats, knot:, bare:, knots:, rest:)
        knot = Cell.new(kind: :knot, length: knot)
        between = rest == :bare_cord ? { length: Measure::Length::ZERO, takes_rest: true } : { length: bare }
        bare = Cell.new(kind: :bare, **between)
        beads = (list * repeats).map { |part| Cell.new(kind: :bead, length: part.threaded, part: part) }
        return [bare, knot, *beads.flat_map { |bead| [bead, knot] }, bare] if knots == :neighbours_share

        groups = rest == :bare_cord || knots == :none ? beads.map { |bead| [bead] } : beads.each_slice(list.size)
        groups.reduce([bare]) { |row, group| row + (knots == :none ? [*group, bare] : [knot, *group, knot, bare]) }
      end

      # @return [Measure::Length]
      def taken(cells)
        Measure::Length.sum(cells.map(&:length))
      end

      # @param length [Measure::Length] of the whole row @return [Array<Cell>] with the rest shared out among the bare stretches that take
      #   it
      def stretched(cells, length)
        takers = cells.count(&:takes_rest)
        return cells if takers.zero?

        left, waiting = length - taken(cells), takers
        cells.map do |cell|
          next cell unless cell.takes_rest

          # The last takes what rounding leaves.
          own = left / waiting
          left, waiting = left - own, waiting - 1
          cell.with(length: own)
        end
      end

      # @return [(Measure::Length, Measure::Length, Measure::Length)] of knots, bare cord and beads
      def sums(cells)
        %i[knot bare bead].map { |kind| taken(cells.select { |cell| cell.kind == kind }) }
      end

      # @param start [Float] millimetres @return [Array<(Cell, Float, Integer)>] where the middle of each lies, and which bead of the row
      #   it is
      def placed(cells, start)
        edge, beads = start, -1
        cells.map do |cell|
          middle = edge + (cell.length.to_mm / 2)
          edge += cell.length.to_mm
          beads += 1 if cell.kind == :bead
          [cell, middle, beads]
        end
      end
    end
  end
end
