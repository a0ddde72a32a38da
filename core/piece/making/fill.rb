# frozen_string_literal: true

module Core
  module Making
    # How a component grows: base with no repeats, step more for each repeat (both sides counted when mirrored).
    #
    # @param height hole axis above the skin that the line keeps
    # @param fewest bounds on repeats, both inclusive
    # @param most see fewest
    # @param parity :odd or :even where only such numbers of repeats are made, nil for any
    # @param centre the piece in the middle, which may alone be too wide
    # @param filler [Filler, nil] small parts that close the remaining gap
    Fill = Value.define(:base, :step, :height, fewest: 1, most: 1000, filler: nil, centre: Measure::Length::ZERO,
      parity: nil) do
      # @return [Boolean] whether so many repeats may be made
      def allows?(repeats)
        parity.nil? || repeats.public_send(:"#{parity}?")
      end
    end
  end
end
