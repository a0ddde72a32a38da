# frozen_string_literal: true

module Core
  module Making
    # How a cut is used up little by little, so that what is left of it can be held against what is still to be worked.
    #
    # @param step its key @param unit :flower, :bead, :leaf or :row
    # @param number of units in all @param ends of the cut that are worked with: both, where it is folded in its middle
    Worked = Value.define(:step, :unit, :number, ends: 1) do
      # @return [Array<Integer>] units that are done when what is left is measured
      def on_the_way
        Worked::QUARTERS.map { |share| (number * share).round }.uniq.grep(1...number)
      end
    end

    class Worked
      QUARTERS = [Rational(1, 4), Rational(1, 2), Rational(3, 4)].freeze
    end
  end
end
