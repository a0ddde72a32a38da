# frozen_string_literal: true

require_relative '../studio_helper'

RSpec.describe Core::Session::Quantile do
  # R 4.2.2, quantile(x, share, type = 3) on odd sizes, where the nearest order statistic is the same by any rounding.
  {
    [[1, 2, 3, 4, 5], 0.5] => 3,
    [[1, 2, 3, 4, 5], 0.0] => 1,
    [[1, 2, 3, 4, 5], 1.0] => 5,
    [(1..11).to_a, 0.9] => 10,
    [(1..101).to_a, 0.8] => 81,
    [[7], 0.9] => 7
  }.each do |(sorted, share), found|
    it("takes #{found} for #{share} of #{sorted.size} values") { expect(described_class.of(sorted, share)).to eq(found) }
  end
end

RSpec.describe Core::Session::Refinement do
  let(:studio) { new_studio }
  let(:model) { results_of(studio).of(2).model }

  it 'answers better each time, and the last as if all had been run at once' do
    heard = []
    last = described_class.new(Core::Session::Simulation.new(model), [20, 60, 120]).call { |forecast| heard << forecast }
    whole = described_class.new(Core::Session::Simulation.new(model), [120]).call
    expect(heard.map(&:runs)).to eq([20, 60, 120])
    expect([last.chance, last.outlook.late_end, last.standard_error]).to eq([whole.chance, whole.outlook.late_end, whole.standard_error])
    expect(heard.map(&:standard_error).last).to be <= heard.first.standard_error + 0.05
  end

  it 'answers first after fewer runs where a class is large' do
    large = model.with(people: model.people * 20)
    first = [model, large].map { |one| described_class.stages(one).first }
    expect(first).to eq([60, 30])
    expect([model, large].map { |one| described_class.stages(one).last }.uniq).to eq([2000])
  end

  it 'gives one digest to equal models, and another to another' do
    run = ->(one) { described_class.new(Core::Session::Simulation.new(one), [60]).call.outlook.late_end }
    expect(run.(model)).to eq(run.(results_of(studio).of(2).model))
    expect(run.(results_of(studio).of(1).model)).not_to eq(run.(model))
  end
end
