# frozen_string_literal: true

module Core
  module Fit
    # Rings and extenders that may be added at the closure of a piece: only where it closes by parts that hang in one another, only what
    # suits the wearer, and only what goes together with the closure.
    module Additions
      module_function

      # @param piece [Sizing::Piece]
      # @param table [Catalogue::Table]
      # @param attendee [People::Attendee, nil] nil for anyone
      # @return [Array<Catalogue::Part>]
      def for(piece, table, attendee = nil)
        closing = piece.closing_parts
        return [] if closing.empty?

        person = Rules::SuitsPerson.new(table)
        holds = Rules::RingHolds.new(table)
        table.parts.values.select { |part| addition?(part) }.reject do |part|
          (attendee && person.forbids?(attendee.needs, part)) || closing.any? { |other| refuses?(holds, part, other) }
        end
      end

      def addition?(part)
        (part.kind == :ring && !part.soldered) || part.play.positive?
      end

      # An extender hangs in a ring; a ring takes what is beside it.
      def refuses?(holds, part, other)
        return false unless part.kind == :ring && other.wire_thickness

        join = Making::Join.new(kind: :hangs_in, inner: other, outer: part, at: 0.0)
        holds.call(join).status == :will_not
      end
      private_class_method :addition?, :refuses?
    end
  end
end
