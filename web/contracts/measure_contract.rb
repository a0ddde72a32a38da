# frozen_string_literal: true

module Web
  module Contracts
    # One missing measure of a part or line.
    class MeasureContract < Contract
      texts :item, :measure, :value

      # The part or line, nil where there is none.
      option :item

      LENGTH = ->(text) { Core::Measure::ThicknessText.read(text) }
      GRAMS = ->(text) { text.to_i if text.match?(/\A[1-9]\d{0,6}\z/) }
      # How each measure's text is read; nil from a reader means it is not good.
      READERS = {
        'hole' => LENGTH,
        'wire' => LENGTH,
        'faces_with' => ->(text) { text.downcase.to_sym if %w[odd even].include?(text.downcase) },
        'material' => ->(text) { text.downcase if Core::Catalogue::Mass::DENSITIES.key?(text.downcase) },
        'rated_load_grams' => GRAMS,
        'holds_grams' => GRAMS
      }.freeze

      rule(:value, :measure) do
        what = problem(values[:value], values[:measure])
        key(:value).failure(what) if what
      end

      # @return [String, nil]
      def problem(text, measure)
        return Formats::Wording.say('measures.unknown') unless item && READERS.key?(measure) && item.respond_to?(measure)

        found = READERS.fetch(measure).call(text) or return Formats::Wording.say("measure_hints.#{measure}")
        changed = item.with(measure.to_sym => found)
        Formats::Wording.say('gauge_errors.hole_larger') if changed.is_a?(Core::Catalogue::Part) && changed.contradictions.any?
      rescue Core::Measure::ThicknessText::Unreadable => e
        Formats::Wording.say("gauge_errors.#{e.reason}", text: e.text)
      end
    end
  end
end
