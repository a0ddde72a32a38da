# frozen_string_literal: true

module Application
  # The result of a class that stands alone in a file: without a studio, other classes or anything beside the pages.
  module Standalone
    # What a library is, where there is no studio.
    Library = Core::Value.define(:table, :market, :calibration)

    module_function

    # @param inputs [Core::Inputs] @param market [Core::Supply::Market] @param stock [Core::Supply::Stock]
    # @return [ClassResult] with the same forecast that a page shows in the end
    def result(inputs, market, stock)
      plan = inputs.plan
      supply = Core::Supply::Allocation.new(stock,
        market).call({ inputs.workshop.key => Core::Supply::Claim.of(plan) }).fetch(inputs.workshop.key)
      forecast = Core::Lazy.new { Forecasts::State.new(found: Core::Session::Forecast.for(plan, inputs.calibration), percent: 100, running: false, error: nil) }
      outlook = Core::Lazy.new { (found = forecast.value.found).is_a?(Core::Session::Forecast) ? found.outlook : found }
      parts = { plan: plan, supply: supply, seat_costs: Core::Bill::Seat.of(plan, supply, market), problem: nil, market: market, catalogue: inputs.table }
        .transform_values { |value| part(Core::Lazy.new { value }) }
      ClassResult.new(inputs.workshop.key, Library.new(table: inputs.table, market: market, calibration: inputs.calibration),
        { **parts, forecast: part(forecast), outlook: part(outlook) })
    end

    def part(value)
      ClassResult::Part.new(value: value, digest: Core::Lazy.new { Digest.of(value.value) })
    end
    private_class_method :part
  end
end
