# frozen_string_literal: true

module Core
  module Levers
    # All kinds of lever, one per file, and the levers that a class's plan leaves room for.
    module Kinds
      extend Family

      kind_of Lever, label: :lever

      # @param plan [Plan] @param calibration [Setup::Calibration] @param seat [Integer] minor units of a seat's price, 0 when not known
      # @return [Array<Lever>]
      def self.offers(plan, calibration, seat: 0)
        opportunity = Opportunity.new(plan, calibration, seat)
        opportunity.people.empty? ? [] : all.flat_map { |kind| kind.in_room(opportunity) }
      end
    end
  end
end
