# frozen_string_literal: true

module Core
  module Measure
    # Reads a thickness: a length ("0.38 mm", "0,5 mm", ".5mm", "1/32 in"), a gauge with its system ("24 AWG", "20 SWG") or a seed bead
    # size ("11/0").
    module ThicknessText
      GAUGE = /\A\s*(\d{1,3})\s*-?\s*(awg|swg|[a-z]{2,6})\s*\z/i
      BARE_GAUGES = %w[ga gauge g gg bs].freeze
      BEAD = %r{\A\s*(\d{1,2}/0)\s*\z}

      # Text that is no thickness. reason: wording key below gauge_errors
      class Unreadable < Error
        attr_reader :text, :reason

        def initialize(text, reason)
          @text = text
          @reason = reason
          super("#{text.inspect} is not a thickness (#{reason})")
        end
      end

      module_function

      # @param text [String] @return [Length] above zero @raise [Unreadable]
      def read(text)
        length = gauge(text) || bead(text) || length(text)
        raise Unreadable.new(text, :not_positive) unless length.positive?

        length
      end

      def gauge(text)
        match = GAUGE.match(text) or return
        system = match[2].downcase
        return if LengthText::UNITS.key?(system)
        raise Unreadable.new(text, :say_system) if BARE_GAUGES.include?(system)
        raise Unreadable.new(text, :unknown_system) unless WireGauge::SYSTEMS.include?(system.to_sym)

        WireGauge.diameter(match[1].to_i, system.to_sym)
      rescue UnknownKey
        raise Unreadable.new(text, :unknown_gauge)
      end

      def bead(text)
        match = BEAD.match(text) or return
        SeedBeads.fetch(match[1]).across
      rescue UnknownKey
        raise Unreadable.new(text, :unknown_bead)
      end

      def length(text)
        Length.parse(text, default_unit: :mm)
      rescue NotALength => e
        raise Unreadable.new(text, e.reason == :blank ? :blank : :unreadable)
      end
      private_class_method :gauge, :bead, :length
    end
  end
end
