# frozen_string_literal: true

require_relative '../spec_helper'

# Lines with weights, hung at two points of one height.
RSpec.describe Core::Sizing::HangingLine do
  def line(length, span, *weights)
    described_class.new(length, span, weights.map { |at, grams| described_class::Weight.new(at: at.to_f, grams: grams.to_f) })
  end

  # Statics by hand: right triangles, and the pull from its part upward (half of the weight where it hangs in the middle).
  [[[100, 60, [50, 10]], [30.0, 40.0], 6.25],
   [[130, 120, [65, 12]], [60.0, 25.0], 15.6],
   # Two alike, a third of the way each: the middle piece lies level.
   [[90, 66, [30, 5], [60, 5]], [18.0, 24.0], 6.25],
   # Off the middle: the triangle of 30, 40 and 50, its right angle at the weight.
   [[70, 50, [30, 7]], [18.0, 24.0], 5.6],
   # Three alike: the middle piece of weight hangs lowest, by symmetry in the middle.
   [[80, 64, [20, 1], [40, 1], [60, 1]], nil, nil],
   # No weight at all but one too light to see beside a heavy one.
   [[100, 60, [50, 10], [20, 1e-9]], nil, nil]].each do |(length, span, *weights), place, pull|
    it "balances #{weights.size} weights on #{length} mm over #{span} mm" do
      hung = line(length, span, *weights)
      ends = hung.places.values_at(0, -1).map { |one| [one.x, one.y].map { |number| number.round(4) } }
      expect(ends).to eq([[0.0, 0.0], [span, 0.0]])
      long = hung.places.each_cons(2).sum { |a, b| Math.hypot(b.x - a.x, b.y - a.y) }
      expect(long).to be_within(1e-6).of(length)
      expect([hung.places[1].x, hung.places[1].y]).to match(place.map { |number| be_within(1e-4).of(number) }) if place
      expect(hung.pull).to be_within(1e-4).of(pull) if pull
      expect(hung.lowest.x).to be_within(0.01).of(span / 2.0) if weights.size != 2 && weights.first.first == length / 4
    end
  end

  it 'finds a place between two weights on the straight line between them' do
    hung = line(100, 60, [50, 10])
    told = [25, 75, 80].map { |at| [hung.place(at).x.round(4), hung.place(at).y.round(4)] }
    expect(told).to eq([[15.0, 20.0], [45.0, 20.0], [48.0, 16.0]])
  end

  # The catenary: length 2 a sinh(d / 2a), sag a (cosh(d / 2a) − 1), pull at the ends w (a + sag) (D. Gregory, 1697; any mechanics text).
  it 'hangs as a catenary where many small weights hang close together' do
    half, a = 80.0, 60.0
    length, sag = 2 * a * Math.sinh(half / a), a * (Math.cosh(half / a) - 1)
    many = 800
    hung = line(length, 2 * half, *(0...many).map { |i| [length * (i + 0.5) / many, length / many] })
    expect(hung.lowest.y).to be_within(0.02).of(sag)
    expect(hung.pull).to be_within(0.2).of(a + sag)
  end

  # A general solver that knows no statics: of all shapes with these lengths the one whose weights lie lowest (least potential energy),
  # found by small random turns of the pieces.
  it 'lies as low as a search for the least energy finds' do
    weights = [[20, 3], [55, 9], [80, 2]]
    hung = line(110, 70, *weights)
    pieces = [20.0, 35.0, 25.0, 30.0]
    random = Random.new(5)
    cost = lambda do |angles|
      x = y = energy = 0.0
      angles.zip(pieces, [3.0, 9.0, 2.0, 0.0]) do |angle, long, grams|
        x += long * Math.cos(angle)
        y += long * Math.sin(angle)
        energy -= grams * y
      end
      energy + (500 * ((x - 70)**2)) + (500 * (y**2))
    end
    angles = [0.8, 0.4, -0.4, -0.8]
    best, step = cost.(angles), 0.3
    60_000.times do
      tried = angles.map { |angle| angle + (step * (random.rand - 0.5)) }
      (found = cost.(tried)) < best ? (angles, best = tried, found) : step = [step * 0.9995, 1e-4].max
    end
    x = y = 0.0
    found = angles.zip(pieces).first(3).map { |angle, long| [x += long * Math.cos(angle), y += long * Math.sin(angle)] }
    expect(found.flatten.zip(hung.places[1..3].flat_map { |one| [one.x, one.y] }).map { |a, b| (a - b).abs }.max).to be < 0.5
  end
end

RSpec.describe Core::Sizing::Hang do
  def necklace(target, pattern)
    row = component('front', :strung, line: 'cable', crimp: 'crimp', mirror: false, pattern: pattern)
    whole = design(row, body: :neck)
    table = sample_table.with(parts: sample_table.parts.transform_values { |one| one.with(mass_mg: one.outer.to_mm.to_f**3) })
    Core::Sizing::Blueprint.new(whole, table).fit(mm(target), Core::Making::Maker.new)
  end

  # By symmetry, and by plane geometry: no lower than a line that hangs as a V.
  it 'hangs a row of beads alike in the middle, lower the longer it is, and not at all where it lies round the neck' do
    rows = [420, 480, 560].map { |target| described_class.of(necklace(target, pattern({ fill: ['round_8'] })), mm(360)) }
    expect(rows.map(&:aside)).to all(be_within(0.5).of(0))
    expect(rows.map(&:fall)).to eq(rows.map(&:fall).sort)
    half, span = (480 - 180) / 2.0, 360 / Math::PI
    expect(rows[1].fall).to be_between(half * 0.6, Math.sqrt((half**2) - ((span / 2)**2)) + 12)
    expect(described_class.of(necklace(370, pattern({ fill: ['round_8'] })), mm(360))).to be_nil
  end

  it 'hangs towards its heavier side' do
    row = [*pattern({ fill: ['round_6'] }), *pattern(*(['round_12'] * 3), *(['round_6'] * 25))]
    uneven = described_class.of(necklace(480, row), mm(360))
    expect(uneven.aside.abs).to be > 4
  end

  # Of two rows side by side the lower one lies lower where they hang lowest, and the outer one further out at the sides.
  it 'keeps rows beside each other as they lie' do
    piece = necklace(480, pattern({ fill: ['round_8'] }))
    rows = piece.layout.select { |shape| shape.role == :bead }.flat_map { |shape| [-5.0, 5.0].map { |down| shape.moved(0.0, down) } }
    hung = described_class.of(piece.with(drawing: Core::Lazy.new { rows }), mm(360)).layout.each_slice(2).to_a
    lowest = hung.max_by { |above, below| above.y + below.y }
    expect(lowest[1].y - lowest[0].y).to be_within(0.2).of(10.0)
    left, right = hung.first, hung.last
    expect(left[1].x).to be < left[0].x - 5
    expect([left[0].turn, right[0].turn]).to match([be_between(30, 90), be_between(-90, -30)])
  end
end

RSpec.describe Core::Sizing::WristHang do
  def bracelet_of(target, pattern, heavy: {})
    row = component('front', :strung, line: 'cable', crimp: 'crimp', mirror: false, pattern: pattern)
    table = sample_table.with(parts: sample_table.parts.to_h { |key, one| [key, one.with(mass_mg: heavy.fetch(key, 1.0))] })
    Core::Sizing::Blueprint.new(design(row), table).fit(mm(target), Core::Making::Maker.new)
  end

  # A belt round a circle and through one point d from its middle: 2√(d² − r²) + r(2π − 2 acos(r / d)) (plane geometry). Where one bead
  # outweighs all others the line hangs as that belt.
  it 'hangs from one heavy bead as a belt does' do
    piece = bracelet_of(190, pattern({ fill: ['round_6'] }, 'round_12'), heavy: { 'round_12' => 1e7 })
    hang = described_class.of(piece, mm(165))
    radius = (165 / (2 * Math::PI)) + 3.2
    far = radius + hang.gap
    belt = (2 * Math.sqrt((far**2) - (radius**2))) + (radius * ((2 * Math::PI) - (2 * Math.acos(radius / far))))
    expect(belt).to be_within(1.5).of(piece.laid_flat.to_mm)
    expect(hang.lies_below.key).to eq('round_12')
    expect(hang.layout.max_by(&:y).item.key).to eq('round_12')
    expect(hang.layout.max_by(&:y).x).to be_within(0.5).of(hang.span / 2)
  end

  it 'keeps the line as long as it is, off the arm, and says that even weights stay as they are' do
    piece = bracelet_of(185, pattern({ fill: ['round_8'] }))
    hang = described_class.of(piece, mm(165))
    off = hang.way.each_cons(2).sum { |a, b| Math.hypot(b[0] - a[0], b[1] - a[1]) }
    radius = (165 / (2 * Math::PI)) + 4
    middle = hang.span / 2
    angle = Math.asin(hang.way.first[1] / radius)
    expect(off + (radius * (Math::PI + (2 * angle)))).to be_within(0.5).of(piece.laid_flat.to_mm)
    expect(hang.way.map { |x, y| Math.hypot(x - middle, y) }.min).to be_within(0.05).of(radius)
    # The line leaves the arm in the arm's direction.
    first, second = hang.way.first(2)
    expect(Math.atan2(second[0] - first[0], second[1] - first[1])).to be_within(0.05).of(angle)
    expect([hang.balanced?, hang.lies_below]).to eq([true, nil])
    expect(described_class.of(bracelet_of(168, pattern({ fill: ['round_8'] })), mm(165))).to be_nil
  end
end
