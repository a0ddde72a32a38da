# frozen_string_literal: true

module Core
  module Session
    # Every kind of lever, and those that one class's plan leaves room for. A new kind is one file and one line here.
    module Levers
      ALL = [MoreTool, LetStandIn, Assistant, Prepare, Easier, Shorter, Demonstrations, Stagger, DropExtra, Longer, Fewer].freeze
      CODES = ALL.map(&:code).freeze

      module_function

      # @param plan [Plan] @param calibration [Calibration] @param seat [Integer] minor units of a seat's price, 0 when not known
      # @return [Array<Lever>]
      def all(plan, calibration, seat: 0)
        room = Room.new(plan, calibration, seat)
        room.people.empty? ? [] : ALL.flat_map { |lever| lever.in_room(room) }
      end
    end
  end
end
