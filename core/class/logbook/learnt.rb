# frozen_string_literal: true

module Core
  module Logbook
    # All that held classes teach.
    #
    # @param times [LearnedValue]
    # @param losses see times
    # @param lots [LotUse] of all classes
    # @param lengths see times
    # @param between Lesson or nil
    # @param help see between
    # @param help_minutes see between
    # @param record TrackRecord
    # @param attendance Attendance
    Learnt = Value.define(:times, :losses, :lots, :lengths, :between, :help, :help_minutes, :record, :attendance)

    class Learnt
      # @param held [Array<HeldClass>] @param calibration [Setup::Calibration] @param fading [Decay]
      def self.of(held, calibration, fading)
        chosen = held.select(&:teaches)
        teaching = chosen.map { |one| one.weighing(fading.weight(one.date)) }
        tries = teaching.flat_map(&:tries)
        between = SpreadLearning.new(calibration).lesson(tries)
        new(times: TimeLearning.new(calibration, between&.value || calibration.between).lessons(teaching.flat_map(&:times)),
          losses: LossLearning.new.lessons(teaching.flat_map(&:lost)),
          lots: chosen.flat_map(&:lots), lengths: LengthLearning.new.lessons(teaching.flat_map(&:came_out)), between: between,
          help: HelpLearning.new(calibration).lesson(teaching.flat_map(&:calls)),
          help_minutes: VisitLearning.new(calibration).lesson(teaching.flat_map(&:visits)), record: TrackRecord.of(chosen),
          attendance: Attendance.of(held))
      end
    end
  end
end
