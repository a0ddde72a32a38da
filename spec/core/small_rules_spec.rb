# frozen_string_literal: true

# Rules of one line each, at their bounds: Core::Supply::WeighIn, Core::Making::ShortNames, Core::Construction::PatternReader,
# Core::Levers::Opportunity, Core::Catalogue::Technique, Core::Fit::Rules::RingHolds, Core::Fit::Additions, Core::Measure::ClockTime,
# Core::Session::Engine::Step.
RSpec.describe Core do
  # By hand: 2.4996 g are 2500 mg; 12.5 mg a bead make 200 beads, 12.4 make 201.6.
  it 'weighs to the nearest milligram and counts to the nearest bead (WeighIn)' do
    expect([12.5, 12.4].map { |mass| Core::Supply::WeighIn.grams(2.4996, mass).count }).to eq([200, 202])
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
end
