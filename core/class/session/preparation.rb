# frozen_string_literal: true

module Core
  module Session
    # What the instructor can do before class, what it saves there, and on which day it is done.
    class Preparation
      # One step that could be, or is, prepared.
      #
      # @param saved minutes in class, added over the people, with what must be prepared before it and is not
      # @param taken minutes of the instructor levels: those it saves
      # @param chosen highest level it is prepared for, 0 for none
      # @param people how many it is prepared for, or would be
      # @param before steps that would be prepared with it, since they come before it
      Candidate = Value.define(:step, :technique, :saved, :taken, :chosen, :people, before: 0) do
        # @return [Float] minutes saved for one minute of preparing
        def worth
          taken.zero? ? 0.0 : saved / taken
        end
      end

      # One thing on the list.
      #
      # @param days before class, as it should be
      # @param code wording key
      # @param step nil for what belongs to no step
      # @param on the day it is done, within what is left
      # @param late whether the day on which it should be done is past
      Task = Value.define(:days, :code, :minutes, step: nil, people: 0, names: '', on: nil, late: false)

      # The instructor works like the most practised (from memory).
      INSTRUCTOR = People::Attendee.new(key: 'instructor', name: '', level: 5)
      MINUTES_A_KIT = 1.5
      # What was glued is left this many days before it is handed on: cement cures overnight.
      CURING_DAYS = 2
      ORDER_DAYS = 10
      # Early enough to order others.
      TEST_DAYS = 9
      # So many of a lot show, 9 times in 10, at least one where 5 of 100 would not do: ln 0.1 / ln 0.95 (binomial).
      SAMPLE = 45
      # From memory.
      SECONDS_A_TEST = 4

      # @param plan [Plan] @param calibration [Setup::Calibration] @param short [Integer] things still to be bought
      # @param today [Date, nil] nil where it is not known: everything is done when it should be
      def initialize(plan, calibration, short: 0, today: nil)
        @today = today
        @plan = plan
        @times = Steps::StepTime.new(calibration, on: plan.workshop.date)
        @short = short
        @people = plan.people.select(&:fitted?)
      end

      # @return [Array<Candidate>] worth most first
      def offers
        @offers ||= @plan.order.steps.select(&:preparable).map { |step| offer(step) }.sort_by { |offer| -offer.worth }
      end

      # @return [Array<Task>] by day, the earliest first; what should have been done by now is first
      def tasks
        return [] if @people.empty?

        prepared = offers.select { |offer| offer.chosen.positive? && offer.people.positive? }
        (before + prepared.map { |offer|
          Task.new(days: offer.step.waits.positive? ? CURING_DAYS : 1, code: :prepare_step, minutes: offer.taken, step: offer.step,
            people: offer.people)
        } + on_the_day)
          .map { |task| dated(task) }.sort_by { |task| [task.on, -task.days, -task.minutes] }
      end

      private

      # Nothing is done before today; what is left is done at once.
      def dated(task)
        date = @plan.workshop.date
        wanted = date - task.days
        task.with(on: [wanted, [@today, date].compact.min].max, late: !@today.nil? && wanted < @today)
      end

      def offer(step)
        technique = @plan.technique_of(step)
        chosen = prepared.level(step)
        doing = @people.select { |person| chosen.zero? || person.attendee.level <= chosen }
        work = chosen.zero? ? prepared.with(step).select { |one| prepared.level(one).zero? } : [step]
        each = work.sum { |one| minutes(one, INSTRUCTOR) }
        saved = doing.sum { |person| work.sum { |one| minutes(one, person.attendee) } }
        Candidate.new(step: step, technique: technique, saved: saved, taken: each * doing.size, chosen: chosen, people: doing.size,
          before: work.size - 1)
      end

      def minutes(step, attendee)
        @times.minutes(step, @plan.technique_of(step), attendee) * @plan.design.made
      end

      def prepared
        @prepared ||= Steps::Prepared.new(@plan.order.steps, @plan.workshop.teaching.prepared)
      end

      # @return [Array<Catalogue::Part>] beads that lines pass, of whose lot nothing was tested
      def untested
        passed = @people.flat_map { |person| person.piece.joins }.uniq.select { |join| join.kind == :lines_through }.map(&:outer)
        passed.uniq.select { |part| part.bead? && part.tested.zero? && !part.made? }
      end

      def test_lots
        lots = untested
        return if lots.empty?

        number = [SAMPLE, lots.map { |part| @plan.needs.find { |need| need.part == part }&.count.to_i }.max].min
        Task.new(days: TEST_DAYS, code: :test_lots, minutes: lots.size * number * SECONDS_A_TEST / 60.0, people: number,
          names: lots.map(&:name).join('; '))
      end

      def before
        [test_lots, (Task.new(days: ORDER_DAYS, code: :order, minutes: 10, people: @short) if @short.positive?),
         Task.new(days: 2, code: :pack, minutes: @plan.kits.size * MINUTES_A_KIT, people: @plan.kits.size)].compact
      end

      def on_the_day
        counted = @plan.tools.select { |need| need.tool.counted }
        [Task.new(days: 0, code: :lay_tools, minutes: 10, names: @plan.tools.select { |need|
          need.users.positive?
        }.map { |need| "#{need.needed} × #{need.tool.name.downcase}" }.join(', ')),
         (Task.new(days: 0, code: :count_out, minutes: 2, names: counted.map { |need|
           "#{need.needed} × #{need.tool.name.downcase}"
         }.join(', ')) if counted.any?)].compact
      end
    end
  end
end
