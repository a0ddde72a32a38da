# frozen_string_literal: true

module Web
  module Presenters
    # What every submitted form has: text by field (values) and what to do at each wrong one (errors).
    module Fields
      # No field holds more: what is longer is cut before anything else is done to it, and still found too long.
      LONGEST = 2_100

      attr_reader :values, :errors

      def valid?
        errors.empty?
      end

      def value(name)
        values[name.to_s]
      end

      def error(name)
        errors[name.to_sym]
      end

      # @return [Draft] what was typed, to be shown again
      def draft
        Draft.new(values: values, errors: errors)
      end

      private

      # @param taken [#key?] @return [String] a key made from a name that nothing else has
      def key_from(name, taken, otherwise:)
        plain = name[0, 120].unicode_normalize(:nfd).downcase.gsub(/[^a-z0-9]+/, '_').gsub(/\A_+|_+\z/, '')[0, 50]
        base = plain.empty? ? otherwise : plain
        (1..).lazy.map { |n| n == 1 ? base : "#{base}_#{n}" }.find { |key| !taken.key?(key) }
      end

      # @return [Hash{String=>String}] what was typed beside each of several things, by their keys
      def beside(given, known)
        return {} unless given.is_a?(Hash)

        given.select { |key, text| known.include?(key) && text.is_a?(String) }.transform_values { |text| clean(text)[0, 40] }
      end

      # Line breaks and tabs in a one-line field become spaces; what is no text counts as empty.
      def clean(text)
        text.is_a?(String) ? text.byteslice(0, LONGEST * 4).force_encoding(Encoding::UTF_8)[0, LONGEST].scrub("\uFFFD").gsub(
          /[[:cntrl:]]+/, ' '
        ).strip : ''
      end
    end
  end
end
