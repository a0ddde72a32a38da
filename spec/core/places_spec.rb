# frozen_string_literal: true

RSpec.describe Core::Comparison::Places do
  let(:inputs) do
    Core::Planning::Inputs.new(workshop: workshop(tool_sets: 3), design: bracelet, table: sample_table,
      attendees: [1, 2].map { |key| attendee(key, 165, level: 3) })
  end

  # Three sets: one pair of pliers each, cutters shared by two. The fourth person lacks pliers. Nobody gains time by company.
  it 'counts tools that run short and the chance that falls, person by person' do
    rows = described_class.new(inputs, [attendee('late', 190, level: 1)], runs: 60).rows(5)
    expect(rows.map(&:people)).to eq([2, 3, 4, 5])
    expect(rows.map { |row| row.missing.positive? }).to eq([false, false, true, true])
    expect(rows.map(&:chance)).to all(be_between(0, 1))
    alone = inputs.with(attendees: [*inputs.attendees, attendee('late', 190, level: 1)]).plan
    expected = Core::Session::Forecast.for(alone, inputs.calibration, runs: 60).chance
    expect(rows[1].chance).to eq(expected)
  end

  {
    [[0, 0.99], [0, 0.92], [0, 0.85], [1, 0.95]] => 6,
    [[0, 0.5], [0, 0.95]] => nil,
    [[1, 0.99]] => nil,
    [[0, nil]] => nil
  }.each do |numbers, limit|
    it "takes #{limit.inspect} people of #{numbers}" do
      rows = numbers.each_with_index.map { |(missing, chance), i|
        described_class::Row.new(people: 5 + i, missing: missing, chance: chance)
      }
      expect(described_class.limit(rows, 90)).to eq(limit)
    end
  end
end
