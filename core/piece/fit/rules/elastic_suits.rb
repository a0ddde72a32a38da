# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # Thick elastic from 8 mm beads up, thin below: thin cord frays and sags under large beads, thick cord hardly goes through small
      # ones and its knot shows (common practice, no source).
      class ElasticSuits < Rule
        key :elastic_suits
        rank 100
        judges :elastic_for_bead

        LARGE = Measure::Length.mm(8)
        THICK = Measure::Length.mm(0.8)

        def call(join)
          large = join.outer.outer >= LARGE
          margin = large ? join.inner.thickness - THICK : THICK - join.inner.thickness
          about = { margin: margin, defaults: %i[large thick], values: { elastic: join.inner.name, bead: join.outer.name } }
          return found(join, :fits, :elastic_fits, **about) if large ? !margin.negative? : margin.positive?

          found(join, :tight, large ? :elastic_thin : :elastic_thick, **about,
            cures: suited(large).map { |line| swap_line(join.inner, line) })
        end

        private

        # @return [Array<Catalogue::Line>] the one nearest to the limit
        def suited(large)
          elastics = @table.lines.values.select { |line| line.kind == :elastic }
          (large ? elastics.select { |line| line.thickness >= THICK }.min_by(1,
            &:thickness) : elastics.select { |line| line.thickness < THICK }.max_by(1, &:thickness))
        end
      end
    end
  end
end
