# frozen_string_literal: true

module Application
  module Tasks
    # Simulates one class, first few times, then more; reports each forecast. stages: runs after which an answer is reported
    Simulate = Core::Value.define(:model, :stages) do
      # @return [Core::Session::Forecast] of all runs
      def call(report)
        Core::Session::Refinement.new(Core::Session::Simulation.new(model), stages).call do |forecast|
          report.call(Work::Progress.new(share: forecast.runs.fdiv(stages.last)))
          report.call(forecast)
        end
      end
    end
  end
end
