# frozen_string_literal: true

module Core
  module Logbook
    # Parts of one kind that were used in a class, and how many spares went.
    #
    # @param kind of part
    # @param uses as if all had been of level 3, whose losses are the usual ones
    # @param session names the class
    # @param weight how much it counts
    Lost = Value.define(:kind, :uses, :lost, :session, weight: 1.0)

    class Lost
      # @param used [PartsUsed] @return [Array<Lost>] one for each kind; none where what was lost is not known
      def self.of(used, session)
        return [] if used.unknown?

        kinds = used.spares.filter_map { |key| used.kind(key) }.tally
        used.uses.group_by { |use| use.part.kind }.map do |kind, same|
          new(kind: kind, uses: same.sum { |use| use.number * Materials::Loss::BY_LEVEL.fetch(use.level) }, lost: kinds.fetch(kind, 0),
            session: session)
        end
      end
    end
  end
end
