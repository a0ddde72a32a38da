# frozen_string_literal: true

module Core
  module Measure
    # Wire gauges. A number alone says nothing: always with its system.
    module WireGauge
      # British Standard Wire Gauge, diameters in millimetres (BS 3737).
      SWG_MM = {
        1 => 7.620, 2 => 7.010, 3 => 6.401, 4 => 5.893, 5 => 5.385, 6 => 4.877, 7 => 4.470, 8 => 4.064, 9 => 3.658, 10 => 3.251,
        11 => 2.946, 12 => 2.642, 13 => 2.337, 14 => 2.032, 15 => 1.829, 16 => 1.626, 17 => 1.422, 18 => 1.219, 19 => 1.016, 20 => 0.914,
        21 => 0.813, 22 => 0.711, 23 => 0.610, 24 => 0.559, 25 => 0.508, 26 => 0.457, 27 => 0.417, 28 => 0.376, 29 => 0.345, 30 => 0.315,
        31 => 0.295, 32 => 0.274, 33 => 0.254, 34 => 0.234, 35 => 0.213, 36 => 0.193, 37 => 0.173, 38 => 0.152, 39 => 0.132, 40 => 0.122,
        41 => 0.112, 42 => 0.102, 43 => 0.091, 44 => 0.081, 45 => 0.071, 46 => 0.061, 47 => 0.051, 48 => 0.041, 49 => 0.030, 50 => 0.025
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
