# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # Rings and eyes with a gap, magnetic clasps and parts with a stated load bear what hangs below them, with room for a tug.
      # LineBears allows for what a crimp takes of its line; soldered rings and wrapped eyes outlast the lines in them.
      class JointBears < Rule
        key :joint_bears
        rank 140

        # Of what is worked out for soft wire, wire hardened by work or drawing bears as many times as much (from memory).
        HARDENED = 2

        # @param piece [Sizing::Piece] @return [Array<Result>] one for each kind of part that could let go, at its heaviest load
        def on(piece)
          joints(piece).filter_map do |part, components|
            unknown, grams = components.map { |component| weight(piece, component) }.max_by { |missing, sum| [missing.size, sum || 0] }
            join = Making::Join.new(kind: :weight, inner: part, outer: part, at: 0.0)
            next judge(join, part, grams) if unknown.empty? && part.bears_grams

            part.magnetic || unasked?(piece) ? missing(join, part, unknown) : nil
          end
        end

        private

        # @return [Hash{Catalogue::Part => Array<String, nil>}] the components whose weight each carries; nil for the whole piece
        def joints(piece)
          hung = piece.hung_below.values.flatten
          linked = piece.joins.select { |join| join.kind == :hangs_in }.flat_map do |join|
            component = join.component if hung.include?(join.component)
            [join.inner, join.outer].grep(Catalogue::Part).select(&:bears_grams).map { |part| [part, component] }
          end
          clasps = piece.parts.map(&:part).select { |part| part.magnetic && part.kind == :clasp }.map { |part| [part, nil] }
          (linked + clasps).uniq.group_by(&:first).transform_values { |pairs| pairs.map(&:last) }
        end

        def weight(piece, component)
          loads.weight(component ? loads.carried(piece, component) : bought(piece))
        end

        def bought(piece)
          (@bought ||= {}.compare_by_identity)[piece] ||= piece.parts.reject { |use| use.part.made? }
        end

        # LineBears asks for weights where lines carry the piece.
        def unasked?(piece)
          piece.cuts.none? { |cut| LineBears::KINDS.include?(cut.line.kind) }
        end

        def missing(join, part, unknown)
          part.bears_grams ? ask(join, unknown.first, :material) : ask(join, part, :holds_grams)
        end

        def judge(join, part, grams)
          asked = grams * Load::SAFETY
          share = asked / part.bears_grams
          status = part.holds_grams || share > HARDENED ? Load.status(share) : Load.status([share, 1].min)
          found(join, status, :"joint_#{status}", defaults: [:safety, (:soft_wire unless part.holds_grams)].compact,
            cures: status == :fits ? [] : cures(part, asked),
            values: { part: part.name, grams: grams.round, asked: asked.round, holds: part.bears_grams.round })
        end

        # Of those alike, what holds more; a soldered ring does not open.
        def cures(part, asked)
          others(part) { |other| (part.magnetic && !other.magnetic) || (other.bears_grams || 0) * Load::NEAR >= asked }
            .map { |other| swap_part(part, other) }
        end
      end
    end
  end
end
