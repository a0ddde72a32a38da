# frozen_string_literal: true

RSpec.describe Core::Making::Threads do
  let(:bead) { part('bead', 2, 3, hole: mm(1)) }

  def slot(across, along, turn: 0)
    described_class::Slot.new(part: bead, role: :bead, x: across, y: along, turn: turn)
  end

  def thread(slots, *back)
    visits = slots.each_index.map { |i| described_class::Visit.new(slot: i, back: back.include?(i)) }
    described_class.new(slots, 'a' => visits)
  end

  # By hand: the straight line from the first mouth to the last lies within the holes, where they leave 0.4 to either side, or it touches
  # the edge of the hole between.
  [[[[0, 0], [6, 0.3], [12, 0]], 0.2, 14.0], [[[0, 0], [6, 1.0], [12, 0]], 0.2, 2 + (2 * Math.hypot(5, 0.6)) + 2],
    [[[0, 0], [6, 1.0], [12, 0]], 1.0, 2 + (2 * Math.hypot(4, 1)) + 2 + 2]].each do |places, thickness, length|
    it "draws a thread of #{thickness} taut through holes at #{places}" do
      slots = places.map { |x, y| slot(x, y) }
      expect(thread(slots).taut(thickness)).to be_within(0.15).of(length)
      expect(thread(slots).taut(thickness)).to be <= thread(slots).length
    end
  end

  # A mirror: the way between two points that touches a line is shortest where both meet it at one angle.
  it 'turns back at a mouth where the way is shortest' do
    gate = described_class::Gate.new(x: 0.0, y: 0.0, along: [1.0, 0.0], aside: 10.0)
    expect([gate.nearest([3.0, 0.0], [1.0, 4.0]), gate.nearest([-1.0, 0.0], [1.0, 4.0])]).to eq([[0.0, 3.0], [0.0, 2.0]])
  end
end
