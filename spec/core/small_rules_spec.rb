# frozen_string_literal: true

# Rules of one line each, at their bounds: Core::Supply::WeighIn, Core::Making::ShortNames, Core::Construction::PatternReader,
# Core::Levers::Opportunity, Core::Catalogue::Technique, Core::Fit::Rules::RingHolds, Core::Fit::Additions, Core::Measure::ClockTime,
# Core::Session::Engine::Step.
RSpec.describe Core do
  # By hand: 2.4996 g are 2500 mg; 12.5 mg a bead make 200 beads, 12.4 make 201.6.
  it 'weighs to the nearest milligram and counts to the nearest bead (WeighIn)' do
    expect([12.5, 12.4, 1.0].map { |mass| Core::Supply::WeighIn.grams(2.4996, mass).count }).to eq([200, 202, 2500])
    expect(Core::Supply::WeighIn.of([2490, 2510, 2500], 12.5).spread).to eq(2)
  end

  it 'tells two of one name apart, also where a third beside them is clear (ShortNames)' do
    names = ['8 mm round, dusk', '8 mm round, ember', '6 mm round, rose']
    dusk, ember, rose = names.map.with_index { |name, i| part("p#{i}", 8).with(name: name) }
    told = Core::Making::ShortNames.new([dusk, ember, rose])
      .tell_apart({ hung: [dusk, rose], from: Core::Making::FromBag.new(parts: [rose]) })
    expect(told[:hung].map(&:name)).to eq(['dusk 8 mm round', '6 mm round, rose'])
    expect(told[:from].parts).to eq([rose])
  end

  it 'reads groups within groups as deep as it says, and no deeper (PatternReader)' do
    nested = ->(depth) { (1..depth).reduce([{ 'part' => 'seed' }]) { |inner, _| [{ 'repeat' => inner, 'times' => 1 }] } }
    deepest = Core::Construction::PatternReader::DEEPEST
    read = [deepest - 1, deepest].map do |depth|
      Core::Construction::Kinds.fetch(:findings).build({ 'parts' => nested.(depth) }, sample_table) && :read
    rescue Core::Making::InvalidParameters => e
      e.problems.map(&:code)
    end
    expect(read).to match([:read, start_with(:too_deep)])
  end

  it 'lets levers reach the two lowest levels, or everyone (Opportunity)' do
    { [1, 1, 3] => [1, 3, 5], [2, 5] => [2, 5], [5] => [5], [1, 2, 3, 4] => [1, 2, 5] }.each do |levels, reach|
      people = levels.each_with_index.map { |level, i| attendee(i, 170, level: level) }
      room = Core::Levers::Opportunity.new(plan_for(bracelet, people), Core::Setup::Calibration.new, 0)
      expect([levels, room.levels]).to eq([levels, reach])
    end
  end

  it 'works slower with a tool that stands in (Technique)' do
    one = Core::Catalogue::Technique.new(key: 'x', name: 'x', level: 1, seconds: 40, tools: %w[special special other],
      stand_ins: ['special > tape x 1.5: Mind it.'])
    other = one.with_stand_in('tape')
    expect([other.seconds, other.tools, other.points]).to eq([60.0, %w[tape tape other], ['Mind it.']])
  end

  # A gap of 0.3 mm lets a line of 0.3 mm out, not one of 0.31; two lines of 0.3 fill a ring of 0.6 exactly.
  it 'lets a line out of a gap as wide as itself (RingHolds)' do
    ring = ->(hole) { part('gap', 5, 6, kind: :ring, soldered: false, hole: mm(hole), gap: mm(0.3)) }
    codes = [[0.3, 4], [0.31, 4], [0.3, 0.6], [0.3, 0.59]].map do |thickness, hole|
      line = Core::Catalogue::Line.new(key: 'l', name: 'l', kind: :cable, thickness: mm(thickness))
      join = Core::Making::Join.new(kind: :hangs_in, inner: line, outer: ring.(hole), at: 0.0, passes: 2)
      Core::Fit::Rules::RingHolds.new(sample_table).call(join).code
    end
    expect(codes).to eq(%i[ring_gap ring_fits ring_gap ring_will_not])
  end

  it 'adds opening rings and extenders at a closure, no soldered ring and no open clasp (Additions)' do
    more = [part('loose_clasp', 9, 6, kind: :clasp, soldered: false), part('split', 6, 7, kind: :split_ring)]
    table = sample_table.with(parts: sample_table.parts.merge(more.to_h { |one| [one.key, one] }))
    piece = Core::Sizing::Blueprint.new(bracelet, table).fit(mm(170), Core::Making::Maker.new)
    expect(Core::Fit::Additions.for(piece, table).map(&:key)).to contain_exactly('open_ring', 'extender')
  end

  it 'is the same time of day only as the same minute (ClockTime)' do
    half, later = %w[18:30 18:31].map { |text| Core::Measure::ClockTime.parse(text) }
    expect([half.eql?(later), half.eql?(Core::Measure::ClockTime.parse('18:30')), half.eql?(1110), { half => 1 }[later]])
      .to eq([false, true, false, nil])
  end

  # Of 2^16 random numbers those from which a step takes longer than the multiple lie at its quantile of the spread.
  it 'calls someone stuck from the quantile of the multiple (Engine::Step)' do
    places = Core::Session::Spread::PLACES * Core::Session::Spread::COARSE
    [0.2, 0.5].each do |sigma|
      luck = Core::Session::Engine::Step::Luck.of(sigma, 1.5)
      normal = (Math.log(1.5) + ((sigma**2) / 2)) / sigma
      share = 0.5 * (1 + Math.erf(normal / Math.sqrt(2)))
      expect(luck.stuck_from.fdiv(places)).to be_within(0.01).of(share)
    end
    expect(Core::Session::Engine::Step::Luck.of(0.1, 50.0).stuck_from).to eq(places)
  end

  # Kept: five alike are said as "five times", not to the middle and back; nothing is gained by going back.
  it 'says a row to its middle and back only where that is shorter (BeadOrder)' do
    rows = { 'aaaaa' => false, 'abcba' => true, 'aabbaa' => true, 'ababa' => true }
    found = rows.to_h { |row, _| [row, Core::Making::BeadOrder.of(row.chars.map { |name| part(name, 6) }).mirrored] }
    expect(found).to eq(rows)
  end

  # CRC Handbook of Chemistry and Physics, physical constants of metals and minerals, g/cm³; a metre of wire 1 mm thick is 0.7854 cm³.
  it 'weighs a metre of wire by its metal (Mass)' do
    known = { 'brass' => 8.5, 'steel' => 7.87, 'copper' => 8.96, 'silver' => 10.5, 'bronze' => 8.8, 'nickel silver' => 8.7,
      'aluminium' => 2.70,
              'gold' => 13.1 }
    known.each do |metal, density|
      wire = Core::Catalogue::Line.new(key: 'w', name: 'w', kind: :wire, thickness: mm(1), material: metal)
      expect([metal, Core::Catalogue::Mass.of_length(wire, mm(1000)) / 785.398]).to match([metal, be_within(density * 0.01).of(density)])
    end
  end

  # From memory; docs/session.md names each beside what it does.
  it 'begins with the minutes, paces and shares that docs/session.md names (Calibration)' do
    told = File.read(File.join(__dir__, '../../docs/session.md'))
    start = Core::Setup::Calibration.new
    ["#{start.help_minutes} min lognormal", "#{start.walking_minutes} min each time a tool", "quick #{start.quick}, slow #{start.slow}",
     "#{(start.between * 100).round} %", "#{(start.help * 100).round} % more where all is new", "log2(#{start.learning})",
     "answer #{(start.neighbours * 100).round} of 100 calls", "takes #{start.assistant_pace} times as long",
     "more than #{start.tires_after} min after the start or the break take #{(start.fatigue * 100).round} % longer",
     "the evening has in common (spread #{start.evening}), what a technique has (#{start.doubt}), what a person has (#{start.between})"]
      .each { |words| expect(told).to include(words) }
  end

  it 'changes what is smaller before what is larger (Cures)' do
    loop = Core::Fit::Cures::SetLoop.new('strand', mm(4))
    expect([Core::Fit::Cures::UseColourway.new('x'), loop, Core::Fit::Cures::TrimTails.new('x')].map(&:change)).to eq([0, 0.2, 0.5])
  end

  # Crimp 2.6 mm wide: a cover of just that room closes over it.
  it 'offers covers that have just the room (CoverCloses)' do
    crimp = part('wide_crimp', 2, 2.6, kind: :crimp)
    covers = { small: 2.5, exact: 2.6, large: 3.0 }.map { |key, room| part("#{key}_cover", 4, 4, kind: :cover, hole: mm(room)) }
    table = sample_table.with(parts: [crimp, *covers].to_h { |one| [one.key, one] })
    join = Core::Making::Join.new(kind: :cover_on_crimp, inner: crimp, outer: covers.first, at: 0.0)
    cures = Core::Fit::Rules::CoverCloses.new(table).call(join).cures
    expect(cures.map { |cure| cure.values[:to] }).to contain_exactly('exact cover', 'large cover')
  end

  it 'keeps what is just long enough and throws away what is shorter (CutPlan)' do
    bars = [80, 100, 120, 40].map { |left| Core::Cutting::Bar.new(length: mm(left), pieces: []) }
    plan = Core::Cutting::CutPlan.new(bars: bars, bound: 0, too_long: [], unplaced: [], usable: mm(100))
    expect([plan.offcuts, plan.scrap]).to eq([[mm(120), mm(100)], mm(120)])
  end

  it 'counts all kinds in a mixed pack (Offer)' do
    expect(Core::Supply::Offer.new(supplier: 's', kind: :part, price: Core::Money.new(minor: 100, currency: 'EUR'), item: 'a',
      unit: :piece, amount: 10,
      also: { 'b' => 5, 'c' => 4 }).pieces).to eq(19)
  end

  it 'leaves a column of a chart with rows of different lengths as it is (ChartEdit)' do
    chart = { 'palette' => { 'A' => 'seed' }, 'rows' => %w[AAA AA] }
    expect(Core::Project::ChartEdit.shift(chart, 2)).to eq(chart)
  end

  # By hand: 100 mm and one and a half times the length that it is made to.
  it 'cuts a line of one’s own work by its sum (OwnWork)' do
    own = component('own', :own_work, line: 'cord', cut_fixed: '100 mm', cut_percent: 150)
    made = Core::Sizing::Blueprint.new(design(own), sample_table).fit_usual.work_ups['own']
    expect(made.cuts.map(&:length)).to eq([mm(100) + (made.lengths.beaded * Rational(3, 2))])
  end

  it 'says what more a cure needs, and what less (Effect)' do
    bead, crimp, cord = part('bead', 6), part('crimp', 2), sample_table.lines.fetch('cord')
    own = ->(beads, crimps, length) {
      needs = { bead => beads, crimp => crimps }.map { |one, count| Core::Materials::Need.new(part: one, count: count) }
      Struct.new(:needs, :cuts).new(needs, [Struct.new(:line, :total).new(cord, mm(length))])
    }
    effect = Core::Advice::Effect.new(cure: nil, before: own.(20, 2, 300), after: own.(18, 2, 350))
    expect(effect.changes).to eq(bead => -2, cord => mm(50).nm)
  end
end
