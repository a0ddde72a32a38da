# frozen_string_literal: true

module Core
  # One field of a value, declared once: the record, the published schema, the contract of its form, how the form is read and the shift of
  # a currency follow from it.
  #
  # @param name [Symbol]
  # @param type [Symbol] one of TYPES
  # @param default [Object] nil where it may be left empty and is then not known
  # @param required whether it has no default
  # @param within [Range] of a :whole, a :number or an :amount (minor units of money)
  # @param of [Array<Symbol>, Class] what a :choice is one of, and :choices are some of; the value that a :record is
  # @param most [Integer] characters of a :text; entries of a :list or a :by_key
  # @param each [Field] every entry of a :list, a :by_key or a :by_level (1 to 5)
  # @param says [String] what it is, where its name does not say that
  # @param shown [Symbol] the form that shows it among others in the order in which they are declared, nil where a form places it itself
  Field = Value.define(:name, :type, default: nil, required: false, within: nil, of: nil, most: nil, each: nil, shown: nil, says: nil) do
    # @return [Boolean] whether nothing is an answer
    def may_be_empty?
      !required && default.nil?
    end

    # @return [Boolean] whether one text of a form says it
    def typed?
      !self.class::NOT_TYPED.include?(type)
    end
  end

  class Field
    NOT_TYPED = %i[key choices list by_key by_level record].freeze
    TYPES = (%i[whole number amount yes choice text name colour date clock length size] + NOT_TYPED).freeze
  end
end
