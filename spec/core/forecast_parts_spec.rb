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

RSpec.describe Core::Session::LongWait do
  def row(*segments)
    segments.map { |kind, from, to, step| Core::Steps::Segment.new(kind: kind, from: from.to_f, to: to.to_f, step: step) }
  end

  let(:rows) {
    { '1' => row([:work, 0, 20, 'a'], [:wait_group, 20, 50, 'b'], [:demonstration, 50, 53, 'b']),
      '2' => row([:work, 0, 25, 'a'], [:wait_group, 25, 50, 'b'], [:demonstration, 50, 53, 'b']),
      '3' => row([:wait_tool, 0, 18, 'a'], [:work, 18, 44, 'a'], [:helped, 44, 50, 'a'], [:demonstration, 50, 53, 'b'], [:wait_tool, 53,
        80, 'c']) }
  }

  it 'tells who waits for whom, from when to when, and what held that one up before' do
    found = described_class.of(rows)
    expect([found.waiting, found.from, found.to, found.whom, found.step]).to eq([%w[1 2], 20.0, 50.0, '3', 'b'])
    expect([found.cause, found.minutes, found.ended, found.at]).to eq([:wait_tool, 18.0, 18.0, 'a'])
    alone = rows.merge('3' => row([:work, 0, 50, 'a'], [:demonstration, 50, 53, 'b']))
    expect(described_class.of(alone).then { |one| [one.cause, one.at] }).to eq([:work, nil])
  end

  it 'is none of a short wait, of one person alone, or where nobody is waited for' do
    short = rows.merge('1' => row([:wait_group, 41, 50, 'b']), '2' => row([:wait_group, 42, 50, 'b']))
    expect([short, rows.except('2'), rows.except('3'), {}].map { |one| described_class.of(one) }).to eq([nil] * 4)
  end
end
