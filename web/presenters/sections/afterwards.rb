# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # The day after: what came of the kits, and what is left to do.
      class Afterwards < Section
        include Supplied

        # @return [Array<String>] what of this class's orders has not come
        def due
          @reading.orders.select { |ordered|
            ordered.due.positive?
          }.map { |ordered| "#{ordered.due} of #{ordered.units} × #{name_of(ordered)}" }
        end

        # @return [Array<String>] erasable people: taken out of the class, still in an earlier state
        def removed
          @reading.removed_people
        end

        # @return [Core::Bill::Seat, nil] as it was when the kits left the stock
        def seat_costs
          @reading.seat_costs
        end

        private

        def name_of(ordered)
          table = ordered.kind == :part ? @reading.catalogue.parts : @reading.catalogue.lines
          table[ordered.item]&.name || ordered.item
        end
      end
    end
  end
end
