# frozen_string_literal: true

module Web
  module Presenters
    # The page of safe keeping.
    class Keeping
      Copy = Core::Value.define(:name, :at, :reason, :size)
      Line = Core::Value.define(:status, :words)

      attr_reader :folder, :draft

      # @param folder [String] the studio's @param draft [Draft, nil] of how long names stay, as it was refused
      # @param restored [Restorer::Done, nil] what came of putting a copy back last
      def initialize(studio, folder, draft = nil, restored = nil)
        @restored = restored
        @draft = draft
        @studio = studio
        @folder = folder
      end

      # @return [Array<Copy>]
      def copies
        Store::Backups.new(File.join(folder, 'studio.sqlite3')).all.map do |copy|
          Copy.new(name: copy.name, at: copy.at.strftime('%-d %B %Y, %H:%M'), reason: say("copies.reasons.#{copy.reason}"),
            size: megabytes(copy.bytes))
        end
      end

      # @return [String, nil] what came of putting a copy back last
      def restored
        return unless @restored
        return say('copies.not_put_back', name: @restored.copy, problem: @restored.problem) if @restored.problem

        say('copies.put_back', name: @restored.copy, kept: @restored.kept, at: @restored.at.strftime('%H:%M'))
      end

      # @return [Array<Line>] what the studio's doctor finds
      def findings
        Application::Doctor.new(folder).findings.map { |one| Line.new(status: one.status, words: say("doctor.#{one.code}", **one.values)) }
      end

      # @return [String] months after which held classes lose their names
      def names_months
        @studio.settings.names_months.to_s
      end

      # @param field [String] @return [String] what was typed into it, else what is saved
      def entered(field)
        return draft.value(field) if draft&.values&.key?(field)

        { 'copies' => kept, 'months' => names_months }.fetch(field)
      end

      # @return [String] how many copies stay
      def kept
        @studio.settings.copies_kept.to_s
      end

      def states
        Store::Classes::MOST_STATES
      end

      private

      def say(key, **values)
        Formats::Wording.say(key, **values)
      end

      def megabytes(bytes)
        format('%.1f MB', bytes / 1_000_000.0)
      end
    end
  end
end
