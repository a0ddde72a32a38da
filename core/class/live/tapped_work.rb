# frozen_string_literal: true

module Core
  module Live
    # How long the work at each step took, as far as taps tell. A tap that is late lengthens one step and shortens the next; one that was
    # forgotten comes with the next: steps tapped together share their time by what was planned.
    class TappedWork
      # How far a tap is from the truth where nobody is late with any, in minutes, and how many pairs of steps that counts as (from memory).
      PUNCTUAL = 0.25
      BEFORE = 20

      # What one person did of one step.
      #
      # @param minutes of work alone, at the pace of someone who is not tired
      # @param share of the minutes that were tapped together with other steps; 1 where it was tapped alone
      # @param by_others whether taps of others tell when it began
      Done = Value.define(:person, :place, :task, :minutes, share: 1.0, by_others: false) do
        def alone?
          share >= 1
        end
      end

      # @return [TappedWork] of a whole evening
      def self.of(model, evening, beside)
        new(model, WorkStarts.new(model, evening), evening, beside)
      end

      # @param model [Session::Model] @param starts [WorkStarts] @param evening [LiveState] @param beside [Session::BesideWork]
      def initialize(model, starts, evening, beside)
        @model = model
        @starts = starts
        @evening = evening
        @beside = beside
        @calls_tapped = evening.people.each_value.any? { |person| person.helped.any? }
      end

      # @return [Array<Done>] of all
      def done
        @done ||= @model.people.flat_map { |person| of(person) }
      end

      # @return [Integer] how many steps were left
      def taps
        groups.sum(&:size)
      end

      # @return [Integer] how many taps came only with the next
      def forgotten
        groups.sum { |group| group.size - 1 }
      end

      # How irregular the taps are. A late tap makes one step longer and the next one shorter by the same amount, so the covariance of
      # neighbouring steps is minus the variance of a tap (a moving average of order one; Box and Jenkins, Time Series Analysis, 3.3).
      # @return [Float] variance of a tap about the truth, in square minutes
      def noise
        @noise ||= begin
          pairs = off.each_value.flat_map { |own| own.each_cons(2).filter_map { |(a, x), (b, y)| -x * y if b == a + 1 } }
          [((BEFORE * (PUNCTUAL**2)) + pairs.sum) / (BEFORE + pairs.size), PUNCTUAL**2].max
        end
      end

      # @return [Float] variance of the minutes of a step about what is expected of this person: by chance, and by its taps
      def variance(task)
        chance(task) + (2 * noise)
      end

      # Of the work itself (lognormal), and of a visit that comes or does not, where visits are not tapped.
      # @return [Float] variance of the minutes of a step about what is expected of this person, by chance alone
      def chance(task)
        own = (task.minutes**2) * (Math.exp(@model.sigmas[task.sigma]**2) - 1)
        @calls_tapped ? own : own + (@model.calls(task) * (@model.help_minutes**2) * Math.exp(Session::Engine::HELP_SIGMA**2))
      end

      private

      def groups
        @groups ||= @model.people.flat_map { |person| together(person) }
      end

      # @return [Array<Done>] of one person
      def of(person)
        together(person).select { |group| told?(group) }.flat_map do |group|
          minutes = group.sum { |step| work_alone(step) }
          planned = group.sum { |step| step.task.minutes }
          group.map { |step|
            share = planned.positive? ? step.task.minutes / planned : 1.0
            Done.new(person: person.key, place: step.place, task: step.task, minutes: minutes * share, share: share,
              by_others: group.first.told_by == :others)
          }
        end
      end

      # @return [Array<Array<WorkStarts::Step>>] steps of one person that were tapped at one time
      def together(person)
        steps = @starts.of(person.key).select(&:left)
        steps.slice_when { |before, step| step.place != before.place + 1 || !step.with_the_last? }.to_a
      end

      # What was waited for between two steps that were tapped together, no tap tells.
      def told?(group)
        group.all? { |step| step.told? && step.task.needs_dry.empty? } && group.drop(1).none? { |step| @starts.waits?(step.task) }
      end

      def work_alone(step)
        called = @evening.people[step.person.key].helped.fetch(step.place, 0) / 60.0 if @calls_tapped && !step.task.check
        @beside.work_alone(step.task, minute(step.began), minute(step.left), called: called)
      end

      def minute(seconds)
        (seconds - @evening.started) / 60.0
      end

      # @return [Hash{String=>Array<(Integer, Float)>}] person => places with minutes more than the evening's pace of step and person
      def off
        told = done.select { |one| one.alone? && one.task.minutes.positive? }
        steps = pace(told, ->(one) { one.task.label }) { 1.0 }
        people = pace(told, :person.to_proc) { |one| steps.fetch(one.task.label) }
        told.group_by(&:person).transform_values do |own|
          own.sort_by(&:place).map do |one|
            [one.place, one.minutes - (one.task.minutes * steps.fetch(one.task.label) * people.fetch(one.person))]
          end
        end
      end

      def pace(told, by)
        told.group_by(&by).transform_values { |same| same.sum(&:minutes) / same.sum { |one| one.task.minutes * yield(one) } }
      end
    end
  end
end
