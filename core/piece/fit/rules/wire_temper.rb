# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # How hard a wire was drawn, against the work: soft wire binds, twists and winds by hand; eyes that others pull at stay shut in half
      # hard wire (common practice, no source).
      class WireTemper < Rule
        key :wire_temper
        rank 125

        # Worked round and round by hand: harder wire springs back.
        SOFT_WORK = %w[continuous_loop crossover_loop frame_row frame_binding wiring_leaf twisting_pairs wrapping_drop].freeze
        # Wound round a stem a few times, or bent over pegs: half hard will do, hard breaks.
        EITHER = %w[wrapped_loop double_wrapped_loop close_coil jig_forming frame_forming row_of_loops shank_bail
                    wrapping_stem].freeze
        # Closed by the stiffness of one wire alone. Soft wire holds from this thickness on (from memory).
        STIFF_WORK = %w[simple_loop opening_eye].freeze
        STOUT = Measure::Length.mm(1)

        # @param piece [Sizing::Piece] @return [Array<Result>]
        def on(piece)
          piece.work_ups.flat_map do |key, work_up|
            wires = work_up.cuts.map(&:line).uniq.select { |line| line.kind == :wire && line.temper }
            wires.product(work_up.steps).select { |wire, step| (step.line.nil? || step.line == wire) && step.wires == 1 }
              .filter_map { |wire, step| (code = code_for(wire, step.technique)) && [wire, step.technique, code] }.uniq
              .map { |wire, technique, code| judge(key, wire, technique, code) }
          end
        end

        private

        # @return [Symbol, nil] nil where the technique asks for no temper
        def code_for(wire, technique)
          return wire.temper == :soft ? :temper_fits : :springs_back if SOFT_WORK.include?(technique)
          return wire.temper == :hard ? :breaks : :temper_fits if EITHER.include?(technique)

          (wire.temper == :soft && wire.thickness < STOUT ? :pulls_open : :temper_fits) if STIFF_WORK.include?(technique)
        end

        def judge(component, wire, technique, code)
          join = Making::Join.new(kind: :wire, inner: wire, outer: wire, at: 0.0, component: component)
          fits = code == :temper_fits
          found(join, fits ? :fits : :tight, code, defaults: [:temper], cures: fits ? NONE : suited(wire, technique),
            values: { wire: wire.name, technique: technique.tr('_', ' '), temper: wire.temper })
        end

        # @return [Array<Cure>] wires of the same thickness in a temper that suits
        def suited(wire, technique)
          alike = @table.lines.values.select { |other| other.kind == :wire && other.temper && other.thickness == wire.thickness }
          alike.select { |other| code_for(other, technique) == :temper_fits }.map { |other| swap_line(wire, other) }
        end
      end
    end
  end
end
