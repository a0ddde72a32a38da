# frozen_string_literal: true

module Application
  # Searches for what would help a class to finish, by the digest of the class's inputs.
  class Searches
    MOST = 32

    # @param runner [Work::Runner]
    def initialize(runner)
      @once = Work::Once.new(runner, MOST)
    end

    # @param digest [String] of the class's inputs
    # @return [Work::Job::State] found: Core::Levers::LeverSearch::Found, Core::Session::Impossible or nil
    def state(digest)
      @once.state(digest)
    end

    # @param seat [Integer] minor units a seat pays @return [Work::Job]
    def ask(class_id, digest, inputs, seat:)
      @once.ask(digest, title: 'What would help', about: [:levers, class_id]) {
        Tasks::SearchLevers.new(inputs: inputs, target: inputs.workshop.session.target / 100.0, seat: seat)
      }
    end

    # The class is gone: nothing about it is worked out any more.
    def drop(class_id)
      @once.drop([:levers, class_id])
    end
  end
end
