# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # What the class costs and a seat should.
      class Cost < Section
        include Supplied

        CURVE = (2..24).freeze

        # @return [Core::Price::Seat, nil] worked out for at least one person with a kit
        def seat_costs
          found = @reading.seat_costs
          found if found && found.people.positive? && plan.needs.any?
        end

        # @return [Array<Settings::Row>]
        def settings
          supplies(:cost).rows
        end

        # @return [Array<(String, Core::Money)>]
        def lines
          seat = seat_costs
          [['Materials in the kits', seat.materials],
           ['Spares and scrap', seat.wastage],
           ['Your time', seat.time],
           ['Venue', seat.venue],
           ['Tools', seat.tools]]
        end

        def break_even_words
          seat = seat_costs
          seat.break_even ? "At #{seat.price} a seat the class pays for itself from #{count_of(seat.break_even, 'person',
            'people')} on." : 'At this price no number of people pays for the class.'
        end

        def curve
          seat = seat_costs
          Formats::PriceCurveSvg.new(CURVE.map { |people|
            [people, seat.price_for(people)]
          }, people: seat.people, break_even: seat.break_even,
            title: 'Price of a seat against the number of people').to_s
        end
      end
    end
  end
end
