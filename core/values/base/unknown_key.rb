# frozen_string_literal: true

module Core
  # A name that no table holds. Lists the names it does hold.
  class UnknownKey < Error
    attr_reader :kind, :key, :known

    def initialize(kind, key, known)
      @kind = kind
      @key = key
      @known = known.sort
      super("unknown #{kind} #{key.inspect}; known: #{@known.join(', ')}")
    end
  end
end
