# frozen_string_literal: true

module Core
  module Levers
    # Every kind of lever, and those that one class's plan leaves room for. A new kind is one file and one line here.
    module Kinds
      ALL = [Levers::Kinds::MoreTool, Levers::Kinds::LetStandIn, Levers::Kinds::Assistant, Levers::Kinds::Prepare, Levers::Kinds::Easier, Levers::Kinds::Shorter, Levers::Kinds::Demonstrations, Levers::Kinds::Stagger, Levers::Kinds::DropExtra, Levers::Kinds::Longer, Levers::Kinds::Fewer].freeze
      CODES = ALL.map(&:code).freeze

      module_function

      # @param plan [Plan] @param calibration [Calibration] @param seat [Integer] minor units of a seat's price, 0 when not known
      # @return [Array<Lever>]
      def all(plan, calibration, seat: 0)
        room = Levers::Kinds::Room.new(plan, calibration, seat)
        room.people.empty? ? [] : ALL.flat_map { |lever| lever.in_room(room) }
      end
    end
  end
end
