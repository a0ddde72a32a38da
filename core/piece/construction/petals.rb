# frozen_string_literal: true

module Core
  module Construction
    # Of a construction with petals of beads on wire: what it asks about one, and how it lies in the drawing.
    module Petals
      def self.included(construction)
        construction.parameter :bead, :part, of: %i[bead]
        construction.parameter :way, :choice, of: WiredPetal::WAYS, default: :continuous
        construction.parameter :petals, :integer, default: 5, range: 1..24
        # Beads in one loop, or on the basic row of a frame.
        construction.parameter :beads, :integer, default: 20, range: 3..120
        # Pairs of rows about a frame's basic row.
        construction.parameter :row_pairs, :integer, default: 2, range: 1..8
        construction.parameter :tip, :choice, of: WiredPetal::TIPS, default: :round
      end

      # Strung before work begins, a tenth more than is used (common practice, no source).
      MORE = Rational(11, 10)

      private

      # Beads are strung on the reel, the petals worked from it, and it is cut at the end.
      # @param role [Symbol] of the beads, the step's key @param number [Integer] of petals, leaves or loops on one flower
      # @return [Array<Making::StepUse>] the last of them cuts
      def petal_steps(role, petal, number, line, technique)
        on_one = petal.frame? ? 1 : number
        said = { bead: petal.bead, wire: line, number: number, more: number - 1, beads: petal.beads, half: petal.half, tail: bare_tail,
                 strung: petal.strung * on_one * MORE, loaded: (petal.count * on_one * MORE).ceil, rows: petal.runs.size,
                 row_beads: petal.runs.join(', '), each: petal.frame? ? number : 1, tip: petal.top, foot: petal.bottom, worked: role }
        [step("#{role}_load", 'loading', (petal.count * number * MORE).ceil, gives: [:"#{role}_reel"], values: said, text: :petals_load),
         *shaped(role, petal, line, technique, said),
         step("cut_#{role}", 'cutting_wire', said[:each], line: line, gives: [:"#{role}_cut", :"#{role}_made"],
           shuts: [:"#{role}_reel"], cautions: %i[cutting],
           values: said, text: petal.frame? ? :petals_cut_each : :petals_cut)]
      end

      # The first of crossed petals is wound round the tail, the others between two petals.
      def shaped(role, petal, line, technique, said)
        loads = { line: line, needs: [:"#{role}_reel"], gives: [role], values: said }
        return [step(role.to_s, technique, said[:number] * (technique == 'frame_row' ? said[:rows] - 1 : 1), **loads,
          text: :"petals_#{petal.way}")] unless petal.way == :crossover

        first = step(role.to_s, technique, 1, **loads, text: :petals_crossover)
        return [first] unless said[:more].positive?

        [first, step("#{role}_more", technique, said[:more], **loads, needs: [role, :"#{role}_reel"], gives: [:"#{role}_more"],
          text: :petals_crossover_more)]
      end

      # @return [Making::RowCard]
      def row_card(role, petal, number)
        Making::RowCard.new(role: role, bead: petal.bead, number: number, runs: petal.runs)
      end

      # What is strung beyond what is used: where each petal has a wire of its own, the next takes it up.
      # @return [Integer] beads
      def strung_beyond(petal, number)
        strung = petal.count * (petal.frame? ? 1 : number)
        (strung * MORE).ceil - strung
      end

      # @return [Making::Shape] of the first petal, or of those that follow it
      def at_its_step(shape, petal, role, number)
        shape.with(since: petal.way == :crossover && number.positive? ? :"#{role}_more" : role)
      end

      # @return [Making::StepUse] that closes a ring of loops on one wire
      def ring_step(role, number)
        step('close_ring', 'twisting', 1, needs: [:"#{role}_cut"], gives: [:"#{role}_made"], values: { number: number },
          cautions: %i[work_hardening],
          text: :petals_close_ring)
      end

      def bare_tail
        Measure::Length.mm(Ends::Tails::WIRED_MM.fetch(:usual))
      end

      # @param at [(Float, Float)] millimetres @return [Array<Shape>] the beads of a petal that leaves this place at this angle
      def turned(petal, role, angle, at:)
        petal.places.map do |along, aside|
          x = at[0] + (along * Math.cos(angle)) - (aside * Math.sin(angle))
          y = at[1] + (along * Math.sin(angle)) + (aside * Math.cos(angle))
          part_shape(petal.bead, role, x.clamp(0.0, fixed_length.to_mm), y)
        end
      end
    end
  end
end
