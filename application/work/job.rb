# frozen_string_literal: true

require 'securerandom'

module Application
  module Work
    # One piece of work that is done beside the pages. title: what it is, for the page that waits · about: what it concerns; newer work
    # about the same takes its place · found: the newest thing it reported · result: what it came to
    class Job
      # How a job stands at one moment, for a page whose parts must agree.
      #
      # @param found what it came to, or the newest thing it reported; nil before
      # @param error nil or what went wrong
      State = Core::Value.define(id: nil, found: nil, percent: 0, running: false, error: nil) do
        def running?
          running
        end
      end
      UNASKED = State.new

      STATES = %i[waiting running done failed stopped].freeze

      attr_reader :id, :title, :about, :task, :found, :result, :error

      # @param changed [#call] told of itself after each change, before anyone who waits
      def initialize(task, title: '', about: nil, urgent: true, changed: ->(_job) {})
        @id = SecureRandom.hex(8)
        @task = task
        @title = title
        @about = about
        @urgent = urgent
        @changed = changed
        @share = 0.0
        @state = :waiting
        @lock = Mutex.new
        @news = ConditionVariable.new
      end

      STATES.each { |state| define_method(:"#{state}?") { @state == state } }

      def urgent?
        @urgent
      end

      def ended?
        done? || failed? || stopped?
      end

      # @return [Integer] hundredths of it that are done
      def percent
        (@share * 100).round
      end

      # @return [State]
      def state
        @lock.synchronize { State.new(id: id, found: @result || @found, percent: percent, running: !ended? && !@stopping, error: @error) }
      end

      # @param seconds [Numeric] at most @return [Boolean] whether it has ended
      def wait(seconds)
        wait_until(seconds) { ended? }
        ended?
      end

      # @param seconds [Numeric] at most @return [Object, nil] the first thing it reported
      def first_news(seconds)
        wait_until(seconds) { ended? || @found }
        @found
      end

      # @param stoppable [#call] told once, when it is running, to end it
      def stop
        return if ended?

        was_running = running?
        @stopping = true
        was_running ? @stopper&.call : become(:stopped)
      end

      def stopping?
        @stopping
      end

      # --- for the runner

      # A stop that came before there was anything to stop is carried out now.
      def begin(&stopper)
        @stopper = stopper
        become(:running)
        stopper.call if stopping?
      end

      def progress(share)
        change { @share = share }
      end

      def report(found)
        change { @found = found }
      end

      def finish(result)
        change do
          @result = result
          @share = 1.0
          @state = :done
        end
      end

      def fail(message)
        change do
          @error = message
          @state = :failed
        end
      end

      def become(state)
        change { @state = state unless ended? }
      end

      private

      def change
        @lock.synchronize do
          yield
          @changed.call(self)
          @news.broadcast
        end
      end

      def wait_until(seconds)
        till = Process.clock_gettime(Process::CLOCK_MONOTONIC) + seconds
        @lock.synchronize do
          until yield
            left = till - Process.clock_gettime(Process::CLOCK_MONOTONIC)
            break unless left.positive?

            @news.wait(@lock, left)
          end
        end
      end
    end
  end
end
