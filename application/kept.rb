# frozen_string_literal: true

module Application
  # Keeps the results asked for last by key, a set number of them. Safe for several threads; two that ask for the same at once may both work.
  class Kept
    # @param most [Integer]
    def initialize(most)
      @most = most
      @kept = {}
      @lock = Mutex.new
    end

    # @return [Object, nil]
    def [](key)
      @lock.synchronize { @kept[key] = @kept.delete(key) if @kept.key?(key) }
    end

    def []=(key, value)
      @lock.synchronize do
        @kept.delete(key)
        @kept[key] = value
        @kept.shift while @kept.size > @most
      end
    end

    # @yieldreturn [Object] worked out where it is not kept
    def fetch(key)
      self[key] || (self[key] = yield)
    end
  end
end
