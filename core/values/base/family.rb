# frozen_string_literal: true

module Core
  # The classes of one folder, found by themselves: a new kind is a new file. A module that extends it names what its classes inherit from
  # by #kind_of.
  module Family
    # @param parent [Class] of all kinds
    # @param label [Symbol] what a kind is called where a key is not known
    def kind_of(parent, label:)
      @parent = parent
      @label = label
    end

    # @return [Array<Class>] by their rank, then by their key
    def all
      @all ||= constants.map { |name| const_get(name) }.select { |kind| kind.is_a?(Class) && kind < @parent }
        .sort_by { |kind| [kind.rank || Declared::RANK, kind.key.to_s] }.freeze
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
