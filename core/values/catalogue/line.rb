# frozen_string_literal: true

module Core
  module Catalogue
    # Thread, cord, cable, wire, elastic, rope or tape.
    #
    # @param thickness diameter
    # @param rated_load_grams nil when the maker states none
    # @param give how many hundredths thinner it is pulled through a hole; nil takes what is usual for its kind
    # @param temper how hard a wire was drawn, :soft, :half_hard or :hard; nil when not known
    # @param coil inside its coil, of memory wire as it was bought; nil when not known
    # @param scrap_price minor units that a gram of its scrap brings, nil where it is thrown away
    # @param reel_length what one reel, hank or coil holds, nil when not known
    # @param material nil when not known
    Line = Value.define(:key, :name, :kind, :thickness, colour: '#6b7280', rated_load_grams: nil, reel_length: nil, material: nil,
      give: nil, scrap_price: nil, temper: nil, coil: nil) do
      # @return [Measure::Length] how thick it is where it is pulled through a hole
      def pulled
        thickness * Rational(100 - (give || Line::GIVE.fetch(kind, 0)), 100)
      end

      # @return [Measure::Length, nil] of one turn of its coil, along the wire's middle; nil where that is not known
      def turn
        coil && ((coil + thickness) * Math::PI)
      end
    end

    class Line
      prepend Keyed

      TEMPERS = %i[soft half_hard hard].freeze

      # Elastic and soft cord are no rods (from memory).
      GIVE = { elastic: 15, cord: 10, thread: 5, rope: 10 }.freeze
      # Materials of lines that hold no metal.
      NO_METAL = %w[cotton nylon latex polyurethane polyester silk leather linen rubber].freeze
      KINDS = %i[cable thread cord wire memory_wire elastic rope tape].freeze
    end
  end
end
