# frozen_string_literal: true

module Core
  module Live
    # What a class took, step by step, against what was planned.
    class Record
      # step: Construction::StepUse, the first of its kind · planned, taken: minutes on average over those who did it · people: how many did
      # spread: least and most minutes taken
      Row = Value.define(:step, :planned, :taken, :people, :spread)

      def initialize(evening)
        @evening = evening
      end

      # @return [Array<Row>] in the order of the work; steps that nobody has finished are not in it
      def rows
        done = @evening.people.values.flat_map { |person| person.times.map { |place, times| [person.tasks[place], times.sum / 60.0] } }
        done.group_by { |task, _| task.step.key }.map { |_, same|
          minutes = same.map(&:last)
          Row.new(step: same.first.first.step, planned: same.sum { |task, _| task.minutes }.fdiv(same.size),
            taken: minutes.sum / minutes.size, people: same.size,
            spread: minutes.minmax)
        }
      end

      # @return [Hash{String=>Float}] minutes from the start after which each who finished had done
      def finished
        @evening.people.values.select(&:done?).to_h { |person| [person.key, (person.since - @evening.started) / 60.0] }
      end
    end
  end
end
