# frozen_string_literal: true

module Core
  # Finds the classes in one folder, so that a new kind is a new file. The module that extends it names their parent with #kind_of.
  module Family
    # Rank of a kind that declares none.
    LAST = 1000

    # @param parent [Class] of all kinds
    # @param label [Symbol] names the kind in the message for an unknown key
    def kind_of(parent, label:)
      @parent = parent
      @label = label
    end

    # @return [Array<Class>] by their rank, then by their key
    def all
      @all ||= constants.map { |name| const_get(name) }.select { |kind| kind.is_a?(Class) && kind < @parent }
        .sort_by { |kind| [kind.rank || LAST, kind.key.to_s] }.freeze
    end

    # @return [Array<Symbol>]
    def keys
      @keys ||= all.map(&:key).freeze
    end

    # @param key [Symbol]
    # @return [Class]
    # @raise [UnknownKey]
    def fetch(key)
      all.find { |kind| kind.key == key } || raise(UnknownKey.new(@label, key, keys))
    end
  end
end
