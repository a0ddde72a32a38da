# frozen_string_literal: true

require_relative '../studio_helper'
require_relative '../support/figures'

# Evenings tapped by a simulated hand, looked at in their course: LiveState, Attention, WorkStarts, Pace, RemainingModel, Record, Drying,
# DoubleTap, LastChanges, and what the logbook takes from them: TimeObservation, Lost, Calls, LengthObservation, HeldClass,
# ExperienceGained.
RSpec.describe Core::Live do
  let(:studio) { new_studio }
  let(:start) { 1_800_000_000 }

  def moment(plan, model, events, minute)
    now = start + (minute * 60)
    state = described_class::LiveState.new(plan, events.select { |event| event.at <= now })
    rest = described_class::RemainingModel.new(model, state, now)
    { people: state.people.values.map { |one| [one.key, one.place, one.since, one.hand, one.here, one.times, one.spares, one.left_out] },
      needs: described_class::Attention.new(plan, state, now, welcome: 10, chances: {}).needs,
      drying: described_class::Drying.of(state, now),
      double: described_class::DoubleTap.of(state, now),
      changes: described_class::LastChanges.of(state, now).map { |one| [one.kind, one.detail] },
      rest: rest.model.to_h }
  end

  it 'stands as when it was last looked at, and teaches the same' do
    found = [1, 2, 3].to_h { |id| [id, inputs_of(id)] }.select { |_, inputs| inputs.plan.people.any?(&:fitted?) }.to_h do |id, inputs|
      plan = inputs.plan
      model = Core::Session::Modelling.new(plan, inputs.calibration).model
      next [id.to_s, {}] unless model.is_a?(Core::Session::Model)

      events = described_class::SimulatedTaps.events(plan, model, start, run: 3, losses: { 'crimp' => 0.2, 'bead' => 0.02 }, calls: true)
      held = Core::Logbook::HeldClass.of(inputs, events)
      ends = described_class::LiveState.new(plan, events)
      [id.to_s, { events: events.map { |event| [event.kind, event.at - start, event.person, event.detail] },
                  moments: [12, 40, 75, 110].to_h { |minute| [minute, moment(plan, model, events, minute)] },
                  held: held&.to_h, record: described_class::Record.new(ends, model).rows }]
    end
    expect(Figures.differ('live', found)).to eq([])
  end
end
