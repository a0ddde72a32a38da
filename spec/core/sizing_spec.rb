# frozen_string_literal: true

RSpec.describe Core::Sizing do
  # Circle geometry: the smooth circle asks for C + πd of round beads; touching balls ask for about π²d/6n less (n = 22 to 77 here).
  { [190, 'round_8'] => 8, [150, 'round_6'] => 6, [240, 'seed'] => 3 }.each do |(worn, bead), wide|
    it "asks for little less than a smooth circle round #{worn} mm in #{bead}" do
      piece = fit(design(strung(pattern: pattern({ fill: [bead] }))), worn)
      expect(worn + (Math::PI * wide) - piece.target.to_mm)
        .to be_within(0.25).of((Math::PI**2) * wide / (6 * piece.parts.find { |use| use.part.key == bead }.count))
      expect(piece.inside - piece.worn).to eq(piece.on_line - piece.target)
    end
  end

  it 'keeps the hole height a part states: a flat bead adds less than a round one' do
    flat = sample_table.with(parts: sample_table.parts.merge('round_8' => part('round_8', 8, hole_height: mm(1.5))))
    added = [flat, sample_table].map { |table| Core::Sizing::Blueprint.new(bracelet, table).fit(mm(190),
      Core::Making::Maker.new).target - mm(190) }
    expect(added.first).to be < added.last / 2
  end

  # 196 worn + π·8 = 221.1 on a smooth circle; nine units of 8 + 8 + 6, ends of 17 and two loops of 3 lie nearest to it.
  it 'fills 196 mm worn with nine repeats of 22 beside ends of 23' do
    ends = component('clasp_end', :findings, parts: pattern('clasp', 'extender'))
    table = sample_table.with(parts: sample_table.parts.merge('extender' => part('extender', 1, 4, kind: :extender),
      'crimp' => part('crimp', 2, kind: :crimp)))
    whole = design(ends, strung(pattern: pattern({ fill: [['round_8', 2], 'round_6'] }), mirror: false))
    piece = Core::Sizing::Blueprint.new(whole, table).fit(mm(196), Core::Making::Maker.new)
    expect([piece.work_ups['front'].lengths.repeats,
            piece.on_line,
            piece.inside.to_mm.round(1)]).to eq([9, mm(221), 196.6])
  end

  it 'counts wraps, overlap and an adjustable closure in' do
    wrapped = fit(design(strung, wraps: 3, overlap: mm(20)), 170)
    expect(wrapped.target.to_mm).to be_within(1.5).of(((170 + (Math::PI * 8)) * 3) + 20)
    adjustable = fit(design(strung, component('end', :findings, parts: pattern('ring', 'extender'))), 175)
    expect(adjustable.inside..(adjustable.inside + adjustable.play)).to cover(mm(175))
    expect(adjustable.deviation).to eq(mm(0))
  end

  describe 'over random patterns and sizes' do
    let(:rng) { Random.new(11) }
    let(:beads) { %w[round_8 round_6 disc_2 round_12 seed] }

    def random_front
      unit = Array.new(rng.rand(1..4)) { [beads.sample(random: rng), rng.rand(1..3)] }
      mirror = rng.rand(2).zero?
      strung(mirror: mirror, centre: rng.rand(2).zero? ? pattern(beads.sample(random: rng)) : [],
        pattern: pattern([beads.sample(random: rng), 1], { fill: unit }))
    end

    it 'never lands further than half a unit from the wish, stays symmetric and grows with the wearer' do
      60.times do
        front = random_front
        pieces = [130, 171, 222, 318].map { |worn| fit(design(front), worn) }.grep(Core::Sizing::Piece)
        pieces.each do |piece|
          work_up = piece.work_ups['front']
          expect((piece.on_line - piece.target).abs).to be <= (work_up.lengths.unit / 2) + mm(0.5)
          drawn = work_up.layout.reject { |s| s.role == :line }.sort_by(&:x).map { |s| s.item.key }
          expect(drawn).to eq(drawn.reverse) if front.parameters['mirror']
          expect(drawn.size).to eq(work_up.parts.sum(&:count))
        end
        expect(pieces.map(&:on_line)).to eq(pieces.map(&:on_line).sort)
      end
    end

    # What the thickness takes differs from one number of repeats to the next, so that the one that seems nearest need not be.
    it 'makes what comes nearest of all that is made at any size near it' do
      beyond = Array.new(30) { design(random_front) }.flat_map do |whole|
        blueprint = Core::Sizing::Blueprint.new(whole, sample_table)
        pieces = (150..200).map { |worn| blueprint.fit(mm(worn), Core::Making::Maker.new) }.grep(Core::Sizing::Piece)
        pieces.map { |piece| piece.deviation.abs - pieces.map { |other| (other.inside - piece.worn).abs }.min }
      end
      expect(beyond.tally).to eq(mm(0) => beyond.size)
    end

    it 'tells of the other ways the very size that they come to where they are made' do
      off = Array.new(6) { design(random_front) }.flat_map do |whole|
        blueprint = Core::Sizing::Blueprint.new(whole, sample_table)
        pieces = (140..220).step(4).map { |worn| blueprint.fit(mm(worn), Core::Making::Maker.new) }.grep(Core::Sizing::Piece)
        made = pieces.to_h { |piece| [piece.repeats, piece.inside] }
        pieces.flat_map(&:options).filter_map { |other| made[other.repeats] && (other.length - made[other.repeats]) }
      end
      expect(off.tally).to eq(mm(0) => off.size)
    end

    it 'agrees with trying every number of repeats' do
      60.times do
        fill = Core::Making::Fill.new(base: mm(rng.rand(0..60)), step: mm(rng.rand(2..40)), height: mm(3), most: 400)
        target = mm(rng.rand(100..300))
        best = (1..400).map { |n| (fill.base + (fill.step * n) - target).abs }.min
        expect(Core::Making::Repeats.solve(fill, target).deviation.abs).to eq(best)
      end
    end
  end

  it 'shares the work of those who make the same, and tells each how their own size came about' do
    blueprint = Core::Sizing::Blueprint.new(bracelet, sample_table)
    one, other, larger = [170, 171, 190].map { |measure| blueprint.fit(mm(measure), Core::Making::Maker.new) }
    expect([other, larger].map { |piece| piece.work_ups.equal?(one.work_ups) }).to eq([true, false])
    expect((other.deviation - one.deviation).to_mm).to eq(-1)
    expect([one, other].map { |piece| piece.working.first.length.to_mm }).to eq([170, 171])
  end

  it 'closes a gap with fillers when they come nearer, and offers the others' do
    piece = fit(design(strung(pattern: pattern({ fill: ['round_12'] }), filler: 'disc_2', filler_most: 3)), 171)
    plain = fit(design(strung(pattern: pattern({ fill: ['round_12'] }))), 171)
    expect(piece.deviation.abs).to be < plain.deviation.abs
    expect(piece.work_ups['front'].lengths.fillers.size).to be_even.and be_positive
    expect(piece.options).not_to be_empty
  end

  {
    'a centre wider than the wrist' => [{ centre: [['round_12', 15]] }, 120, :centre_too_wide],
    'ends longer than the piece' => [{}, 12, :ends_too_long],
    'parts that stand once too long' => [
      { centre: [['round_12', 7]], pattern: [['round_8', 2], { fill: [['round_12', 3]] }] }, 120, :fixed_parts_too_long
    ]
  }.each do |what, (parts, worn, cause)|
    it "says why nothing fits with #{what}, and its cure is enough" do
      whole = bracelet(**parts.transform_values { |items| pattern(*items) })
      whole = whole.with(components: whole.components + [component('more', :findings,
        parts: pattern(['clasp', 2]))]) if worn == 12
      out = fit(whole, worn)
      expect([out.class, out.causes.map(&:code)]).to eq([Core::Making::OutOfReach, [cause]])
      longer = mm(worn) + out.cures.find { |c| c.code == :wear_longer }.values[:by]
      expect(fit(whole,
        longer.to_mm)).to be_a(Core::Sizing::Piece).or(have_attributes(causes: [have_attributes(code: :fixed_parts_too_long)]))
    end
  end

  it 'offers ways to close the gap, best first by deviation, then by change to the design' do
    piece = fit(bracelet(pattern: pattern({ fill: ['round_12'] })), 176)
    offers = Core::Sizing::NearerSizes.for(piece, Core::Fit::Additions.for(piece, sample_table))
    order = offers.map { |offer| [(offer.deviation.abs.to_mm * 2).round, offer.change] }
    expect(order).to eq(order.sort)
    expect(offers.map(&:code)).to include(:as_designed, :end_beads, :rings, :extender)
    ring = offers.find { |o| o.code == :rings }
    expect(ring.deviation).to eq(ring.inside - piece.worn)
  end

  it 'tells of no two ways in the same words, where two that fill come to as many repeats' do
    whole = design(strung, component('rest', :strung, line: 'cable', crimp: 'crimp', pattern: pattern({ fill: ['round_6'] })))
    ways = Core::Sizing::NearerSizes.for(fit(whole, 190), []).map { |offer| [offer.code, offer.repeats, offer.count, offer.part] }
    expect(ways).to eq(ways.uniq)
    expect(ways.size).to be > 2
  end

  it 'makes two halves alike, and leaves one with a length of its own while the other takes the rest' do
    half = ->(key, **rest) { component(key, :strung, line: 'cable', crimp: 'crimp', mirror: false, pattern: pattern({ fill: ['round_6'] }),
      **rest) }
    middle = component('middle', :findings, parts: pattern('clasp'))
    repeats = ->(piece) { piece.work_ups.values.map { |work_up| work_up.lengths.repeats } }
    (150..190).step(5) do |worn|
      left, _, right = repeats.(fit(design(half.('left'), middle, half.('right')), worn))
      expect([worn, left]).to eq([worn, right])
    end
    short, long = [160, 190].map { |worn| repeats.(fit(design(half.('front', length: mm(70)), middle, half.('back')), worn)) }
    expect([short.first, long.first, long.last - short.last]).to match([10, 10, be_between(4, 6)])
    expect { fit(design(half.('front', length: mm(3)), middle, half.('back')), 170) }
      .to raise_error(Core::Making::InvalidParameters, /length_out_of_reach/)
  end

  it 'shares what is added, and what a closure lets out, among the turns round the body' do
    slider = { cord: 'cord', beads: pattern('round_12'), closure: 'slider' }
    once, thrice = [1, 3].map { |wraps| fit(design(component('cord', :knotted_cord, **slider), wraps: wraps), 170) }
    expect([once.play, thrice.play]).to eq([mm(60), mm(20)])
    wrapped = fit(bracelet(pattern: pattern({ fill: ['round_12'] })).with(wraps: 3), 168)
    ring = Core::Sizing::NearerSizes.for(wrapped, [sample_table.part('open_ring')]).find { |offer| offer.code == :rings }
    lengths = { wrapped.repeats => wrapped.inside, **wrapped.options.to_h { |option| [option.repeats, option.length] } }
    # The opening ring takes 4 mm of the line, a third of it at each turn.
    expect(ring.inside - lengths.fetch(ring.repeats)).to eq(mm(4) * ring.count / 3)
  end

  it 'shows a working whose parts add up to the line, and leads back to the inside' do
    person = plan_for(bracelet(centre: pattern('round_12')), [attendee(1, 165)]).people.first
    parts = person.working.select { |t| t.operation == :part }.map(&:length)
    expect(Core::Measure::Length.sum(parts)).to eq(person.piece.on_line)
    expect(person.working.last.length).to eq(person.piece.inside)
  end

  # By hand: an extender of 5 mm with 40 mm of play reaches from 5 to 45 mm beyond the plain piece; of three turns a third of each.
  it 'tells an extender from its shortest to its longest hole' do
    plain = bracelet(pattern: pattern({ fill: ['round_12'] }))
    [1, 3].each do |wraps|
      piece = fit(plain.with(wraps: wraps), 176)
      way = Core::Sizing::NearerSizes.for(piece, [sample_table.part('extender')]).find { |offer| offer.code == :extender }
      base = [piece, *piece.options].map { |one| one.respond_to?(:inside) ? one.inside : one.length }
      expect(base.map { |inside| (way.inside - inside).to_mm.round(3) }).to include((5.0 / wraps).round(3))
      expect((way.up_to - way.inside).to_mm).to be_within(1e-5).of(40.0 / wraps)
    end
  end

  # Of three clasps and nine, all alike, the middle lies among the nine.
  it 'hangs at the middle of the whole, on the part that owns it' do
    front = ->(key, beads) { component(key, :findings, parts: pattern(*(['clasp'] * beads))) }
    charm = component('charm', :findings, hung_at: 'centre', parts: pattern('open_ring', 'drop'))
    { [3, 9] => 'b', [9, 3] => 'a' }.each do |(left, right), owner|
      whole = design(front.('a', left), front.('b', right), charm, body: :own)
      piece = Core::Sizing::Blueprint.new(whole, sample_table).fit_usual
      expect([left, right, piece.hung_below.select { |_, below| below.include?('charm') }.keys]).to eq([left, right, [owner]])
    end
  end
end
