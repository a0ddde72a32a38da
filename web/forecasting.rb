# frozen_string_literal: true

module Web
  # A class's forecast: first from few runs, then from more.
  module Forecasting
    # Runs after which an answer is shown; a large class begins with half of the first.
    STAGES = [60, 300, 1000, 2000].freeze
    LARGE = 600
    # Runs that are watched for the first answer.
    FIRST_WATCHED = 6

    module_function

    # @param plan [Core::Plan] @param calibration [Core::Session::Calibration]
    # @return [Proc] which reports Core::Session::Forecast, or once Core::Session::Impossible; see Refining
    def work(plan, calibration)
      lambda do |report|
        model = Core::Session::Modelling.new(plan, calibration).model
        model.is_a?(Core::Session::Impossible) ? report.call(model) : refine(Core::Session::Simulation.new(model), report)
      end
    end

    # @param found [Core::Session::Forecast, Core::Session::Impossible, nil]
    # @return [Integer] hundredths of all runs that are done
    def percent(found)
      found.is_a?(Core::Session::Forecast) ? found.runs * 100 / STAGES.last : 0
    end

    # @return [Array<Integer>]
    def stages(model)
      model.people.sum { |person| person.tasks.size } > LARGE ? [STAGES.first / 2, *STAGES.drop(1)] : STAGES
    end

    def refine(simulation, report)
      results = nil
      watched = []
      stages(simulation.model).reduce(0) do |done, stage|
        part = simulation.run(done...stage)
        results = results ? results.join(part) : part
        watched = simulation.watch(0...(done.zero? ? FIRST_WATCHED : Core::Session::Forecast::WATCHED)) if watched.size <= FIRST_WATCHED
        report.call(Core::Session::Forecast.of(simulation, results, watched: watched))
        stage
      end
    end
    private_class_method :refine
  end
end
