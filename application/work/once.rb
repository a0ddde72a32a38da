# frozen_string_literal: true

module Application
  module Work
    # Work that is asked for by the digest of all that it is worked out from, and done once for each; what failed or was stopped may be
    # asked for again.
    class Once
      # @param runner [Runner] @param most [Integer] answers kept
      def initialize(runner, most)
        @runner = runner
        @jobs = Core::LruCache.new(most)
      end

      # @param about [Array] newer work about the same takes its place @param changed [#call] told of the job after each change
      # @yieldreturn [#call] the task @return [Job]
      def ask(digest, title:, about:, changed: ->(_job) {})
        known = @jobs[digest]
        return known if known && !known.failed? && !known.stopped?

        @jobs[digest] = @runner.submit(yield, title: title, about: about, changed: changed)
      end

      # @return [Job::State]
      def state(digest)
        @jobs[digest]&.state || Job::UNASKED
      end

      def drop(about)
        @runner.drop(about)
      end
    end
  end
end
