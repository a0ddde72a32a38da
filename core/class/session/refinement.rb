# frozen_string_literal: true

module Core
  module Session
    # A forecast from more and more runs of one simulation. The same stages always come to the same forecast.
    class Refinement
      # Runs after which an answer is told. What is shown of a class in the end comes from the last of them, wherever it is shown.
      STAGES = [60, 300, 1000, 2000].freeze
      # With more tasks than this, the first answer takes half as many runs.
      LARGE = 600
      # Runs that are watched for the first answer.
      FIRST_WATCHED = 6
      # Between these many runs it can be stopped.
      STRIDE = 100

      # @param model [Model] @return [Array<Integer>]
      def self.stages(model)
        model.people.sum { |person| person.tasks.size } > LARGE ? [STAGES.first / 2, *STAGES.drop(1)] : STAGES
      end

      # @param simulation [Simulation] @param stages [Array<Integer>] growing numbers of runs
      def initialize(simulation, stages)
        @simulation = simulation
        @stages = stages
      end

      # @yieldparam forecast [Forecast] after each stage
      # @return [Forecast] the last
      def call
        results = nil
        watched = []
        [0, *@stages].each_cons(2).map do |done, stage|
          results = [results, *parts(done, stage)].compact.reduce(:join)
          wanted = done.zero? ? FIRST_WATCHED : Forecast::WATCHED
          watched = @simulation.watch(0...[wanted, stage].min) if watched.size < wanted
          Forecast.of(@simulation, results, watched: watched).tap { |forecast| yield forecast if block_given? }
        end.last
      end

      private

      def parts(from, till)
        (from...till).step(STRIDE).map { |start| @simulation.run(start...[start + STRIDE, till].min) }
      end
    end
  end
end
