# frozen_string_literal: true

module Core
  module Live
    # Pieces that must be left alone until they are dry.
    module Drying
      # @param person attendee key
      # @param at seconds at which it is dry
      Piece = Value.define(:person, :at)

      module_function

      # @param evening [LiveState] @param now [Numeric] seconds @return [Array<Piece>] not dry yet, the first first
      def of(evening, now)
        return [] unless evening.started

        pieces = evening.people.values.filter_map do |person|
          at = dry_at(evening, person)
          Piece.new(person: person.key, at: at) if at && at > now
        end
        pieces.sort_by(&:at)
      end

      # @return [Numeric, nil] seconds
      def dry_at(evening, person)
        left = evening.started
        (0...person.place).filter_map do |place|
          left += person.times.fetch(place, []).sum
          waits = person.tasks[place].step.waits
          left + (waits * 60) if waits.positive?
        end.max
      end
      private_class_method :dry_at
    end
  end
end
