# frozen_string_literal: true

require_relative '../spec_helper'

# Two versions of a project against each other, by their plans.
RSpec.describe Core::Comparison::Variant do
  let(:group) { [attendee(1, 165), attendee(2, 190, level: 1), attendee(3, 20_000)] }
  let(:base) { plan_for(bracelet, group) }
  let(:other) { plan_for(bracelet(pattern: pattern({ fill: ['round_6'] }), school: 'covered', cover: 'cover'), group) }
  let(:variant) { described_class.new(cures: [1], design: nil, suits: nil, plan: other, base: base) }

  it 'tells what differs for those who have a piece either way, and in all for the class' do
    counts = [base, other].map do |plan|
      plan.people.flat_map(&:needs).group_by { |need| need.part.key }.transform_values { |needs| needs.sum(&:count) }
    end
    expect(base.people.map(&:fitted?)).to eq([true, true, false])
    expect(variant.larger).to eq(base.people.first(2).zip(other.people).map { |was, now| now.piece.inside - was.piece.inside })
    told = variant.parts.transform_keys(&:key)
    expect(told).to include('round_8' => -counts[0].fetch('round_8'), 'round_6' => counts[1].fetch('round_6'))
    expect(told.fetch('cover')).to be > 0
    expect([variant.fresh.map(&:key), variant.gone.map(&:key)]).to eq([['crimp_cover'], []])
    expect(variant.minutes).to eq(other.people.first(2).map(&:working_minutes).sort)
    come, go = variant.steps
    expect([come.map(&:technique).include?('crimp_cover'), go.map(&:technique).include?('crimp_cover')]).to eq([true, false])
    same = described_class.new(cures: [], design: nil, suits: nil, plan: base, base: base)
    expect([same.parts, same.lines, same.fresh, same.steps, same.larger.map(&:zero?)]).to eq([{}, {}, [], [[], []], [true, true]])
  end
end
