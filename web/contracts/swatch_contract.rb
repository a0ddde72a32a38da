# frozen_string_literal: true

module Web
  module Contracts
    # What someone measured on a piece of their own; empty takes it back.
    class SwatchContract < Contract
      texts :measured, :whose, :value

      # measured: {its address in the form => Core::Making::OwnMeasure::Use} · makers: [keys of people]
      option :measured
      option :makers

      STUDIO = 'studio'

      rule(:measured) { key.failure('Choose what you measured.') unless measured.key?(value) }
      rule(:whose) { key.failure('Choose whose measure it is.') unless [STUDIO, *makers].include?(value) }
      rule(:value, :measured) do
        use = measured[values[:measured]]
        next if use.nil? || values[:value].empty?

        range = use.measure.range
        good = range.cover?(SwatchContract.number(use, values[:value]) || -1)
        unit = use.measure.unit == :mm ? 'a length such as 31 mm,' : 'a number'
        key(:value).failure("Give #{unit} from #{range.begin} to #{range.end}, or leave it empty to take it back.") unless good
      end

      # @param use [Core::Making::OwnMeasure::Use] @return [Float, nil]
      def self.number(use, text)
        return Core::Measure::Length.parse(text, default_unit: :mm).to_mm.to_f if use.measure.unit == :mm

        text.tr(',', '.').to_f if text.match?(DECIMAL)
      rescue Core::Measure::NotALength
        nil
      end
    end
  end
end
