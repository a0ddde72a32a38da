# frozen_string_literal: true

module Core
  module Logbook
    # What one held class says, by what was tapped in it.
    #
    # @param session names it
    # @param people how many came
    # @param signed_up how many were to come, zero where nothing was tapped
    # @param late minutes from the planned start to when it began, nil where that is not known
    # @param tries [TimeObservation]
    # @param times [TimeSaid] by the tries
    # @param lost [Lost]
    # @param lots [LotUse]
    # @param calls [Calls]
    # @param visits [Visits]
    # @param came_out [LengthObservation]
    # @param told the chance that all would finish, by its plan, nil where it cannot be simulated
    # @param came_true whether they did, nil where that is not known
    # @param teaches whether plans may learn from it
    # @param irregular share of the steps that were tapped late, or with the next
    HeldClass = Value.define(:session, :date, :people, tries: [].freeze, times: [].freeze, lost: [].freeze, lots: [].freeze,
      calls: [].freeze, visits: [].freeze, came_out: [].freeze, told: nil, came_true: nil, teaches: true, irregular: 0.0,
      signed_up: 0, late: nil)

    class HeldClass
      # Runs in which is counted how often all finish.
      RUNS = 100
      # Minutes; what begins further from its time was held at another.
      LATE_AT_MOST = 90

      # What of it is shown in a list. tries: how many · irregular: whether its taps were
      Summary = Value.define(:people, :tries, :told, :came_true, :teaches, :irregular)

      # @param inputs [Inputs] @param events [Array<Live::Event>] @return [HeldClass]
      def self.of(inputs, events)
        plan = inputs.plan
        evening = Live::LiveState.new(plan, events)
        blank = blank(inputs.workshop, evening.people.values.count(&:here)).with(**attended(inputs.workshop, evening))
        model = Session::Modelling.new(plan, inputs.calibration).model
        return blank if model.is_a?(Session::Impossible)

        simulation = Session::Simulation.new(model)
        return blank.with(told: told(simulation)) if evening.started.nil?

        session = inputs.workshop.key
        beside = Session::BesideWork.watched(simulation)
        work = Live::TappedWork.of(model, evening, beside)
        tries = TimeObservation.of(work, evening, beside, session)
        times = TimesOfClass.new(tries, model.between**2)
        used = PartsUsed.new(plan, evening)
        blank.with(tries: tries, times: times.said, irregular: irregular(work, times),
          lost: Lost.of(used, session), lots: LotUse.of(used, inputs.workshop.date, session),
          calls: [Calls.of(model, evening, session)].compact, visits: [Visits.of(model, evening, beside, session)].compact,
          came_out: LengthObservation.of(plan, evening, session),
          told: told(simulation), came_true: came_true(model, evening).then { |tapped| tapped.nil? ? blank.came_true : tapped })
      end

      # @param people [Integer] who came @return [HeldClass] that says no more than what was noted of it
      def self.blank(workshop, people)
        new(session: workshop.key, date: workshop.date, people: people, teaches: workshop.note.teaches,
          came_true: workshop.note.in_time?(workshop))
      end

      # A class that was tapped on another day says nothing of its start.
      def self.attended(workshop, evening)
        return {} if evening.started.nil?

        planned = Time.local(workshop.date.year, workshop.date.month, workshop.date.day) + (workshop.start.minutes * 60)
        late = (evening.started - planned.to_i) / 60.0
        { signed_up: evening.people.size, late: late.abs <= LATE_AT_MOST ? late : nil }
      end

      def self.told(simulation)
        ends = simulation.run(0...RUNS).ends
        ends.count { |minute| minute <= simulation.model.minutes }.fdiv(ends.size)
      end

      # @return [Boolean, nil] nil where only some finishes were written down, and nobody knows of the others
      def self.came_true(model, evening)
        here = evening.people.values.select(&:here)
        return if here.empty?
        return here.any? { |person| person.times.any? } ? false : nil unless here.all?(&:done?)

        here.map { |person| (person.since - evening.started) / 60.0 }.max + model.clearing <= model.minutes
      end

      def self.irregular(work, times)
        work.taps.zero? ? 0.0 : (work.forgotten.fdiv(work.taps) + times.off).clamp(0, 1)
      end
      private_class_method :told, :came_true, :irregular, :attended

      # @return [Summary]
      def summary
        Summary.new(people: people, tries: tries.size, told: told, came_true: came_true, teaches: teaches,
          irregular: irregular > TimesOfClass::IRREGULAR)
      end

      # @param weight [Float] @return [HeldClass] that counts so much in all that is learnt
      def weighing(weight)
        with(tries: tries.map { |one| one.with(weight: weight) },
          times: times.map { |one| one.with(weight: weight) }, lost: lost.map { |one| one.with(weight: weight) },
          calls: calls.map { |one| one.with(weight: weight) },
          visits: visits.map { |one| one.with(weight: weight) }, came_out: came_out.map { |one| one.with(weight: weight) })
      end
    end
  end
end
