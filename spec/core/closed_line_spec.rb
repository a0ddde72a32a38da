# frozen_string_literal: true

require 'json'

RSpec.describe Core::Sizing::ClosedLine do
  def element(along, height, profile, width: 2 * height)
    Core::Making::ThreadedElement.new(along: mm(along), height: mm(height), width: mm(width), profile: profile)
  end

  def closed(row, **options)
    line = described_class.new(row, **options)
    [line.inside.to_mm, line.slack.to_mm]
  end

  # Plane geometry for n equal parts: balls touch at their middles' height, faces by their inner edges, points at the hole.
  [[25, 8, :round, 4], [60, 4, :round, 2], [12, 14, :round, 7], [25, 8, :flat, 3], [90, 1.5, :flat, 1.1], [30, 6, :pointed, 3]].each do |n,
    a, profile, h|
    turn = Math::PI / n
    inside, slack = {
      round: [2 * Math::PI * ((a / (2 * Math.sin(turn))) - h), n * a * (1 - Math.cos(turn))],
      flat: [Math::PI * a / Math.tan(turn), 2 * n * h * Math.sin(turn)],
      pointed: [2 * Math::PI * ((a / (2 * Math.tan(turn))) - h), 0]
    }.fetch(profile)
    it "closes #{n} #{profile} parts of #{a} mm to #{inside.round(1)} mm, with #{slack.round(1)} mm of movement" do
      expect(closed([element(a, h, profile)] * n)).to match([be_within(0.005).of(inside), be_within(0.005).of(slack)])
    end
  end

  # bench/closed_line_reference.py: SciPy's root finder over random rows with a clasp, tall beads and bare line. In a few a part may as well
  # hang as stand.
  it 'agrees with an independent solver on 200 mixed and sparse rows' do
    off = JSON.parse(File.read(File.expand_path('../fixtures/closed_lines.json', __dir__))).map { |one|
      inside, slack = closed(one['row'].map { |along, height, profile| element(along, height, profile.to_sym) })
      [(inside - one['inside']).abs, (slack - one['slack']).abs].max
    }
    expect([off.size, off.count { |mm| mm > 0.01 }]).to match([200, be <= 2])
    expect(off.max).to be < 0.5
  end

  it 'lets bare line down to the body between beads that stand apart, where a full allowance for each asks for far more' do
    inside, slack = closed([element(8, 4, :round), element(60, 0.2, :bare, width: 0.4)] * 7)
    expect([(7 * 68) - inside, slack]).to match([be_between(12, 18), 0])
  end

  it 'lies on a helix in several turns, one pitch further each: longer than flat turns' do
    row = [element(8, 4, :round)] * 66
    flat = 22 * 8 / (2 * Math::PI)
    expect(closed(row, wraps: 3).first).to be_within(0.6).of((2 * Math::PI * (Math.sqrt((flat**2) - ((8 / (2 * Math::PI))**2)) - 4)) + 0.6)
  end

  # Found by an independent solver in which parts tilt: only small rings of large and small parts come out otherwise than told.
  it 'says how much larger a small ring of large and small parts may come out' do
    mixed = ->(times) { [element(16, 8, :round), element(6, 3, :round)] * times }
    doubts = [mixed.(4), mixed.(12), [element(8, 4, :round)] * 8].map { |row| described_class.new(row).doubt.to_mm }
    expect(doubts).to eq([4.5, 0.0, 0.0])
  end

  it 'takes nothing that cannot close as a circle as an error' do
    expect(closed([element(8, 4, :round)])).to eq([0.0, 0.0])
    expect(closed([element(200, 1, :bare)]).first).to be_within(0.01).of(200 - (2 * Math::PI))
  end
end
