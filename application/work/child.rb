# frozen_string_literal: true

require 'rbconfig'

module Application
  module Work
    # One worker process: started cleanly, with nothing of the server's but two pipes, and ended with a bounded wait.
    class Child
      SCRIPT = 'require "eager_bench"; EagerBench.load(:core, :formats, :application); output = $stdout.dup; $stdout.reopen($stderr); ' \
               'Application::Work::Worker.new($stdin, output).run'
      # Compiled code makes the simulation twice as fast; a fault of the compiler ends one piece of work, not the studio.
      COMPILED = %w[--yjit --yjit-exec-mem-size=16 --yjit-call-threshold=50].freeze
      # What is set for the server is not for a worker: it needs no room to spare.
      OWN = %w[RUBYOPT RUBY_GC_HEAP_INIT_SLOTS RUBY_GC_HEAP_FREE_SLOTS RUBY_GC_MALLOC_LIMIT RUBY_GC_MALLOC_LIMIT_MAX
               RUBY_GC_OLDMALLOC_LIMIT].to_h { |name| [name, nil] }.freeze
      WAIT_SECONDS = 1.0
      STEP_SECONDS = 0.01

      attr_reader :pid

      # @param compiled [Boolean] whether to run with the just-in-time compiler, where this Ruby has it
      def initialize(compiled: Child.compiler?)
        @sending = Mutex.new
        input, @to = IO.pipe(binmode: true)
        @from, output = IO.pipe(binmode: true)
        options = compiled ? COMPILED : []
        @pid = spawn({ **OWN, 'BUNDLE_GEMFILE' => File.join(EagerBench::ROOT, 'Gemfile') }, RbConfig.ruby, *options,
          '-rbundler/setup', '-I', EagerBench::ROOT, '-e', SCRIPT,
          in: input, out: output, close_others: true, pgroup: true, chdir: EagerBench::ROOT)
        [input, output].each(&:close)
      end

      # @return [Boolean]
      def self.compiler?
        # With the room that a worker asks for: the usual room takes seconds to lay out on a busy machine.
        @compiler = system(RbConfig.ruby, '--disable=gems', *COMPILED, '-e', '', err: File::NULL) if @compiler.nil?
        @compiler
      end

      # @param message [Array(String, Object)] a job's id, and its task or Worker::STOP
      # @raise [SystemCallError, IOError] when it is gone
      def send(message)
        @sending.synchronize do
          Marshal.dump(message, @to)
          @to.flush
        end
      end

      # @return [Array(Symbol, Object), nil] what it tells next; nil when it is gone
      def receive
        Marshal.load(@from) # rubocop:disable Security/MarshalLoad -- our own worker wrote it
      rescue EOFError, IOError, SystemCallError, ArgumentError, TypeError
        nil
      end

      # Ends it at once.
      def kill
        signal(:KILL)
        close
      end

      # Tells it to end, and ends it when it does not within a second.
      def close
        @to.close unless @to.closed?
        return if gone_within?(WAIT_SECONDS)

        signal(:KILL)
        gone_within?(WAIT_SECONDS)
      ensure
        @from.close unless @from.closed?
      end

      private

      def signal(name)
        Process.kill(name, pid)
      rescue Errno::ESRCH
        nil
      end

      def gone_within?(seconds)
        (seconds / STEP_SECONDS).ceil.times do
          return true if Process.wait(pid, Process::WNOHANG)

          sleep STEP_SECONDS
        end
        false
      rescue Errno::ECHILD
        true
      end
    end
  end
end
