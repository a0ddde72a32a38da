# frozen_string_literal: true

module Core
  module People
    # Which body measures are believable, in millimetres, from a small child to a very large adult (from memory).
    module Measures
      BOUNDS = { wrist: 80..350, neck: 200..700, ankle: 120..500, length: 10..3000 }.freeze
      # Where a number without a unit leaves no doubt which unit was meant.
      LIKELY = { wrist: 110..260, neck: 260..550, ankle: 160..360, length: 100..1000 }.freeze
      UNITS = %i[mm cm in].freeze

      # What most people of an age measure, in millimetres; the last holds for adults (from memory).
      USUAL_BY_AGE = { wrist: [[5, 110..150], [8, 115..160], [11, 125..170], [14, 130..185], [nil, 130..230]],
                       neck: [[5, 230..290], [8, 245..310], [11, 260..330], [14, 275..380], [nil, 290..480]],
                       ankle: [[5, 140..190], [8, 160..215], [11, 180..240], [14, 190..275], [nil, 190..330]] }.freeze

      module_function

      # @param age [Integer, nil] years; nil counts as an adult
      # @return [Boolean] whether a measure is worth asking about again
      def unusual?(body, length, age)
        by_age = USUAL_BY_AGE[body] or return false
        _, usual = by_age.find { |most, _| most.nil? || (age && age <= most) }
        !usual.cover?(length.to_mm)
      end

      # @param body [Symbol] a key of BOUNDS
      def believable?(body, length)
        BOUNDS.fetch(body).cover?(length.to_mm)
      end

      # @param text [String] a number, with or without a unit
      # @return [Symbol, nil] the one unit that makes it a likely measure; nil when it says its own or none or several do
      def guess_unit(body, text)
        fitting = UNITS.select { |unit| LIKELY.fetch(body).cover?(Measure::Length.parse(text, default_unit: unit).to_mm) }
        fitting.first if fitting.one?
      rescue Measure::NotALength
        nil
      end

      # @return [Array<String>] the same number in units that would make it believable, such as "190 mm" for "190 in"
      def meant(body, text)
        number = text.to_s[%r{[\d.,/ ]+}].to_s.strip
        UNITS.filter_map do |unit|
          "#{number} #{unit}" if believable?(body, Measure::Length.parse(number, default_unit: unit))
        end
      rescue Measure::NotALength
        []
      end
    end
  end
end
