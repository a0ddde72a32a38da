# frozen_string_literal: true

module Web
  module Presenters
    # What those take home who have not finished: what is left to do, on paper and as a code that holds the text itself.
    class Home < Print
      # name · steps: words of what is left · code: SVG
      Sheet = Core::Value.define(:name, :steps, :care, :code)

      # @param evening [Core::Live::Evening]
      def initialize(result, evening, unit:)
        super(result, unit: unit, seat: '')
        @evening = evening
      end

      # @return [Array<Sheet>] of everybody who has something left
      def sheets
        @evening.people.values.select { |person| person.here && !person.done? }.map { |person| sheet(person) }
      end

      private

      def sheet(person)
        one = plan.person(person.key)
        steps = person.left.map { |task| step_words(task.step) }
        care = wear_words(one)
        Sheet.new(name: one.attendee.name, steps: steps, care: care,
          code: Formats::QrSvg.draw([plan.design.name, *steps.each_with_index.map { |words, i| "#{i + 1}. #{words}" }, care].compact.join("\n"),
            title: "What is left for #{one.attendee.name}, as a code"))
      end
    end
  end
end
