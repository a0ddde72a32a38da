# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # Wire for the work: too thick will not pull tight, too thin will not hold (common practice, no source, in American gauge).
      class WireSuits < Rule
        key :wire_suits
        rank 120

        # technique => [thickest, thinnest] gauge that is usual
        USUAL = {
          'continuous_loop' => [24, 28],
          'crossover_loop' => [24, 28],
          'frame_row' => [24, 28],
          'wrapped_loop' => [20, 24],
          'double_wrapped_loop' => [20, 24],
          'simple_loop' => [18, 22],
          'close_coil' => [18, 28],
          'jig_forming' => [18, 22],
          'frame_forming' => [16, 20],
          'frame_binding' => [24, 28],
          'shank_bail' => [21, 23]
        }.freeze

        # @param piece [Sizing::Piece] @return [Array<Result>]
        def on(piece)
          piece.work_ups.flat_map do |key, work_up|
            wires = (work_up.cuts.map(&:line).select { |line| line.kind == :wire } + stems(work_up)).uniq
            next [] if wires.empty?

            steps = work_up.steps.select { |step| USUAL.key?(step.technique) }
            wires.product(steps).select { |wire, step| step.line.nil? || step.line == wire }
              .map { |wire, step| [wire, step.technique, step.wires] }.uniq
              .map { |found| judged[[key, *found]] ||= judge(key, *found) }
          end
        end

        private

        # Beads on a pin are on its own stem, which is what the join with them names.
        def stems(work_up)
          work_up.joins.map(&:inner).select { |item| item.is_a?(Catalogue::Line) && item.kind == :pin }
        end

        # Pieces of one design mostly differ in how much there is, not in its wires.
        def judged
          @judged ||= {}
        end

        # Several wires twisted together bend like one of their thickness times the root of their number (equal area).
        def judge(component, wire, technique, wires)
          thick, thin = USUAL.fetch(technique).map { |gauge| Measure::WireGauge.diameter(gauge, :awg) }
          join = Making::Join.new(kind: :wire, inner: wire, outer: wire, at: 0.0, component: component)
          together = wire.thickness * Math.sqrt(wires)
          code = wire_code(together, thick, thin)
          values = { wire: wire.name, technique: technique.tr('_', ' '), thick: thick, thin: thin,
            gauge: Measure::WireGauge.nearest(together, :awg) }
          found(join, code == :wire_fits ? :fits : :tight, code, margin: [thick - together, together - thin].min,
            defaults: [:wire_range],
            values: values, cures: code == :wire_fits ? [] : suited(wire, thick, thin))
        end

        # Two hundredths of a millimetre either way is within what wires sold under one number differ by (from memory).
        def wire_code(thickness, thick, thin)
          slack = Measure::Length.mm(0.02)
          return :wire_thick if thickness > thick + slack

          thickness < thin - slack ? :wire_thin : :wire_fits
        end

        # @return [Array<Cure>] other pins of the same kind, at least as long
        def stouter(stem, thick, thin)
          pin = @table.parts[stem.key] or return []
          good = others(pin) do |other|
            other.along >= pin.along && other.wire_thickness && wire_code(other.wire_thickness, thick, thin) == :wire_fits
          end
          good.map { |other| swap_part(pin, other) }
        end

        def suited(wire, thick, thin)
          return stouter(wire, thick, thin) if wire.kind == :pin

          @table.lines.values.select { |other|
            other.kind == :wire && wire_code(other.thickness, thick, thin) == :wire_fits
          }.map { |other| swap_line(wire, other) }
        end
      end
    end
  end
end
