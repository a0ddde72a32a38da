# frozen_string_literal: true

require 'date'

module Web
  module Contracts
    # How a declared field is typed into a form: what is wrong with a text, what a text means, and how a value is shown to be typed again.
    class TypedField
      WHOLE = /\A\d{1,7}\z/
      DECIMAL = /\A\d{1,7}([.,]\d{1,3})?\z/
      YEARS = (2000..2100).freeze
      LONGEST_DATE = 20
      LONGEST_NAME = 120
      YES = { '0' => false, '1' => true }.freeze

      # @return [Date, nil] nil for what is no date
      def self.date(text)
        Date.iso8601(text[0, LONGEST_DATE])
      rescue Date::Error
        nil
      end

      # @param field [Core::Field] @param currency [String, nil] of its amounts
      def initialize(field, currency)
        @field = field
        @currency = currency
      end

      # @param text [String] @return [String, nil] what to do about it
      def wrong(text)
        return if text.empty? && @field.may_be_empty?

        code = fault(text) or return
        range = @field.within
        Formats::Wording.say("typed.#{code}", most: @field.most || LONGEST_NAME, lowest: range&.begin, highest: range&.end,
          example: @currency && amount(1250), field: @field.says || @field.name.to_s.tr('_', ' '),
          or_empty: @field.may_be_empty? ? Formats::Wording.say('typed.or_empty') : '')
      end

      # @param text [String] that is not wrong @return [Object] the field's value
      def read(text)
        return if text.empty? && @field.may_be_empty?

        case @field.type
        when :whole then text.to_i
        when :number then text.tr(',', '.').to_f
        when :amount then Core::Money.parse(text, @currency).minor
        when :yes then YES.fetch(text)
        when :choice then text.to_sym
        when :date then TypedField.date(text)
        when :clock then Core::Measure::ClockTime.parse(text)
        else text
        end
      end

      # @return [String] a value as it would be typed
      def show(value)
        case @field.type
        when :amount then value ? amount(value) : ''
        when :number then format('%g', value)
        when :yes then YES.key(value)
        when :date then value.iso8601
        else value.to_s
        end
      end

      private

      # @return [Symbol, nil] the words of what is wrong
      def fault(text)
        case @field.type
        when :whole then :whole unless text.match?(WHOLE) && @field.within.cover?(text.to_i)
        when :number then :number unless text.match?(DECIMAL) && @field.within.cover?(text.tr(',', '.').to_f)
        when :amount then :amount unless @field.within.cover?(Core::Money.parse(text, @currency)&.minor || -1)
        when :yes then :choice unless YES.key?(text)
        when :choice then :choice unless @field.of.any? { |one| one.to_s == text }
        when :text then :too_long if text.length > @field.most
        when :name then name_fault(text)
        when :date then date_fault(TypedField.date(text))
        when :clock then :clock unless Core::Measure::ClockTime.parse(text)
        end
      end

      def name_fault(text)
        return :name if text.strip.empty?

        :too_long if text.length > LONGEST_NAME
      end

      def date_fault(date)
        return :date if date.nil?

        :year unless YEARS.cover?(date.year)
      end

      def amount(minor)
        Core::Money.new(minor: minor, currency: @currency).to_s.split.first
      end
    end
  end
end
