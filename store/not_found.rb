# frozen_string_literal: true

module Store
  # No row has this key.
  class NotFound < Core::Error
    attr_reader :kind, :key

    def initialize(kind, key)
      @kind = kind
      @key = key
      super("no #{kind} #{key}")
    end
  end
end
