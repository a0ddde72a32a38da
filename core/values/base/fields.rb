# frozen_string_literal: true

module Core
  # Values whose fields are declared with their types and bounds. Usage:
  #   Cake = Fields.define { field :slices, :whole, within: 1..12, default: 8 }
  #   Cake.new.slices               # => 8
  #   Cake.field(:slices).within    # => 1..12
  module Fields
    # @yield the declarations, each `field name, type, **rest of Field`
    # @return [Class] a Value
    # @raise [ArgumentError] for a type that is none of Field::TYPES
    def self.define(&block)
      table = Declarations.new.tap { |list| list.instance_eval(&block) }.table.freeze
      required, optional = table.each_value.partition(&:required)
      Value.define(*required.map(&:name), **optional.to_h { |field| [field.name, field.default] }).tap do |type|
        type.const_set(:TABLE, table)
        type.extend(Declared)
      end
    end

    # What a declared value's class answers.
    module Declared
      # @return [Hash{Symbol=>Field}] in the order in which they were declared
      def fields
        self::TABLE
      end

      # @param name [Symbol] @return [Field]
      def field(name)
        self::TABLE.fetch(name)
      end

      # @param form [Symbol] @return [Array<Symbol>] the fields that a form shows
      def shown(form)
        self::TABLE.each_value.select { |field| field.shown == form }.map(&:name)
      end
    end

    # Collects the fields of one value.
    class Declarations
      attr_reader :table

      def initialize
        @table = {}
      end

      def field(name, type, each: nil, **rest)
        raise ArgumentError, "#{name}: no type is called #{type}" unless Field::TYPES.include?(type)

        @table[name] = Field.new(name: name, type: type, each: each && Field.new(name: name, required: true, **each), **rest)
      end
    end
  end
end
