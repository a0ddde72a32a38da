# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # What lines carry, with all that hangs below, against what they are rated for, with room to be tugged at.
      class LineBears < Rule
        key :line_bears
        rank 130

        KINDS = %i[cable thread cord elastic].freeze

        # @param piece [Sizing::Piece] @return [Array<Result>] one for each component that hangs on lines
        def on(piece)
          piece.work_ups.filter_map do |key, work_up|
            cuts = work_up.cuts.select { |cut| KINDS.include?(cut.line.kind) }
            judge(key, cuts.first.line, cuts.sum(&:count), loads.carried(piece, key)) if cuts.any?
          end
        end

        private

        def judge(component, line, strands, uses)
          join = Making::Join.new(kind: :weight, inner: line, outer: line, at: 0.0, passes: strands, component: component)
          unknown, grams = loads.weight(uses)
          return found(join, :unknown, :mass_missing, missing: unknown.map { |part|
            [part, :material]
          }, values: { name: unknown.first.name }) if unknown.any?
          return ask(join, line, :rated_load_grams) unless line.rated_load_grams

          weigh(join, line, strands, grams)
        end

        def weigh(join, line, strands, grams)
          status = Load.status(grams * Load::SAFETY / (line.rated_load_grams * strands))
          found(join, status, :"load_#{status}", defaults: [:safety], cures: status == :fits ? [] : cures(line, strands, grams),
            values: { line: line.name, grams: grams.round, asked: (grams * Load::SAFETY).round,
            rated: line.rated_load_grams * strands, strands: strands })
        end

        def cures(line, strands, grams)
          stronger = @table.lines.values.select { |other|
            other.kind == line.kind && (other.rated_load_grams || 0) * strands * Load::NEAR >= grams * Load::SAFETY
          }
          ranked(stronger.map { |other| swap_line(line, other) })
        end
      end
    end
  end
end
