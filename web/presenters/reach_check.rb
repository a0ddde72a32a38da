# frozen_string_literal: true

module Web
  module Presenters
    # Does it reach? Asked at the table of any line that is used up little by little: what there was, what is left after so many flowers,
    # knots or turns, and how many there are in all.
    class ReachCheck < Form
      include Printing

      FIELDS = %w[reach_start reach_left reach_done reach_number reach_held].freeze

      attr_reader :unit

      def initialize(params, unit)
        @unit = unit
        super(typed(params, FIELDS), Contracts::ReachCheckContract.new)
      end

      # @return [Boolean] whether anything was asked
      def asked?
        values.except('reach_held').values.any? { |text| !text.empty? }
      end

      def error(name)
        super if asked?
      end

      # @return [Core::Making::Reach, nil] nil until all is typed well
      def found
        return unless asked? && valid?

        @found ||= Core::Making::Reach.new(start: length_of(:reach_start), left: length_of(:reach_left),
          done: value(:reach_done).to_i, number: value(:reach_number).to_i, held: length_of(:reach_held))
      end

      # @return [Symbol] :fits, :will_not, or :unknown where more is left than there was
      def status
        return :unknown unless found.possible?

        found.reaches? ? :fits : :will_not
      end

      def verdict
        return say('reach_answers.more_than_cut', start: found.start) unless found.possible?

        say("reach_answers.#{found.reaches? ? 'reaches' : 'short'}", units: say('reach_answers.any_units'), more: found.more,
          rest: found.to_do, difference: found.difference, place: found.done + found.more)
      end

      def used
        say('reach_answers.used', used: fine(found.used))
      end

      private

      def length_of(name)
        value(name).empty? ? Core::Measure::Length::ZERO : Core::Measure::Length.parse(value(name), default_unit: :mm)
      end
    end
  end
end
