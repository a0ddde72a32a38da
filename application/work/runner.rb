# frozen_string_literal: true

module Application
  module Work
    # Does work beside the pages: a queue, and at most two worker processes that take from it. What someone waits for goes before
    # what is done ahead, of which at most one runs at a time.
    class Runner
      MOST = 2
      # Ended jobs that can still be asked for.
      REMEMBERED = 60
      # A worker that does not stop within these seconds is ended.
      STOP_SECONDS = 2.0

      def initialize(most: MOST)
        @most = most
        @queue = []
        @running = []
        @known = {}
        @threads = []
        @lock = Mutex.new
        @wakened = ConditionVariable.new
      end

      # @param task [#call] a value that Marshal can carry; called in another process with something to report to
      # @param about [Object, nil] older work about the same is dropped
      # @param urgent [Boolean] whether someone waits for it
      # @return [Job]
      def submit(task, title: '', about: nil, urgent: true, changed: ->(_job) {})
        job = Job.new(task, title: title, about: about, urgent: urgent, changed: changed)
        drop(about) if about
        @lock.synchronize do
          raise 'the runner is closed' if @closed

          remember(job)
          urgent ? @queue.insert(@queue.index { |other| !other.urgent? } || @queue.size, job) : @queue.push(job)
          start_thread if @threads.size < @most && @threads.size < @queue.size + @running.size
          @wakened.signal
        end
        job
      end

      # Someone waits for it now.
      def hurry(job)
        @lock.synchronize { @queue.unshift(job) if @queue.delete(job) }
      end

      # Stops what is done or waits about something.
      def drop(about)
        old = @lock.synchronize do
          waiting, @queue = @queue.partition { |job| job.about == about }
          waiting + @running.select { |job| job.about == about }
        end
        old.each(&:stop)
      end

      # Nothing that was asked for is worked out any more.
      def clear
        @lock.synchronize { @queue.slice!(0..) + @running }.each(&:stop)
      end

      # @return [Job, nil] one that is known by its id
      def find(id)
        @lock.synchronize { @known[id] }
      end

      # @return [Array<Integer>] process ids of the workers
      def pids
        @lock.synchronize { @threads.filter_map { |thread| thread[:process]&.pid } }
      end

      # Ends all work and all workers, within a few seconds.
      def close
        waiting = @lock.synchronize do
          @closed = true
          @wakened.broadcast
          @queue.slice!(0..)
        end
        waiting.each(&:stop)
        @threads.each { |thread| thread[:process]&.kill }
        @threads.each { |thread| thread.join(STOP_SECONDS) || thread.kill }
      end

      private

      def remember(job)
        @known[job.id] = job
        @known.shift while @known.size > REMEMBERED
      end

      def start_thread
        thread = Thread.new { serve }
        thread.name = 'beside the pages'
        @threads << thread
      end

      def serve
        while (job = take)
          begin
            run(job)
          rescue StandardError => e
            job.fail("#{e.class}: #{e.message}")
          ensure
            @lock.synchronize { @running.delete(job) }
          end
        end
      ensure
        Thread.current[:process]&.close
      end

      # @return [Job, nil] the next, waited for; nil when the runner is closed
      def take
        @lock.synchronize do
          loop do
            return if @closed

            job = @queue.find { |one| one.urgent? || @running.none? { |other| !other.urgent? } }
            return @running.push(@queue.delete(job)).last if job

            @wakened.wait(@lock)
          end
        end
      end

      # A worker that is gone in the middle is followed by one that is not compiled; gone again, the job has failed.
      def run(job)
        [true, false].each do |compiled|
          return if @closed || job.ended? || follow(job, worker(compiled: compiled))

          forget_worker
        end
        return if @closed || job.ended?

        job.stopping? ? job.become(:stopped) : job.fail('the work ended unexpectedly')
      end

      # @return [Boolean] whether the worker is still there at the end
      def follow(job, process)
        job.begin { stop(job, process) }
        process.send([job.id, job.task])
        while (message = process.receive)
          kind, value = message
          return hear(job, kind, value) if %i[done failed stopped].include?(kind)

          kind == :progress ? job.progress(value) : job.report(value)
        end
        job.become(:stopped) if job.stopping?
        false
      rescue SystemCallError, IOError # it was ended from outside
        false
      end

      def hear(job, kind, value)
        case kind
        when :done then job.finish(value)
        when :failed then job.fail(value)
        else job.become(:stopped)
        end
        true
      end

      def stop(job, process)
        process.send([job.id, Worker::STOP])
        Thread.new { process.kill unless job.wait(STOP_SECONDS) }
      rescue SystemCallError, IOError # it is gone already
        nil
      end

      def worker(compiled:)
        Thread.current[:process] ||= compiled ? Child.new : Child.new(compiled: false)
      end

      def forget_worker
        Thread.current[:process]&.kill
        Thread.current[:process] = nil
        @lock.synchronize { @wakened.broadcast }
      end
    end
  end
end
