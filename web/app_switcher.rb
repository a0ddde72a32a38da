# frozen_string_literal: true

module Web
  # Serves one application, and exchanges it for another between two requests: nobody asks for anything while a studio is put back.
  class AppSwitcher
    BUSY = [503, { 'content-type' => 'text/plain; charset=utf-8', 'refresh' => '2', 'retry-after' => '2' },
            ["The studio is being put back. This page comes by itself in a moment.\n"]].freeze
    # Requests under way are given so long.
    WAIT_SECONDS = 25

    # @param app [#call]
    def initialize(app)
      @app = app
      @under_way = 0
      @lock = Mutex.new
      @left = ConditionVariable.new
    end

    def call(env)
      app = enter or return BUSY.map(&:dup)
      app.call(env)
    ensure
      leave if app
    end

    # Waits for the requests under way, then exchanges the application. @yieldreturn [#call] the new one
    def exchange
      close
      fresh = yield
    ensure
      @lock.synchronize do
        @app = fresh || @app
        @closed = false
      end
    end

    private

    def enter
      @lock.synchronize do
        next if @closed

        @under_way += 1
        @app
      end
    end

    def leave
      @lock.synchronize do
        @under_way -= 1
        @left.broadcast
      end
    end

    def close
      ends = now + WAIT_SECONDS
      @lock.synchronize do
        @closed = true
        @left.wait(@lock, 1) while @under_way.positive? && now < ends
      end
    end

    def now
      Process.clock_gettime(Process::CLOCK_MONOTONIC)
    end
  end
end
