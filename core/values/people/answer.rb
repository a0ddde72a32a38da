# frozen_string_literal: true

module Core
  module People
    # What someone answers who was invited to a class, before they are taken in.
    #
    # @param measure Measure::Length or nil
    # @param written how they wrote it, such as "17 cm"
    # @param done {technique key => :never, :some or :often}
    # @param needs Needs
    # @param brings tool keys
    # @param mail '' where they gave none
    Answer = Value.define(:name, measure: nil, written: '', done: {}.freeze, needs: Needs.new, colourway: nil, brings: [].freeze, note: '',
      mail: '')

    class Answer
      # Repeats that are taken for how often something was done (from memory).
      TIMES = { never: 0, some: 2, often: 12 }.freeze
      # So large a share of what is asked of a level, to be on it (from memory).
      ENOUGH = 0.5

      # @param asked [Array<Catalogue::Technique>] @return [Integer] 1 to 5: one above the last level of which, and of all below, they did
      #   enough; nobody is taken for higher than what was asked of
      def level(asked)
        reached = 1
        asked.group_by(&:level).sort.each do |level, techniques|
          return reached if techniques.count { |one| done.fetch(one.key, :never) != :never } < techniques.size * ENOUGH

          reached = [level + (often?(techniques) ? 1 : 0), reached].max
        end
        [reached, asked.map(&:level).max.to_i + 1, Catalogue::Technique::LEVELS.end].min.clamp(1, Catalogue::Technique::LEVELS.end)
      end

      # @param key [String] of the attendee @param asked [Array<Catalogue::Technique>] @param body [Symbol] what the project is sized by
      # @return [Attendee]
      def attendee(key, asked, body)
        experience = done.transform_values { |often| TIMES.fetch(often) }.reject { |_, times| times.zero? }
        Attendee.new(key: key, name: name, level: level(asked), measures: measure ? { body => measure } : {}, needs: needs, notes: note,
          colourway: colourway, brings: brings, experience: experience.transform_values { |times| Experience.new(times: times, last: nil) })
      end

      private

      def often?(techniques)
        techniques.count { |one| done[one.key] == :often } >= techniques.size * ENOUGH
      end
    end
  end
end
