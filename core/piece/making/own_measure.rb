# frozen_string_literal: true

module Core
  module Making
    # What a maker may measure in place of geometry. name
    #
    # @param unit :mm or :number
    # @param range of its value
    OwnMeasure = Value.define(:name, :unit, :range)

    class OwnMeasure
      # One such measure as a construction uses it.
      #
      # @param construction its key
      # @param line Catalogue::Line
      # @param about see Catalogue::Swatch
      # @param usual by geometry or from memory
      # @param own what was measured, nil where nothing was
      Use = Value.define(:construction, :measure, :line, :about, :usual, own: nil) do
        # @return [Float] planned with
        def value
          own || usual
        end

        # @param value [Float] @return [Catalogue::Swatch]
        def swatch(value)
          Catalogue::Swatch.new(construction: construction, measure: measure.name, line: line.key, about: about, value: value)
        end
      end
    end
  end
end
