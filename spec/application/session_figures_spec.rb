# frozen_string_literal: true

require_relative '../studio_helper'
require_relative '../support/figures'

# Models of the demo's classes, some runs of each moment by moment, and what is told of them: Modelling, Model, Engine, Person, Tools,
# Helpers,
# Demonstrations, Fatigue, EventQueue, RandomStreams, Recorder, RunTrace, Queues, Spread, Forecast, ForecastSummary, RunSheet, Preparation.
RSpec.describe Core::Session do
  let(:studio) { new_studio }

  def figures(plan, calibration)
    model = described_class::Modelling.new(plan, calibration).model
    return { impossible: model } unless model.is_a?(described_class::Model)

    simulation = described_class::Simulation.new(model)
    results = simulation.run(0...40)
    forecast = described_class::Forecast.of(simulation, results)
    { model: model.to_h, ends: results.ends.map { |minute| minute.round(3) }, watched: simulation.watch(0...2).map(&:to_h),
      chance: forecast.chance, outlook: forecast.outlook.to_h, late: forecast.to_h.except(:watched, :typical),
      queues: described_class::Queues.of(forecast.watched), loads: [forecast.helper_load, forecast.tool_loads],
      sheet: described_class::RunSheet.new(plan, forecast, calibration).lines.map { |line|
        [line.minute, line.code, line.step&.key, line.latest, line.range, line.minutes] },
      before: described_class::Preparation.new(plan, calibration, short: 2, today: Date.new(2026, 11, 27)).tasks }
  end

  it 'runs as when it was last looked at' do
    found = studio.classes.all.to_h { |stored| [stored.id.to_s, plan_of(stored.id)] }.compact
      .transform_values { |plan| figures(plan, studio.settings.calibration) }
    inputs = inputs_of(1)
    session = inputs.workshop.session.with(demonstrations: :carry_on, assistants: 2, stagger: 20, break_at: 60, late: 40, late_minutes: 9,
      poor_light: true, own_piece: true)
    changed = inputs.with(workshop: inputs.workshop.with(session: session, tool_sets: 4)).plan
    expect(Figures.differ('session', found.merge('changed' => figures(changed, studio.settings.calibration)))).to eq([])
  end
end
