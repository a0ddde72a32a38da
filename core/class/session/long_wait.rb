# frozen_string_literal: true

module Core
  module Session
    # The longest time that several wait for one person before something is shown, in one simulated class.
    #
    # @param waiting [person key] who wait
    # @param from minute at which the first of them does
    # @param to minute at which it is shown
    # @param whom key of the one they wait for
    # @param step label of the step before which it is shown
    # @param cause what that person's time went into beside work and watching: :wait_tool, :wait_help, :helped, or :work where it was
    #   their work alone
    # @param minutes of the longest stretch of that
    # @param ended minute at which that stretch was over
    # @param at label of the step of that stretch, nil for work
    LongWait = Value.define(:waiting, :from, :to, :whom, :step, :cause, :minutes, :ended, :at)

    class LongWait
      # Less is no finding (from memory).
      LEAST_MINUTES = 10
      LEAST_PEOPLE = 2
      CAUSES = %i[wait_tool wait_help helped].freeze

      class << self
        # @param rows [Hash{String=>Array<Steps::Segment>}] of one class, by person @return [LongWait, nil]
        def of(rows)
          waits = rows.flat_map { |key, row| row.select { |one| one.kind == :wait_group }.map { |one| [key, one] } }
          together = waits.group_by { |_, one| one.to.round(3) }.values.max_by { |same| same.sum { |_, one| one.minutes } }
          return if together.nil? || together.size < LEAST_PEOPLE || together.map { |_, one| one.minutes }.max < LEAST_MINUTES

          told(rows, together)
        end

        private

        def told(rows, waits)
          shown = waits.first.last.to
          whom = last_to_come(rows, waits.map(&:first), shown) or return
          longest = longest(rows.fetch(whom), shown)
          new(waiting: waits.map(&:first), from: waits.map { |_, one| one.from }.min, to: shown, whom: whom, step: waits.first.last.step,
            cause: longest&.kind || :work, minutes: longest ? longest.minutes : 0.0, ended: longest ? longest.to : shown, at: longest&.step)
        end

        # Who sees it then and has not waited for it.
        def last_to_come(rows, waiting, shown)
          rows.keys.find do |key|
            !waiting.include?(key) && rows.fetch(key).any? { |one| one.kind == :demonstration && (one.from - shown).abs < 0.01 }
          end
        end

        def longest(row, shown)
          row.select { |one| CAUSES.include?(one.kind) && one.to <= shown }.max_by(&:minutes)
        end
      end
    end
  end
end
