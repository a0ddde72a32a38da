# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # The closed line of a piece of memory wire against a turn of its own coil: up to about 15 in 100 apart the spring gives; beyond that
      # it gapes or overlaps (from memory). A turn runs along the wire's middle: π times the coil's inside and one thickness.
      class CoilSuits < Rule
        key :coil_suits
        rank 126

        MOST_APART = 0.15

        # @param piece [Sizing::Piece] @return [Array<Result>]
        def on(piece)
          return [] unless piece.round

          wires = piece.work_ups.flat_map { |key, work_up| work_up.cuts.map(&:line).uniq.select(&:coil).map { |wire| [key, wire] } }
          wires.map { |key, wire| judge(key, wire, piece.on_line / piece.wraps) }
        end

        private

        def judge(component, wire, closed)
          apart = closed.to_mm / wire.turn.to_mm
          join = Making::Join.new(kind: :wire, inner: wire, outer: wire, at: 0.0, component: component)
          about = { defaults: [:coil_apart], values: { wire: wire.name, turn: wire.turn, closed: closed } }
          return found(join, :fits, :coil_fits, **about) if (apart - 1).abs <= MOST_APART

          found(join, :tight, apart > 1 ? :coil_gapes : :coil_overlaps, **about, cures: suited(wire, closed))
        end

        # @return [Array<Cure>] the memory wire whose coil is nearest, where it suits
        def suited(wire, closed)
          coils = @table.lines.values.select { |other| other.kind == wire.kind && other.coil && other != wire }
          nearest = coils.min_by { |other| (closed.to_mm - other.turn.to_mm).abs }
          nearest && ((closed.to_mm / nearest.turn.to_mm) - 1).abs <= MOST_APART ? [swap_line(wire, nearest)] : NONE
        end
      end
    end
  end
end
