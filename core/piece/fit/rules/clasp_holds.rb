# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # A magnetic clasp holds the piece's weight, with room for a tug.
      class ClaspHolds < Rule
        key :clasp_holds
        rank 140

        # As often as its weight a clasp is pulled at when the piece catches somewhere (from memory).
        SAFETY = LineBears::SAFETY

        # @param piece [Sizing::Piece] @return [Array<Finding>] one for each kind of magnetic clasp
        def on(piece)
          clasps = piece.parts.map(&:part).select { |part| part.magnetic && part.kind == :clasp }.uniq
          clasps.map { |clasp| judge(clasp, piece) }
        end

        private

        def judge(clasp, piece)
          join = Making::Join.new(kind: :weight, inner: clasp, outer: clasp, at: 0.0)
          return ask(join, clasp, :holds_grams) unless clasp.holds_grams

          bought = piece.parts.reject { |use| use.part.made? }
          unknown = scales.unknown(bought).first
          unknown ? ask(join, unknown, :material) : weigh(join, clasp, scales.grams(bought))
        end

        def weigh(join, clasp, grams)
          asked = grams * SAFETY
          status = asked > clasp.holds_grams ? :will_not : :fits
          found(join, status, :"clasp_#{status}", defaults: [:safety], cures: status == :fits ? [] : cures(clasp, asked),
            values: { clasp: clasp.name, grams: grams.round, asked: asked.round, holds: clasp.holds_grams })
        end

        def cures(clasp, asked)
          others(clasp) { |other| !other.magnetic || (other.holds_grams || 0) >= asked }.map { |other| swap_part(clasp, other) }
        end
      end
    end
  end
end
