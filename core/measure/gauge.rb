# frozen_string_literal: true

module Core
  module Measure
    # Wire gauges. A number alone says nothing: always with its system.
    module Gauge
      # British Standard Wire Gauge, diameters in millimetres (BS 3737).
      SWG_MM = {
        14 => 2.032,
        16 => 1.626,
        18 => 1.219,
        19 => 1.016,
        20 => 0.914,
        21 => 0.813,
        22 => 0.711,
        23 => 0.610,
        24 => 0.559,
        25 => 0.508,
        26 => 0.457,
        27 => 0.417,
        28 => 0.376,
        29 => 0.345,
        30 => 0.315,
        32 => 0.274,
        34 => 0.234
      }.freeze
      AWG_RANGE = (10..40).freeze
      SYSTEMS = %i[awg swg].freeze

      module_function

      # American (Brown & Sharpe): d = 0.127·92^((36−n)/39) mm (ASTM B258).
      # @param number [Integer] @param system [Symbol] :awg or :swg
      # @return [Length] @raise [UnknownKey] for a system or number that does not exist
      def diameter(number, system)
        case system
        when :awg
          raise UnknownKey.new(:gauge, number, AWG_RANGE.to_a.map(&:to_s)) unless AWG_RANGE.cover?(number)

          Length.mm(0.127 * (92**((36 - number) / 39.0)))
        when :swg then Length.mm(SWG_MM.fetch(number) { raise UnknownKey.new(:gauge, number, SWG_MM.keys.map(&:to_s)) })
        else raise UnknownKey.new(:gauge_system, system, SYSTEMS.map(&:to_s))
        end
      end

      # @return [Integer] the number whose wire comes nearest
      def nearest(length, system)
        numbers = system == :awg ? AWG_RANGE.to_a : SWG_MM.keys
        numbers.min_by { |number| (diameter(number, system) - length).abs }
      end
    end
  end
end
