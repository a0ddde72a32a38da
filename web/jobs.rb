# frozen_string_literal: true

require 'securerandom'

module Web
  # Work that takes longer than a request: it runs beside the pages, says how far it is, and can be stopped.
  class Jobs
    MOST = 30

    # One piece of work. title: what it is, for the page that waits · path: the page that shows what came of it
    class Job
      attr_reader :id, :title, :path, :result, :error
      attr_accessor :progress

      def initialize(title, shown_under)
        @id = SecureRandom.hex(8)
        @path = "#{shown_under}/#{@id}"
        @title = title
        @progress = 0.0
        @state = :running
      end

      %i[running done failed stopped].each { |state| define_method(:"#{state}?") { @state == state } }

      def stop
        @stopping = true
      end

      # Called by the work now and then.
      # @param share [Float] 0..1
      def reached(share)
        @progress = share
        throw :stopped if @stopping
      end

      def percent
        (progress * 100).round
      end

      # @yieldparam job [Job] @yieldreturn [Object] the result
      def run
        ended = :stopped
        catch(:stopped) do
          @result = yield(self)
          @progress = 1.0
          ended = :done
        end
        @state = ended
      rescue StandardError => e
        @error = e
        @state = :failed
        warn "#{title}: #{e.full_message}"
      end
    end

    def initialize
      @jobs = {}
      @lock = Mutex.new
    end

    # @param shown_under [String] path of the pages that show such results
    # @return [Job] already running
    def start(title, shown_under: '/jobs', &work)
      job = Job.new(title, shown_under)
      @lock.synchronize do
        @jobs[job.id] = job
        @jobs.shift while @jobs.size > MOST
      end
      thread = Thread.new { job.run(&work) }
      thread.priority = -1
      job
    end

    # @return [Job] @raise [Store::NotFound] for one that never was, or was long ago
    def find(id)
      @lock.synchronize { @jobs[id] } || raise(Store::NotFound.new(:job, id))
    end
  end
end
