# frozen_string_literal: true

module Core
  module Live
    # What a class took against what was planned. When work at a step began is told by Starts, where the class can be simulated; else the
    # time from one tap to the next counts, with watching and waiting.
    class Record
      # @param step Making::StepUse, the first of its kind
      # @param planned minutes on average over those who did it
      # @param taken see planned
      # @param people how many did
      # @param spread least and most minutes taken
      # @param range in which 8 of 10 planned times lie, nil where that is not known
      Row = Value.define(:step, :planned, :taken, :people, :spread, :range)
      # When one finished.
      #
      # @param minute from the start
      # @param early 8 of 10 planned finishes lie between
      # @param late see early
      # @param behind minutes after the middle of those, negative for ahead
      Finish = Value.define(:person, :minute, :early, :late, :behind)

      # @param evening [LiveState] @param model [Session::Model, nil] of its plan @param forecast [Session::Forecast, nil]
      def initialize(evening, model = nil, forecast = nil)
        @evening = evening
        @forecast = forecast
        @clearing = model ? model.clearing : 0
        @starts = WorkStarts.new(model, evening) if model && evening.started
      end

      # @return [Boolean] whether waiting and watching are taken out of what was taken
      def work_alone?
        !@starts.nil?
      end

      # @return [Array<Row>] in the order of the work; steps that nobody has finished are not in it
      def rows
        done.group_by { |task, _| task.step.key }.map { |label, same|
          minutes = same.map(&:last)
          Row.new(step: same.first.first.step, planned: same.sum { |task, _| task.minutes }.fdiv(same.size),
            taken: minutes.sum / minutes.size, people: same.size, spread: minutes.minmax, range: range(label))
        }
      end

      # @return [Hash{String=>Float}] minutes from the start after which each who finished had done
      def finished
        @evening.people.values.select(&:done?).to_h { |person| [person.key, (person.since - @evening.started) / 60.0] }
      end

      # @return [Array<Finish>] the first who finished first; none without a forecast
      def finishes
        return [] if @forecast.nil?

        finished.slice(*@forecast.finishes.keys).sort_by(&:last).map do |key, minute|
          early, late = planned_finish(key)
          Finish.new(person: key, minute: minute, early: early, late: late, behind: minute - planned(key, 0.5))
        end
      end

      # @return [Array(Float, Float)] minutes between which 8 of 10 planned finishes of one person lie
      def planned_finish(key)
        [planned(key, 0.1), planned(key, 0.9)]
      end

      # @param key [String] of a person @return [Array<Steps::Segment>] what they did when, as far as the taps tell
      def segments(key)
        return [] if @starts.nil?

        @starts.of(key).select { |step| step.left && step.began }.flat_map do |step|
          came, began, left = [step.came, step.began, step.left].map { |at| (at - @evening.started) / 60.0 }
          [(Steps::Segment.new(kind: :wait_group, from: came, to: began) if began > came),
           Steps::Segment.new(kind: :work, from: began, to: left, step: step.task.label)].compact
        end
      end

      private

      # Clearing up is no tap.
      def planned(key, share)
        @forecast.finish_at(key, share) - @clearing
      end

      # @return [Array<(Steps::Task, Float)>] what was finished, with its minutes
      def done
        @evening.people.values.flat_map { |person| worked(person).map { |place, minutes| [person.tasks[place], minutes] } }
      end

      def worked(person)
        return person.times.transform_values { |times| times.sum / 60.0 } if @starts.nil?

        @starts.of(person.key).select { |step| step.left && step.began }.to_h { |step| [step.place, (step.left - step.began) / 60.0] }
      end

      def range(label)
        return if @forecast.nil?

        minutes = @forecast.watched.flat_map { |run|
          run.ended.filter_map { |person, ended| ended[label] && run.begun[person][label] && (ended[label] - run.begun[person][label]) }
        }.sort
        [0.1, 0.9].map { |share| Session::Quantile.of(minutes, share) } if minutes.any?
      end
    end
  end
end
