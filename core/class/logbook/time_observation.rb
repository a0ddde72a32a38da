# frozen_string_literal: true

module Core
  module Logbook
    # One step that one person finished in a class.
    #
    # @param technique its key
    # @param session names the class
    # @param person names who did it
    # @param planned minutes of the work, on average over people of this level
    # @param minutes the work took; may be negative where taps are wrong
    # @param variance of the minutes about what is expected of this person, by chance and by what was tapped together with it
    # @param by_others whether taps of others tell when it began
    # @param weight how much it counts
    TimeObservation = Value.define(:technique, :session, :person, :planned, :minutes, :variance, by_others: false, weight: 1.0)

    class TimeObservation
      # What is to a good part waiting, help and looks says little of a technique: those depend on all others.
      LEAST_WORK = 0.75
      # So does what was tapped with other steps that take most of the time.
      LEAST_SHARE = 0.5
      # Where more than this share of the taps was forgotten, nobody knows from the taps of others when someone began.
      MOST_FORGOTTEN = 0.08

      # @param work [Live::TappedWork] @param evening [Live::LiveState] @param beside [Session::BesideWork] of its class
      # @return [Array<TimeObservation>] of what was finished
      def self.of(work, evening, beside, session)
        work.done.filter_map do |one|
          task = evening.people[one.person].tasks[one.place]
          next unless task.kind == :step && one.share >= LEAST_SHARE && one.task.minutes / beside.whole(one.task) >= LEAST_WORK
          next if one.by_others && work.forgotten > MOST_FORGOTTEN * work.taps

          new(technique: task.technique.key, session: session, person: one.person, planned: one.task.minutes, minutes: one.minutes,
            variance: work.chance(one.task) + (((1 - one.share) * TimeLearning::BEFORE * one.task.minutes)**2), by_others: one.by_others)
        end
      end

      # @return [Float] of what was planned
      def ratio
        minutes / planned
      end

      # @return [Float] variance of the ratio
      def spread
        variance / (planned**2)
      end
    end
  end
end
