# frozen_string_literal: true

module Core
  module Project
    # What a ruler, a scale and a clock say of a piece or swatch that was made once by this design.
    #
    # @param component key of what was made, on the path
    # @param units how many of its repeats, nil for the whole piece
    # @param worn the inside length that the whole piece was made for, nil for a swatch or a piece of a fixed size
    # @param length of the swatch, or of the whole piece laid flat
    # @param used of all its lines together: what was cut, less what is left over
    # @param grams of the swatch with its line, or of the whole piece
    # @param minutes of work, without breaks
    # @param level of who made it
    Sample = Value.define(:component, units: nil, worn: nil, length: nil, used: nil, grams: nil, minutes: nil, level: 3, note: '') do
      # @return [Boolean] whether it says anything
      def says_something?
        [length, used, grams, minutes].any?
      end
    end
  end
end
