# frozen_string_literal: true

module Application
  # Searches for what would help a class to finish, by the digest of the class's inputs.
  class Searches
    # found: Core::Session::LeverSearch::Found, Core::Session::Impossible or nil · id: of the job that can be stopped
    State = Core::Value.define(:found, :percent, :running, :error, :id) do
      def running?
        running
      end
    end

    UNASKED = State.new(found: nil, percent: 0, running: false, error: nil, id: nil)
    MOST = 32

    # @return [Integer] changes whenever the state of any search may have
    attr_reader :stamp

    # @param runner [Work::Runner]
    def initialize(runner)
      @runner = runner
      @jobs = Kept.new(MOST)
      @stamp = 0
    end

    # @param digest [String] of the class's inputs @return [State]
    def state(digest)
      job = @jobs[digest] or return UNASKED
      now = job.state
      State.new(found: now.result, percent: now.percent, running: now.running, error: now.error, id: job.id)
    end

    # @param seat [Integer] minor units a seat pays
    def ask(class_id, digest, inputs, seat:)
      known = @jobs[digest]
      return known if known && !known.failed? && !known.stopped?

      task = Tasks::SearchLevers.new(inputs: inputs, target: inputs.workshop.session.target / 100.0, seat: seat)
      @jobs[digest] = @runner.submit(task, title: 'What would help', about: [:levers, class_id], changed: ->(_) { @stamp += 1 })
      @stamp += 1
      @jobs[digest]
    end

    # The class is gone: nothing about it is worked out any more.
    def drop(class_id)
      @runner.drop([:levers, class_id])
      @stamp += 1
    end
  end
end
