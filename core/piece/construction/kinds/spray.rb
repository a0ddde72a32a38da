# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Flowers of beads on wire, each with its petals, middle, calyx and leaves on a stem bound with tape; several make a bunch.
      class Spray < Base
        key :spray
        rank 220

        # How densely wires lie in a stem (from memory).
        PACKED = 0.75
        # Tape held at both ends (from memory).
        TAPE_HOLD_MM = 40
        # Stem wire hidden under the flower and bent over at the foot (from memory).
        STEM_HIDDEN_MM = 30
        HUNDRED = 100
        # Angle at which leaves leave the stem in the drawing.
        LEAF_TURN = 0.6
        # From the back to the front.
        DRAWN = %i[leaf calyx petal middle].freeze

        parameter :heads, :integer, default: 1, range: 1..12
        parameter :wire, :line, of: %i[wire]
        include Petals

        parameter :bottom_tip, :choice, of: WiredPetal::TIPS, default: :round
        # Small loops in the middle; without a bead there is none.
        parameter :middle, :part, of: %i[bead], required: false
        parameter :middle_loops, :integer, default: 3, range: 1..12
        parameter :middle_beads, :integer, default: 5, range: 1..40
        parameter :calyx_bead, :part, of: %i[bead], required: false
        parameter :calyx_loops, :integer, default: 5, range: 1..12
        parameter :calyx_beads, :integer, default: 8, range: 1..60
        parameter :leaf_bead, :part, of: %i[bead], required: false
        # The petals' wire where none is chosen.
        parameter :calyx_wire, :line, of: %i[wire], required: false
        parameter :leaf_wire, :line, of: %i[wire], required: false
        parameter :leaves, :integer, default: 2, range: 1..12
        parameter :leaf_beads, :integer, default: 10, range: 3..60
        parameter :leaf_pairs, :integer, default: 2, range: 1..8
        parameter :leaf_tip, :choice, of: WiredPetal::TIPS, default: :pointed
        parameter :leaf_bottom_tip, :choice, of: WiredPetal::TIPS, default: :round
        # None where the wires of the flower are its stem.
        parameter :stem_wire, :line, of: %i[wire], required: false
        parameter :stem, :length, default: '120 mm', range: Measure::Length.mm(20)..Measure::Length.mm(600)
        parameter :tape, :line, of: %i[tape], required: false
        parameter :tape_width, :length, default: '12 mm', range: Measure::Length.mm(3)..Measure::Length.mm(30)
        # How much of each turn lies over the one before, in hundredths.
        parameter :tape_over, :integer, default: 50, range: 0..80

        # Worked apart and bound to one stem.
        #
        # @param role of its beads
        # @param number on one flower
        # @param one_wire all of them on one cut
        Piece = Value.define(:role, :petal, :wire, :number, :technique, :one_wire)

        def fixed_length
          Measure::Length.mm(top.reach) + stem
        end

        def on_line(_solution)
          [Making::ThreadedElement.bare(fixed_length, bound)]
        end

        private

        def top
          @top ||= WiredPetal.new(bead: bead, beads: beads, way: way, pairs: row_pairs, top: tip, bottom: bottom_tip)
        end

        # @return [Array<Piece>] of one flower, in the order of the work
        def pieces
          @pieces ||= [
            piece(:petal, top, petals, WiredPetal::TECHNIQUES.fetch(way)),
            (piece(:middle, small(middle, middle_beads), middle_loops, 'continuous_loop') if middle),
            (piece(:calyx, small(calyx_bead, calyx_beads), calyx_loops, 'calyx', calyx_wire || wire) if calyx_bead),
            (piece(:leaf, leaf, leaves, 'leaf', leaf_wire || wire) if leaf_bead)
          ].compact
        end

        def piece(role, petal, number, technique, line = wire)
          Piece.new(role: role, petal: petal, wire: line, number: number, technique: technique, one_wire: !petal.frame?)
        end

        def small(part, number)
          WiredPetal.new(bead: part, beads: number, way: :continuous)
        end

        def leaf
          WiredPetal.new(bead: leaf_bead, beads: leaf_beads, way: :frame, pairs: leaf_pairs, top: leaf_tip, bottom: leaf_bottom_tip)
        end

        def cut_number(piece)
          piece.one_wire ? 1 : piece.number
        end

        # @return [Measure::Length] across a bound stem: its wire and both ends of every cut (areas)
        def bound
          @bound ||= begin
            ends = pieces.sum { |piece| cut_number(piece) * 2 * (piece.wire.thickness.to_mm**2) }
            areas = ends + (stem_wire ? stem_wire.thickness.to_mm**2 : 0)
            Measure::Length.mm(Math.sqrt(areas / PACKED))
          end
        end

        # Each turn of tape covers its width, less what lies over the turn before: wrapped length × π d / (width × (1 − over)).
        def taped
          turns = stem / (tape_width * Rational(HUNDRED - tape_over, HUNDRED))
          bound * (Math::PI * turns)
        end

        def work_up(_solution, maker)
          joins = pieces.flat_map { |piece| through(piece.wire, [piece.petal.bead]) }
          Making::WorkUp.new(parts: parts, cuts: cuts(maker), steps: steps, joins: joins,
            cards: Lazy.new { pieces.map { |piece| row_card(piece.role, piece.petal, piece.number * heads) } },
            drawing: Lazy.new { layout }, ends: { first: Making::Attachment.new(item: wire, shut_with: :bound) },
            lengths: Making::Lengths.new(beaded: fixed_length,
              working: [term(:flower, Measure::Length.mm(top.reach)), term(:stem, stem)]))
        end

        def parts
          pieces.flat_map do |piece|
            [count(piece.petal.bead, piece.petal.count * piece.number * heads, piece.role),
             count(piece.petal.bead, strung_beyond(piece.petal, piece.number) * heads, :left_over)]
          end
        end

        def cuts(maker)
          [*pieces.map { |piece| cut(piece, maker) }, (stem_cut if stem_wire), (tape_cut if tape)].compact
        end

        def cut(piece, maker)
          each = piece.one_wire ? piece.number : 1
          Making::Cut.new(line: piece.wire, count: cut_number(piece) * heads, role: piece.role, body: piece.petal.strung * each,
            consumption: piece.petal.consumption * each, tails: Ends::Tails.at(Ends::Tails::WIRED_MM, maker, piece.wire) * 2,
            from_reel: true)
        end

        def stem_cut
          Making::Cut.new(line: stem_wire, count: heads, role: :stem, body: stem, consumption: Measure::Length.mm(STEM_HIDDEN_MM),
            tails: Measure::Length::ZERO)
        end

        def tape_cut
          Making::Cut.new(line: tape, count: heads, role: :tape, body: taped, consumption: Measure::Length::ZERO,
            tails: Measure::Length.mm(TAPE_HOLD_MM))
        end

        def steps
          worked = pieces.flat_map { |piece| petal_steps(piece.role, piece.petal, piece.number, piece.wire, piece.technique) }
          ring = top.frame? ? [] : [ring_step(:petal, petals)]
          [*worked, *ring, (step('cut_stem', 'cutting_wire', 1, gives: %i[stem], cautions: %i[cutting]) if stem_wire),
           step('check', 'measuring', 1, needs: pieces.map { |piece| :"#{piece.role}_made" }, gives: %i[checked],
             checkpoint: true, values: { petals: petals }), bind_step,
           (step('tape', 'stem_taping', 1, needs: %i[bare_stem]) if tape)]
            .compact.map { |one| one.with(repeats: one.repeats * heads, alike: heads) } + bunch
        end

        def bind_step
          step('bind', 'twisting', 1, line: wire, needs: [:checked, *(:stem if stem_wire)], gives: %i[line bound bare_stem],
            text: stem_wire ? :spray_bind : :spray_bind_wires, cautions: %i[sharp_tails work_hardening])
        end

        # What is done once for all flowers.
        def bunch
          heads > 1 ? [step('bunch', 'twisting', 1, line: wire, shuts: %i[bare_stem], values: { heads: heads })] : []
        end

        # Each flower beside the other; its stem lies along the piece.
        def layout
          across(heads, 2.2 * top.reach).flat_map { |y| flower(y) }
        end

        def flower(y_mm)
          line = line_shape(stem_wire || wire, stem.to_mm, y_mm, from: top.reach)
          [line, *pieces.sort_by { |piece| DRAWN.index(piece.role) }.flat_map { |piece| piece_shapes(piece, y_mm) }]
        end

        def piece_shapes(piece, y_mm)
          (0...piece.number).flat_map do |number|
            at, angle = place(piece, number, y_mm)
            turned(piece.petal, piece.role, angle, at: at).map { |shape| at_its_step(shape, piece.petal, piece.role, number) }
          end
        end

        # Petals, middle and calyx stand round the head; leaves along the stem, on either side.
        def place(piece, number, y_mm)
          return [[top.reach, y_mm], 2 * Math::PI * (number + 0.5) / piece.number] unless piece.role == :leaf

          along = top.reach + (stem.to_mm * (number + 1) / (piece.number + 2))
          [[along, y_mm], number.even? ? LEAF_TURN : -LEAF_TURN]
        end
      end
    end
  end
end
