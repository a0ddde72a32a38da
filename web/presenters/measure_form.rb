# frozen_string_literal: true

module Web
  module Presenters
    # One missing measure of a part or line.
    class MeasureForm
      # How each measure's text is read; nil from a reader means it is not good.
      READERS = {
        'hole' => ->(text) { Core::Measure::ThicknessText.read(text) },
        'faces_with' => ->(text) { text.downcase.to_sym if %w[odd even].include?(text.downcase) },
        'material' => ->(text) { text.downcase if Core::Catalogue::Mass::DENSITIES.key?(text.downcase) },
        'rated_load_grams' => ->(text) { text.to_i if text.match?(/\A[1-9]\d{0,6}\z/) }
      }.freeze

      attr_reader :error

      def initialize(studio, params)
        @studio = studio
        @key, @measure, @text = %w[item measure value].map { |name| params[name].is_a?(String) ? params[name].scrub.strip : '' }
        @changed = read
      end

      def valid?
        error.nil?
      end

      # @return [Core::Catalogue::Part, Core::Catalogue::Line, nil]
      def item
        table = @studio.catalogue.table
        table.parts[@key] || table.lines[@key]
      end

      def save
        @studio.catalogue.save(item.is_a?(Core::Catalogue::Part) ? :parts : :lines, [@changed])
      end

      private

      def read
        return refuse('measures.unknown') unless item && READERS.key?(@measure) && item.respond_to?(@measure)

        value = READERS.fetch(@measure).call(@text) or return refuse("measure_hints.#{@measure}")
        changed = item.with(@measure.to_sym => value)
        return refuse('gauge_errors.hole_larger') if changed.is_a?(Core::Catalogue::Part) && changed.contradictions.any?

        changed
      rescue Core::Measure::ThicknessText::Unreadable => e
        refuse("gauge_errors.#{e.reason}", text: e.text)
      end

      def refuse(key, **values)
        @error = "“#{@text}” was not entered. #{Formats::Wording.say(key, **values)}"
        nil
      end
    end
  end
end
