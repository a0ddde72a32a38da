# frozen_string_literal: true

module Web
  module Presenters
    # The fields of a declared value that one form shows, with what was typed before or is saved. Words: "settings.FORM.FIELD", for a
    # choice "settings.FORM.FIELD_ways.WAY", and for a hint "settings.FORM.FIELD_hint".
    class Settings
      # @param input [String] type of the input where it is typed
      # @param options [Array<(String, String)>, nil] ways with their words; nil where the field is typed
      Row = Core::Value.define(:name, :label, :value, :options, :input, :hint)

      # @param type [Class] made by Core::Fields.define @param form [Symbol] that shows them @param saved [Core::Value]
      # @param draft [Draft, nil] @param currency [String] @param said [Hash] what the words can say
      def initialize(type, form, saved, draft:, currency:, **said)
        @type = type
        @form = form
        @saved = saved
        @draft = draft
        @currency = currency
        @said = { currency: currency, **said }
      end

      # @return [Array<Row>]
      def rows
        @type.shown(@form).map { |name| row(name) }
      end

      # @return [Row]
      def row(name)
        Row.new(name: name, label: say(name), value: value(name), options: options(@type.field(name)),
          input: @type.field(name).type == :date ? 'date' : 'text', hint: (say("#{name}_hint") if words?("#{name}_hint")))
      end

      private

      def value(name)
        return @draft.value(name) if @draft&.values&.key?(name.to_s)

        Contracts::TypedField.new(@type.field(name), @currency).show(@saved.public_send(name))
      end

      def options(field)
        ways = { yes: Contracts::TypedField::YES.keys, choice: field.of.to_a.map(&:to_s) }[field.type]
        ways&.map { |way| [way, say("#{field.name}_ways.#{NAMES.fetch(way, way)}")] }
      end

      # YAML reads a bare yes or no as something else.
      NAMES = { '0' => 'otherwise', '1' => 'so' }.freeze

      def words?(key)
        Formats::Wording.words?("settings.#{@form}.#{key}")
      end

      def say(key)
        Formats::Wording.say("settings.#{@form}.#{key}", **@said)
      end
    end
  end
end
