# frozen_string_literal: true

module Core
  module Logbook
    # How many of one part a class used, and how many of them were no good.
    #
    # @param part its key
    # @param date of the class
    # @param used without those that were no good
    # @param session names the class
    LotUse = Value.define(:part, :date, :used, :rejected, :session)

    class LotUse
      # @param used [PartsUsed] @param date of the class
      # @return [Array<LotUse>] one for each part; none where what was lost is not known
      def self.of(used, date, session)
        return [] if used.unknown?

        rejected = used.rejects.tally
        used.uses.group_by { |use| use.part.key }.map do |key, same|
          new(part: key, date: date, used: same.sum(&:number), rejected: rejected.fetch(key, 0), session: session)
        end
      end
    end
  end
end
