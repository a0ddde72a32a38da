# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # Thick elastic from 8 mm beads up: thin cord frays and sags under them (common practice, no source).
      class ElasticSuits < Rule
        key :elastic_suits
        judges :elastic_for_bead

        LARGE = Measure::Length.mm(8)
        THICK = Measure::Length.mm(0.8)

        def call(join)
          margin = join.outer.outer < LARGE ? join.inner.thickness : join.inner.thickness - THICK
          about = { margin: margin, defaults: %i[large thick], values: { elastic: join.inner.name, bead: join.outer.name } }
          return found(join, :fits, :elastic_fits, **about) unless margin.negative?

          thicker = @table.lines.values.select { |line| line.kind == :elastic && line.thickness >= THICK }.min_by(&:thickness)
          found(join, :tight, :elastic_thin, **about, cures: [thicker].compact.map { |line| swap_line(join.inner, line) })
        end
      end
    end
  end
end
