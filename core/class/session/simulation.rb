# frozen_string_literal: true

module Core
  module Session
    # Runs a model many times.
    class Simulation
      SEED = 1

      attr_reader :model

      # @param model [Model] @param drawn [LruCache, nil] see RandomStreams.of
      def initialize(model, seed: SEED, drawn: nil)
        @model = model
        @engine = Engine.new(model)
        @draws = RandomStreams.of(model, seed, drawn: drawn)
      end

      # @param replications [Range<Integer>] which of them; the same ones always come to the same
      # @return [Results]
      def run(replications)
        results = Results.new(model.people.map(&:key))
        replications.each do |replication|
          @engine.run(@draws.at(replication))
          results.add(@engine, @engine.finished.map { |minute| cleared(minute) })
        end
        results
      end

      # @param replications [Range<Integer>] @return [Array<RunTrace>] these runs, with all that happened in them
      def watch(replications)
        replications.map do |replication|
          recorder = Recorder.new(model, method(:paused))
          recorder.run(@engine.run(@draws.at(replication), recorder).finished)
        end
      end

      private

      def cleared(minute)
        paused(minute) + model.clearing
      end

      # All work rests while a pause lasts, so every later moment lies that much later.
      def paused(minute)
        model.pauses.reduce(minute) { |at, pause| at > pause.from ? at + pause.minutes : at }
      end
    end
  end
end
