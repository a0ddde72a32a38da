# frozen_string_literal: true

module Web
  module Presenters
    # What those take home who have not finished: what is left to do, on paper and as a code that holds the text itself.
    class Home < Print
      include Paper

      # name · steps: words of what is left · code: SVG, nil where too many would have to be worked out at once
      Sheet = Core::Value.define(:key, :name, :steps, :care, :code)

      MOST_CODES = 6

      # @param evening [Core::Live::LiveState] @param person [String] key of the only one to show, '' for all
      def initialize(result, evening, unit:, person: '')
        super(result, unit: unit, seat: '')
        @evening = evening
        @person = person
      end

      # @return [Array<Sheet>] of everyone who has something left
      def sheets
        @sheets ||= unfinished.map { |person| sheet(person) }
      end

      private

      def unfinished
        @unfinished ||= @evening.people.values.select { |person|
          person.here && !person.done? && (@person.empty? || person.key == @person)
        }
      end

      def sheet(person)
        one = plan.person(person.key)
        steps = person.left.map { |task| step_words(task.step) }
        care = wear_words(one)
        Sheet.new(key: person.key, name: one.attendee.name, steps: steps, care: care,
          code: (code(one, steps, care) if unfinished.size <= MOST_CODES))
      end

      def code(one, steps, care)
        numbered = steps.each_with_index.map { |words, i| "#{i + 1}. #{words}" }
        Formats::QrSvg.draw([plan.design.name, *numbered, care].compact.join("\n"),
          title: "What is left for #{one.attendee.name}, as a code")
      end
    end
  end
end
