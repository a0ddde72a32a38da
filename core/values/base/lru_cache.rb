# frozen_string_literal: true

require 'monitor'

module Core
  # A thread-safe cache of the values asked for last, one version a key. Of several threads that ask for the same key at once, one works
  # it out and the others wait.
  class LruCache
    # @param most [Integer] values @param by_identity [Boolean] whether equal keys that are not one object count as two
    def initialize(most, by_identity: false)
      @most = most
      @values = by_identity ? {}.compare_by_identity : {}
      @under_way = by_identity ? {}.compare_by_identity : {}
      @lock = Mutex.new
    end

    # @param version [Object] what it was worked out from @return [Object, nil]
    def [](key, version = nil)
      @lock.synchronize do
        known, value = @values[key]
        next if value.nil? || known != version

        @values[key] = @values.delete(key)
        value
      end
    end

    def []=(key, version = nil, value)
      @lock.synchronize do
        @values.delete(key)
        @values[key] = [version, value]
        @values.shift while @values.size > @most
      end
    end

    def clear
      @lock.synchronize { @values.clear }
    end

    # @yieldreturn [Object] worked out where it is not known
    def fetch(key, version = nil)
      self[key, version] || @lock.synchronize { @under_way[key] ||= Monitor.new }.synchronize do
        self[key, version] || (self[key, version] = yield)
      ensure
        @lock.synchronize { @under_way.delete(key) }
      end
    end
  end
end
