# frozen_string_literal: true

module Core
  module Catalogue
    # Thread, cord, cable, wire, elastic, rope or tape. What is not known of one is nil.
    Line = Fields.define do
      field :key, :key, required: true
      field :name, :name, required: true, says: 'what it is, by thickness, make-up and colour'
      field :kind, :choice, of: %i[cable thread cord wire memory_wire elastic rope tape], required: true
      field :thickness, :size, required: true, says: 'its diameter'
      field :colour, :colour, default: '#6b7280'
      field :rated_load_grams, :whole, within: 1..1_000_000, says: 'load that its maker states'
      field :reel_length, :size, says: 'what one reel, hank or coil holds'
      field :give, :whole, within: 0..60,
        says: 'hundredths by which it is thinner where it is pulled through a hole; left out for the usual of its kind'
      field :temper, :choice, of: %i[soft half_hard hard], says: 'how hard a wire was drawn'
      field :coil, :size, says: 'inside the coil of a memory wire, as it was bought'
      field :scrap_price, :whole, within: 1..100_000, says: 'minor units that a gram of its scrap brings; left out where it is thrown away'
      field :material, :text, most: 40
    end

    class Line
      prepend Keyed

      # Elastic and soft cord are no rods (from memory).
      GIVE = { elastic: 15, cord: 10, thread: 5, rope: 10 }.freeze
      # Materials of lines that hold no metal.
      NO_METAL = %w[cotton nylon latex polyurethane polyester silk leather linen rubber].freeze

      # @return [Measure::Length] how thick it is where it is pulled through a hole
      def pulled
        thickness * Rational(100 - (give || Line::GIVE.fetch(kind, 0)), 100)
      end

      # @return [Measure::Length, nil] of one turn of its coil, along the wire's middle; nil where that is not known
      def turn
        coil && ((coil + thickness) * Math::PI)
      end
    end
  end
end
