# frozen_string_literal: true

require 'monitor'

module Application
  # Keeps the results asked for last by key, a set number of them, each in the version asked for last. Safe for several threads: of
  # those that ask for the same at once, one works it out and the others wait for it.
  class LruCache
    # @param most [Integer]
    def initialize(most)
      @most = most
      @kept = {}
      @under_way = {}
      @lock = Mutex.new
    end

    # @param version [Object] what it was worked out from @return [Object, nil]
    def [](key, version = nil)
      @lock.synchronize do
        known, value = @kept[key]
        next if value.nil? || known != version

        @kept[key] = @kept.delete(key)
        value
      end
    end

    def []=(key, version = nil, value)
      @lock.synchronize do
        @kept.delete(key)
        @kept[key] = [version, value]
        @kept.shift while @kept.size > @most
      end
    end

    def clear
      @lock.synchronize { @kept.clear }
    end

    # @yieldreturn [Object] worked out where it is not kept
    def fetch(key, version = nil)
      self[key, version] || @lock.synchronize { @under_way[key] ||= Monitor.new }.synchronize do
        self[key, version] || (self[key, version] = yield)
      end
    ensure
      @lock.synchronize { @under_way.delete(key) }
    end
  end
end
