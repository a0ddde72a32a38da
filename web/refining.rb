# frozen_string_literal: true

module Web
  # Answers that are worked out beside the pages and get better: each is begun when first looked at, and shown as far as it has come.
  class Refining
    # An answer at one moment, for a page whose parts must agree.
    State = Core::Value.define(:found, :running) do
      def running?
        running
      end
    end

    # One answer as it stands. found: the newest report, nil before the first
    class Entry
      attr_reader :found

      def initialize
        @running = true
        @lock = Mutex.new
        @news = ConditionVariable.new
      end

      def running?
        @running
      end

      # @return [State]
      def state
        @lock.synchronize { State.new(found: @found, running: @running) }
      end

      # Keeps the answer there is.
      def stop
        @lock.synchronize do
          @stopping = true
          Process.kill(:TERM, @child) if @child && @running
        end
      rescue Errno::ESRCH
        nil
      end

      # @return [Object] the newest report, waited for where there is none yet; nil when there will be none
      def first_answer
        @lock.synchronize { @news.wait(@lock, 1) while @found.nil? && @running }
        found
      end

      # @param work [Proc] see Apart.run
      def run(work)
        return if @stopping

        Apart.run(work, begun: ->(child) { change { @child = child } }) do |report|
          change { @found = report }
          break if @stopping
        end
      ensure
        change { @running = false }
      end

      private

      def change
        @lock.synchronize do
          yield
          @news.broadcast
        end
      end
    end

    # @param most [Integer] answers kept
    def initialize(most)
      @most = most
      @entries = {}
      @lock = Mutex.new
    end

    # @param key [Array] what it is about, then all that the answer depends on; an older answer about the same is no longer worked on
    # @yieldreturn [Proc] the work, asked for only when it is begun
    # @return [Entry]
    def look(key)
      entry = nil
      @lock.synchronize do
        return @entries[key] if @entries[key]

        @entries.each { |other, known| known.stop if other.first == key.first }
        @entries.shift.last.stop if @entries.size >= @most
        entry = @entries[key] = Entry.new
      end
      work = yield
      Thread.new { entry.run(work) }
      entry
    end

    # @return [Object, nil] what is known already
    def peek(key)
      @lock.synchronize { @entries[key] }&.found
    end
  end
end
