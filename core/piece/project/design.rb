# frozen_string_literal: true

module Core
  module Project
    # A named design.
    #
    # @param components those on the path stand in the order they lie along the piece; hung ones and those made apart stand among them.
    # @param body which measure it is sized by, one of BODIES (:own is a fixed size, the same for each person)
    # @param ease added to the measure
    # @param wraps times round the body
    # @param made how many alike one attendee makes
    # @param tails :by_level, :lean, :usual or :generous
    # @param test_piece whether it is there to try rules with, and no class makes it
    # @param samples [Sample] made by it so far, of its present form
    # @param measured [Making::Measured] what they showed, by which it is planned
    # @param colourways {name => {part key => part key}}
    Design = Value.define(:key, :name, :body, :ease, :components,
      version: 1, wraps: 1, overlap: Measure::Length::ZERO, made: 1, tails: :by_level, note: '', colourways: {}.freeze,
      test_piece: false, samples: [].freeze, measured: [].freeze) do
      # @return [Boolean] whether it lies flat or hangs, so that no height above the skin is added
      def flat?
        %i[length own].include?(body)
      end

      # A stated length is made as stated.
      # @param own [Measure::Length, nil] an attendee's @return [Measure::Length] what is added to the measure
      def added_ease(own = nil)
        flat? ? Measure::Length::ZERO : own || ease
      end

      # @param key [String] @return [Component, nil]
      def component(key)
        components.find { |component| component.key == key }
      end

      def path
        components.reject { |component| component.hung_at || component.apart }
      end

      # Rows of findings before the work read outward from it, so they lie turned round.
      # @return [Array<Component>]
      def leading
        first = path.take_while { |component| component.construction == :findings }
        first.size == path.size ? [] : first
      end

      def hung
        components.select(&:hung_at)
      end

      # @param key [String] of a component @return [Making::Measured, nil] what samples showed of it
      def measured_of(key)
        measured.find { |one| one.component == key }
      end

      # @return [Float] how much longer its work takes than techniques say
      def pace
        measured.map(&:pace).max || 1.0
      end

      # @param before [Design] @return [Design] without what was measured of components that are made otherwise now
      def sampled_as(before)
        return self if samples.empty?

        same = components.select { |one| before.component(one.key) == one }.map(&:key)
        with(samples: samples.select { |sample| same.include?(sample.component) }.freeze,
          measured: measured.select { |shown| same.include?(shown.component) }.freeze)
      end

      # @return [Design] as it is without any sample
      def unmeasured
        measured.empty? && samples.empty? ? self : with(samples: [].freeze, measured: [].freeze)
      end

      # @return [Array<Component>] made first, then used like parts
      def makes
        components.select(&:apart)
      end
    end

    class Design
      BODIES = %i[wrist neck ankle length own].freeze
      TAILS = %i[by_level lean usual generous].freeze
    end
  end
end
