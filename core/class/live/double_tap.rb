# frozen_string_literal: true

module Core
  module Live
    # Two taps that moved someone on almost at once, as when two devices tap for the same person.
    #
    # @param person attendee key
    # @param seconds between them
    # @param tap key of the second
    DoubleTap = Value.define(:person, :seconds, :tap)

    class DoubleTap
      SECONDS = 3
      # Told for so long.
      TOLD_SECONDS = 120

      # @param evening [LiveState] @param now [Numeric] seconds @return [Array<DoubleTap>] the last of each person
      def self.of(evening, now)
        recent = evening.taken.select { |event| event.kind == :next && now - event.at < TOLD_SECONDS }
        recent.group_by(&:person).filter_map do |person, taps|
          first, second = taps.each_cons(2).select { |a, b| b.at - a.at <= SECONDS }.last
          new(person: person, seconds: second.at - first.at, tap: second.key) if second
        end
      end
    end
  end
end
