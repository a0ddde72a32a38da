# frozen_string_literal: true

RSpec.describe Core::Supply::Leftovers do
  let(:plan) { plan_for(bracelet, [attendee(1, 150, level: 5), attendee(2, 170, level: 5), attendee(3, 190, level: 5)]) }

  # @return [Core::Supply::Stock] with so many of each part, and one bar of line of so many millimetres
  def stock(parts:, line:, **own)
    counts = plan.needs.to_h { |need| [need.part.key, parts] }.merge(own.transform_keys(&:to_s))
    lines = plan.line_totals.keys.to_h { |one| [one.key, line.transform_keys { |length| mm(length) }] }
    Core::Supply::Stock.new(parts: counts, lines: lines)
  end

  def found(stock)
    described_class.of(plan, stock).map { |one| [one.measure.to_mm, one.pieces, one.first_out.map(&:key)] }
  end

  it 'counts whole pieces by what runs out first, parts or line' do
    needs = plan.people.map { |person| person.needs.find { |need| need.part.key == 'crimp' }.count }
    expected = [150.0, 170.0, 190.0].zip(needs).map { |size, need| [size, 7 / need, ['crimp']] }
    expect(found(stock(parts: 10_000, line: { 5000 => 9 }, crimp: 7))).to eq(expected)
    cut = plan.people.last.cuts.sum { |one| one.total.to_mm }
    line = plan.line_totals.keys.first.key
    # What is left of one bar does not lengthen another.
    expect(found(stock(parts: 10_000, line: { (cut * 1.9) => 3 })).last).to eq([190.0, 3, [line]])
    expect(found(stock(parts: 10_000, line: { (cut * 2) => 3 })).last).to eq([190.0, 6, [line]])
  end

  it 'makes nothing of an empty shelf, and says nothing of sizes that nobody has' do
    expect(found(Core::Supply::Stock.new).map { |one| one[1] }).to eq([0, 0, 0])
    unsized = plan_for(bracelet, [attendee(1, nil)])
    expect(described_class.of(unsized, Core::Supply::Stock.new)).to eq([])
    expect(found(stock(parts: 1_000_000, line: { 1_000_000 => 3 })).map { |one| one.drop(1) }.uniq).to eq([[200, []]])
  end
end
