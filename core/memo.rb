# frozen_string_literal: true

module Core
  # What was worked out, by key: a set number of answers, the oldest of which goes for a new one.
  class Memo
    # @param most [Integer]
    def initialize(most)
      @most = most
      @known = {}
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
