# frozen_string_literal: true

module Store
  # Keeps the newest results by key, a set number of them. Safe for several threads.
  class PlanCache
    MOST = 64

    def initialize(most = MOST)
      @most = most
      @kept = {}
      @lock = Mutex.new
    end

    def put(key, value)
      @lock.synchronize { @kept[key] = value }
    end

    def fetch(key)
      found = @lock.synchronize { @kept[key] }
      return found if found

      fresh = yield
      @lock.synchronize do
        @kept[key] = fresh
        @kept.shift while @kept.size > @most
      end
      fresh
    end
  end
end
