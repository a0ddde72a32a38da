# frozen_string_literal: true

module Core
  # What was worked out, by key: a set number of answers, the oldest of which goes for a new one.
  class Memo
    # @param most [Integer] @param by_identity [Boolean] whether equal keys that are not one object count as two
    def initialize(most, by_identity: false)
      @most = most
      @known = by_identity ? {}.compare_by_identity : {}
    end

    # @yieldreturn [Object] worked out where it is not known
    def fetch(key)
      @known.fetch(key) do
        found = yield
        @known.shift if @known.size >= @most
        @known[key] = found
      end
    end
  end
end
