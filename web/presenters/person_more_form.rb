# frozen_string_literal: true

module Web
  module Presenters
    # What is set less often about an attendee: their own ease, and the tools they bring.
    class PersonMoreForm
      EASE_MM = (0..100).freeze

      attr_reader :errors

      def initialize(studio, params)
        @text = params['ease'].is_a?(String) ? params['ease'].scrub.strip : ''
        brought = params['brings'].is_a?(Array) ? params['brings'] : []
        @brings = studio.catalogue.table.tools.keys & brought.grep(String)
        @tails = Core::Construction::Tails::POLICIES.find { |policy| policy.to_s == params['tails'] }
        @errors = {}
        @ease = read
      end

      def valid?
        errors.empty?
      end

      # @return [Core::People::Attendee]
      def apply(attendee)
        untouched = attendee.ease && Formats::LengthPrint.printed?(@text, attendee.ease)
        attendee.with(ease: untouched ? attendee.ease : @ease, brings: @brings, tails: @tails)
      end

      # @return [Draft]
      def draft
        Draft.new(values: { 'ease' => @text, 'brings' => @brings.join(' '), 'tails' => @tails.to_s }, errors: errors)
      end

      private

      # Empty takes the project's ease.
      def read
        return if @text.empty?

        ease = Core::Measure::Length.parse(@text, default_unit: :mm)
        return ease if EASE_MM.cover?(ease.to_mm)

        refuse
      rescue Core::Measure::NotALength
        refuse
      end

      def refuse
        @errors = { ease: "Give an ease from 0 to #{EASE_MM.end} mm, such as 6 mm for snug or 19 mm for loose, or leave it empty." }
        nil
      end
    end
  end
end
