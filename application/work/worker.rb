# frozen_string_literal: true

require 'date'

module Application
  module Work
    # What runs in a worker process: reads tasks from its input, does one after the other and tells what comes of them.
    # It ends when its input does, so it never outlives the server.
    class Worker
      STOP = :stop
      # Gives way to the pages.
      NICENESS = 10

      # @param input [IO] @param output [IO]
      def initialize(input, output)
        @input = input
        @output = output
        @tasks = Queue.new
        @stopped = nil
      end

      # Never returns.
      def run
        Process.setpriority(Process::PRIO_PROCESS, 0, NICENESS)
        Thread.new { listen }
        loop { work(*@tasks.pop) }
      end

      private

      def listen
        loop do
          message = Marshal.load(@input) # rubocop:disable Security/MarshalLoad -- the server wrote it
          id, task = message
          task == STOP ? @stopped = id : @tasks << message
        end
      rescue EOFError, IOError, SystemCallError
        exit!(0)
      rescue StandardError => e
        # A task that does not read is not done; what comes after it cannot be told apart from it any more.
        tell(:failed, "#{e.class}: #{e.message}")
        exit!(1)
      end

      # A stop that comes too late for its own task does not end the next.
      def work(id, task)
        @id = id
        ended = catch(:stopped) { [:done, task.call(method(:tell_news))] }
        tell(*(ended || [:stopped, nil]))
      rescue StandardError => e
        warn "#{task.class}: #{e.class} at #{place_of(e)}"
        tell(:failed, "#{e.class}: #{e.message}")
      end

      # Never a message: what was typed may stand there.
      def place_of(error)
        place = error.backtrace&.find { |line| line.start_with?(EagerBench::ROOT) && !line.include?('/vendor/') }
        place.to_s.delete_prefix("#{EagerBench::ROOT}/")
      end

      # @param news [Progress, Object]
      def tell_news(news)
        throw :stopped if @stopped == @id
        news.is_a?(Progress) ? tell(:progress, news.share) : tell(:found, news)
      end

      def tell(kind, value)
        @output.write(Marshal.dump([kind, value]))
        @output.flush
      rescue SystemCallError
        exit!(0)
      end
    end
  end
end
