# frozen_string_literal: true

require 'dry/validation'

module Web
  module Contracts
    # What may be typed into a form: all of it text. Its rules say at the field what to do; what a form does not send is not judged.
    # A macro's last argument is what to do, where the usual words do not fit. Usage: rule(:minutes).validate(whole: 0..120)
    class Contract < Dry::Validation::Contract
      WHOLE = TypedField::WHOLE
      DECIMAL = TypedField::DECIMAL
      OWN_EASE = 'Give an ease from 0 to 100 mm, such as 6 mm for snug or 19 mm for loose, or leave it empty.'

      # @param names [Array<Symbol>] the text fields
      def self.texts(*names)
        params { names.each { |name| optional(name).value(:string) } }
      end

      # @param type [Class] made by Core::Fields.define
      # @param names [Array<Symbol>] of its fields; where none is named, all that a form says as one text each
      # @param also [Hash{Symbol=>Core::Field}] further texts of the form
      def self.judges(type, *names, also: {})
        names = type.fields.each_value.select(&:typed?).map(&:name) if names.empty?
        fields = { **names.to_h { |name| [name, type.field(name)] }, **also }
        texts(*fields.keys)
        fields.each { |name, field| rule(name).validate(typed: field) }
        define_singleton_method(:judged) { fields.keys }
      end

      # A declared field. Amounts are in the contract's currency.
      register_macro(:typed) do |macro:|
        next unless key?

        wrong = TypedField.new(macro.args.first, (_contract.currency if _contract.respond_to?(:currency))).wrong(value)
        key.failure(wrong) if wrong
      end

      register_macro(:whole) do |macro:|
        range, what = macro.args
        next if !key? || (value.match?(WHOLE) && range.cover?(value.to_i))

        key.failure(what || "Give a whole number from #{range.begin} to #{range.end}.")
      end

      register_macro(:decimal) do |macro:|
        range, what = macro.args
        next if !key? || (value.match?(DECIMAL) && range.cover?(value.tr(',', '.').to_f))

        key.failure(what || "Give a number from #{range.begin} to #{range.end}.")
      end

      # Money in the contract's currency, between two numbers of its minor units.
      register_macro(:amount) do |macro:|
        range, what = macro.args
        next if !key? || range.cover?(Core::Money.parse(value, _contract.currency)&.minor || -1)

        key.failure(what)
      end

      # A length in millimetres, unless it names its unit.
      register_macro(:length) do |macro:|
        range, what = macro.args
        key.failure(what) if key? && !range.cover?(Core::Measure::Length.parse(value, default_unit: :mm).to_mm)
      rescue Core::Measure::NotALength
        key.failure(what)
      end

      # Someone's own ease, or nothing.
      register_macro(:own_ease) do
        next if !key? || value.empty?

        key.failure(OWN_EASE) unless (0..100).cover?(Core::Measure::Length.parse(value, default_unit: :mm).to_mm)
      rescue Core::Measure::NotALength
        key.failure(OWN_EASE)
      end

      register_macro(:at_most) do |macro:|
        longest, what = macro.args
        key.failure(what || "Shorten this to #{longest} characters.") if key? && value.length > longest
      end

      register_macro(:filled) do |macro:|
        key.failure(macro.args.first) if key? && value.strip.empty?
      end

      # One of a list.
      register_macro(:one_of) do |macro:|
        key.failure('Choose one of the list.') if key? && macro.args.none? { |known| known.to_s == value }
      end

      # One of what an option of the contract holds.
      register_macro(:known) do |macro:|
        option, what = macro.args
        key.failure(what || 'Choose one of the list.') if key? && _contract.public_send(option).none? { |known| known.to_s == value }
      end
    end
  end
end
