# frozen_string_literal: true

module Core
  module Setup
    # What turns an experienced maker's times into a class's. All values from memory until a logbook replaces them.
    Calibration = Fields.define do
      field :pace, :by_level, each: { type: :number, within: 0.1..20 },
        default: { 1 => 2.2, 2 => 1.6, 3 => 1.25, 4 => 1.0, 5 => 0.8 }.freeze, says: 'by level, time against that of an experienced maker'
      field :welcome_minutes, :number, within: 0..240, default: 10, shown: :calibration, says: 'minutes at the beginning'
      field :clearing_minutes, :number, within: 0..240, default: 10, shown: :calibration, says: 'minutes at the end'
      field :quick, :number, within: 0.1..1, default: 0.7, shown: :calibration, says: 'shortest time of a step against its usual one'
      field :slow, :number, within: 1..10, default: 1.9, shown: :calibration, says: 'longest time of a step against its usual one'
      field :between, :number, within: 0..1, default: 0.15, shown: :calibration,
        says: 'how much people of one level differ, as a coefficient of variation'
      field :evening, :number, within: 0..1, default: 0.1, shown: :calibration,
        says: 'how much one evening differs from another in all its work, as a spread of the logarithm'
      field :doubt, :number, within: 0..1, default: 0.2, shown: :calibration,
        says: 'how far the time of a technique may be from the truth, as a spread of the logarithm'
      field :learning, :number, within: 0.5..1, default: 0.88, shown: :calibration, says: 'time of the doubled repeat against the repeat'
      field :help, :number, within: 0..1, default: 0.45, shown: :calibration,
        says: 'chance that someone to whom a technique is new calls for help once'
      field :help_minutes, :number, within: 0.1..60, default: 2.5, shown: :calibration, says: 'minutes of one visit'
      field :assistant_pace, :number, within: 0.5..5, default: 1.2, shown: :calibration,
        says: "time of an assistant's visit against that of the instructor"
      field :put_down, :number, within: 0..10, default: 0.5, shown: :calibration,
        says: 'minutes until an instructor comes who makes a piece'
      field :neighbours, :number, within: 0..1, default: 0.15, shown: :calibration,
        says: 'share of calls that a neighbour with nothing to do answers'
      field :walking_minutes, :number, within: 0..10, default: 0.2, shown: :calibration, says: 'minutes to fetch a shared tool'
      field :fatigue, :number, within: 0..1, default: 0.08, shown: :calibration,
        says: 'how much slower people who are tired work, as a share'
      field :tires_after, :number, within: 1..720, default: 60, shown: :calibration,
        says: 'minutes of work without a break after which people tire'
      field :losses, :by_key, each: { type: :number, within: 0..0.9 }, default: {}.freeze,
        says: 'by kind of part, the share of uses that is lost at level 3, where classes showed it'
      field :rejects, :by_key, each: { type: :number, within: 0..0.9 }, default: {}.freeze,
        says: 'by part, the share of the lot on the shelf that is no good, where classes showed it'
    end

    class Calibration
      # What is known of people before any class counts as if so many had shown it (from memory).
      PEOPLE_BEFORE = 12.0

      # @param keys [Array<String>] of parts of which a new lot came @return [Calibration]
      def without_rejects(keys)
        with(rejects: rejects.except(*keys))
      end
    end
  end
end
