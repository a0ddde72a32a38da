# frozen_string_literal: true

module Formats
  # Reads a body measure as typed, with the unit it names, the unit its column names, or the one unit that makes sense.
  module MeasureText
    # @param length nil when unreadable
    # @param problem [wording key below imports, values] or nil
    # @param guessed whether the unit was ours
    Result = Core::Value.define(:length, :problem, :guessed)

    module_function

    # @param text [String] @param body [Symbol] @param unit [Symbol, nil] taken where the text names none
    # @return [Result]
    def read(text, body, unit = nil)
      unit_named = text.match?(/[a-z"″']/i)
      fallback = unit || Core::People::Measures.guess_unit(body, text)
      length = Core::Measure::Length.parse(text, default_unit: fallback)
      Result.new(length: length, problem: bounds_problem(length, body, text), guessed: !unit_named && unit.nil?)
    rescue Core::Measure::NotALength => e
      Result.new(length: nil, guessed: false, problem: [e.reason == :no_unit ? :unit_needed : :measure_unreadable, { text: text }])
    end

    def bounds_problem(length, body, text)
      return if Core::People::Measures.believable?(body, length)

      bounds = Core::People::Measures::BOUNDS.fetch(body)
      meant = Core::People::Measures.meant(body, text)
      [:not_believable,
       {
         length: length,
         body: body,
         lowest: Core::Measure::Length.mm(bounds.begin),
         highest: Core::Measure::Length.mm(bounds.end),
         meant: meant.any? ? "Did you mean #{meant.join(' or ')}?" : 'Measure again.'
       }]
    end
    private_class_method :bounds_problem
  end
end
