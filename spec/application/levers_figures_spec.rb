# frozen_string_literal: true

require_relative '../studio_helper'
require_relative '../support/figures'

# What would help the demo's classes, and what a search finds: Opportunity, Lever, LeverSearch, Trial, Suitability, ProjectTime.
RSpec.describe Core::Levers do
  let(:studio) { new_studio }

  def lever(one)
    [one.key, one.cost, one.preparation, one.missed, one.people, one.values.transform_values { |value|
      value.is_a?(Core::Making::StepUse) ? value.key : value.is_a?(Array) ? value.size : value }]
  end

  it 'offers as when it was last looked at' do
    found = studio.classes.all.to_h { |stored| [stored.id.to_s, plan_of(stored.id)] }.compact.transform_values do |plan|
      offers = described_class::Kinds.offers(plan, studio.settings.calibration, seat: 1650)
      { offers: offers.to_h { |one| [one.key, lever(one)] },
        applied: offers.to_h { |one| [one.key, Core::Data::Records::WORKSHOP.write(one.apply(plan.workshop))] } }
    end
    expect(Figures.differ('levers', found)).to eq([])
  end

  it 'finds as when it was last looked at' do
    search = described_class::LeverSearch.new(inputs_of(1), target: 0.9, seat: 1650, confirming: 0...40)
    found = search.call
    expect(Figures.differ('lever_search', { 'found' => found })).to eq([])
  end

  it 'compares projects and their times as when it was last looked at' do
    inputs = inputs_of(1)
    suited = studio.projects.newest.map(&:design).sort_by(&:key).first(12).to_h do |design|
      [design.key, Core::Comparison::Suitability.of(inputs, design, studio.market.all, studio.ledger.stock).then { |one|
        one.to_h.merge(rank: one.rank, reason: one.reason) }]
    end
    times = studio.projects.newest.map(&:design).sort_by(&:key).first(6).to_h do |design|
      time = Core::Comparison::ProjectTime.new(design, inputs.table, inputs.calibration, Date.new(2026, 12, 1))
      ["time #{design.key}", { alone: time.alone, groups: time.groups }]
    end
    expect(Figures.differ('comparison', suited.merge(times))).to eq([])
  end
end
