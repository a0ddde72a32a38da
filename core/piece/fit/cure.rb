# frozen_string_literal: true

module Core
  module Fit
    # A change that would put a finding right. Each kind is a class of its own in core/fit/cures.
    # change: how much it touches, smaller is less · values: for its wording
    class Cure
      extend ClassAttribute

      declares :code

      attr_reader :change, :values

      def initialize(change:, **values)
        @change = change
        @values = values.freeze
        freeze
      end

      def code
        self.class.code
      end

      # @return [String] names the same cure in another computation of the same design
      def key
        [code, *identity].join('~')
      end

      # @param design [Project::Design] @return [Project::Design]
      def apply(design)
        design
      end

      # @param attendee [People::Attendee] @return [People::Attendee]
      def apply_to_person(attendee)
        attendee
      end

      # @return [Boolean] whether it changes the person instead of the design
      def for_person?
        false
      end
    end
  end
end
