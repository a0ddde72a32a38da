# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # What lines carry, with all that hangs below, against what they are rated for, with room to be tugged at.
      class LineBears < Rule
        key :line_bears
        rank 130

        # Lines are asked to bear this many times the weight (from memory): pieces are pulled on, and crimps weaken a line.
        SAFETY = 5

        # @param piece [Sizing::Piece] @return [Array<Finding>] one for each component that hangs on lines
        def on(piece)
          piece.work_ups.filter_map do |key, work_up|
            cuts = work_up.cuts.select { |cut| %i[cable thread cord elastic].include?(cut.line.kind) }
            judge(key, cuts.first.line, cuts.sum(&:count), carried(piece, key)) if cuts.any?
          end
        end

        private

        # Its own parts, and all that hangs below.
        # @return [Array<Making::PartUse>] the same list for people who make the same
        def carried(piece, key)
          own = piece.work_ups.fetch(key).parts
          below = piece.hung_below.fetch(key, [])
          return own if below.empty?

          (@carried ||= {}.compare_by_identity)[own] ||= own + below.flat_map { |other| piece.work_ups.fetch(other).parts }
        end

        def judge(component, line, strands, uses)
          join = Making::Join.new(kind: :weight, inner: line, outer: line, at: 0.0, passes: strands, component: component)
          unknown, grams = weight(uses)
          return found(join, :unknown, :mass_missing, missing: unknown.map { |part|
            [part, :material]
          }, values: { name: unknown.first.name }) if unknown.any?
          return ask(join, line, :rated_load_grams) unless line.rated_load_grams

          weigh(join, line, strands, grams)
        end

        # @param uses [Array<Making::PartUse>] which people share who make the same
        # @return [(Array<Catalogue::Part>, Float)] those of unknown weight, grams of all where there are none
        def weight(uses)
          @weights ||= {}.compare_by_identity
          @weights[uses] ||= scales.unknown(uses).then { |unknown| [unknown, unknown.empty? ? scales.grams(uses) : nil] }
        end

        def weigh(join, line, strands, grams)
          share = grams * SAFETY / (line.rated_load_grams * strands)
          status = if share > 1 then :will_not
                   else share > 0.8 ? :tight : :fits
                   end
          found(join, status, :"load_#{status}", defaults: [:safety], cures: status == :fits ? [] : cures(line, strands, grams),
            values: { line: line.name, grams: grams.round, asked: (grams * SAFETY).round,
            rated: line.rated_load_grams * strands, strands: strands })
        end

        def cures(line, strands, grams)
          stronger = @table.lines.values.select { |other|
            other.kind == line.kind && (other.rated_load_grams || 0) * strands * 0.8 >= grams * SAFETY
          }
          ranked(stronger.map { |other| swap_line(line, other) })
        end
      end
    end
  end
end
