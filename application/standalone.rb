# frozen_string_literal: true

module Application
  # The result of a class that stands alone in a file: without a studio, other classes or anything beside the pages.
  module Standalone
    # What a library is, where there is no studio.
    Library = Core::Value.define(:table, :market, :calibration, today: nil)

    module_function

    # @param inputs [Core::Planning::Inputs] @param market [Core::Supply::Market] @param stock [Core::Supply::Stock]
    # @return [ClassResult] with the same forecast that a page shows in the end
    def result(inputs, market, stock)
      plan = inputs.plan
      key = inputs.workshop.key
      supply = Core::Supply::Allocation.new(stock, market).call({ key => Core::Supply::StockDemand.of(plan) }).fetch(key)
      found = Core::Session::Forecast.for(plan, inputs.calibration)
      outlook = found.is_a?(Core::Session::Forecast) ? found.outlook : found
      parts = {
        plan: plan, model: Core::Session::Modelling.new(plan, inputs.calibration).model, problem: nil, supply: supply,
          seat_costs: Core::Price::Seat.of(plan, supply, market), market: market, catalogue: inputs.table,
        forecasting: Work::Job::UNASKED.with(found: found, percent: 100), outlook: outlook,
      verdicts: Core::Advice::Verdicts.new(plan, supply, outlook).call
      }.transform_values { |value| ClassResult::Part.of(Core::Lazy.new { value }) }
      library = Library.new(table: inputs.table, market: market, calibration: inputs.calibration)
      ClassResult.new(key, library, parts)
    end
  end
end
