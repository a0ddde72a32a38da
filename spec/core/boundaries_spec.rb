# frozen_string_literal: true

# Rules at the very value where they turn.
RSpec.describe 'Boundaries' do
  let(:check) { Core::Fit::Check.new(sample_table) }

  def elastic(thickness)
    Core::Catalogue::Line.new(key: 'elastic', name: 'elastic', kind: :elastic, thickness: mm(thickness))
  end

  # Core::Fit::Rules::ElasticSuits: from 8 mm on a bead is large, from 0.8 mm on elastic is thick.
  [[8, 0.8, :elastic_fits], [8, 0.79, :elastic_thin], [7.99, 0.8, :elastic_thick], [7.99, 0.79, :elastic_fits]].each do |bead, line, code|
    it "judges elastic of #{line} in beads of #{bead}: #{code}" do
      join = Core::Making::Join.new(kind: :elastic_for_bead, inner: elastic(line), outer: part('bead', bead), at: 0.0)
      expect(check.judge(join).map(&:code)).to include(code)
    end
  end

  it 'says which pliers press a crimp: Core::Fit::QuickCheck' do
    found = [1.6, 1.61, 2.3, 2.31].map { |size| Core::Fit::QuickCheck.pliers(part('crimp', size, kind: :crimp)) }
    expect([*found, Core::Fit::QuickCheck.pliers(part('bead', 2))]).to eq([:small, :middle, :middle, :large, nil])
  end

  it 'rounds a chance to hundredths before it is judged: Core::Session::Likelihood' do
    found = [0.95, 0.945, 0.9449, 0.475, 0.474].map { |chance| Core::Session::Likelihood.of(chance, 95) }
    expect(found).to eq(%i[likely likely doubtful doubtful unlikely])
  end

  # Agresti and Coull: 36 of 36 runs count as 38 of 40.
  it 'takes all of few runs not for certain: Core::Session::Forecast' do
    long = workshop(minutes: 600)
    plan = Core::Planning::Plan.for(workshop: long, design: bracelet, attendees: [attendee(1, 165, level: 4)], table: sample_table)
    forecast = Core::Session::Forecast.for(plan, Core::Setup::Calibration.new, runs: 36)
    expect([forecast.chance, forecast.standard_error]).to match([1.0, be_within(1e-9).of(Math.sqrt(0.95 * 0.05 / 40))])
  end

  it 'ends as many minutes after it starts as it lasts: Core::Setup::Workshop' do
    expect(workshop.ends.to_s).to eq('20:30')
  end

  it 'rounds to the nearest nanometre, up at a half: Core::Measure::Length' do
    found = [[1.0000004, 1_000_000], [1.0000006, 1_000_001], [0.0000005, 1]]
    expect(found.map { |number, _| Core::Measure::Length.of(number, :mm).nm }).to eq(found.map(&:last))
  end

  it 'needs each part and each cut as often as a person makes the piece: Core::Materials::Need, Core::Cutting::CutNeed' do
    piece = fit(bracelet, 170)
    need = ->(times) { Core::Materials::Need.sum(piece.parts, times: times).sum(&:count) }
    cuts = ->(times) { Core::Cutting::CutNeed.from(piece.cuts, times: times).sum(&:count) }
    expect([need.(2), cuts.(2)]).to eq([need.(1) * 2, cuts.(1) * 2])
    expect([need.(3), cuts.(3)]).to eq([need.(1) * 3, cuts.(1) * 3])
  end

  it 'lets no unknown tool stand in, and no tool for an unknown technique: Core::Catalogue::Table' do
    table = sample_table
    tool = table.tools.keys.first
    technique = table.techniques.values.find { |one| one.tools.any? }.key
    ["#{technique}/none", "none/#{tool}"].each { |chosen| expect(table.standing_in([chosen]).techniques).to eq(table.techniques) }
  end

  it 'takes up to twelve kits more: Core::Setup::SupplySettings' do
    expect([Core::Setup::SupplySettings.field(:extra_kits).within.end, Core::Construction::Chart::MOST_ROWS]).to eq([12, 200])
  end

  # A loop goes once round: as far to one side as to the other, the beads in the order of the wire. Core::Construction::WiredPetal
  it 'lays the beads of a petal once round its loop' do
    parameters = { 'wire' => 'wire', 'bead' => 'seed', 'way' => 'continuous', 'petals' => 1, 'beads' => 12 }
    flower = Core::Construction::Kinds.fetch(:beaded_flower).build(parameters, sample_table)
      .call(target: nil, maker: Core::Making::Maker.new)
    beads = flower.layout.select { |shape| shape.item.key == 'seed' }
    left, right = beads.partition { |shape| shape.y.negative? }
    expect([left.size, right.size]).to eq([6, 6])
    expect(beads.sum(&:y)).to be_within(1e-6).of(0)
  end

  # Plane geometry, by hand: three wraps of 1 mm wire round its own stem, an eye 3 mm inside, a stadium round two 5 mm ropes.
  it 'takes wire by the circles through its middle: Core::Construction::Wire' do
    wire = Core::Construction::Wire
    taken = [wire.wraps(mm(1), 3), wire.eye(mm(1), mm(3)), wire.helix(10, mm(4), mm(1)), wire.round_two(mm(5), mm(1))]
    expect(taken.map(&:to_mm)).to match([6 * Math::PI, 4 * Math::PI, 10 * Math.hypot(4 * Math::PI, 1), (6 * Math::PI) + 10]
      .map { |by_hand| be_within(1e-5).of(by_hand) })
  end

  it 'offers one more ring only in a row of which it knows the place: Core::Fit::Rules::FacesFront' do
    turning = sample_table.part('open_ring')
    cures = [nil, 'front'].map do |component|
      join = Core::Making::Join.new(kind: :faces, inner: part('drop', 12, kind: :pendant, faces_with: :even), outer: turning, at: 0.0,
        passes: 1, component: component)
      check.judge(join).flat_map(&:cures).grep(Core::Fit::Cures::OneMoreRing).size
    end
    expect(cures).to eq([0, 1])
  end

  it 'covers a bead with a cap as wide as it, and gapes beyond a tenth more: Core::Fit::Rules::CapCovers' do
    codes = [7.99, 8, 8.8, 8.81, 10, 10.01].map do |across|
      cap = part('cap', 3, across, kind: :cap, malleable: true)
      check.judge(Core::Making::Join.new(kind: :cap_on_bead, inner: part('bead', 8), outer: cap, at: 0.0)).first.code
    end
    expect(codes).to eq(%i[cap_press cap_fits cap_fits cap_gapes cap_gapes cap_too_large])
    # Pressed, it widens by a twentieth: 8 mm reach 8.4.
    pressed = [8.4, 8.41].map do |bead|
      cap = part('cap', 3, 8, kind: :cap, malleable: true)
      check.judge(Core::Making::Join.new(kind: :cap_on_bead, inner: part('bead', bead), outer: cap, at: 0.0)).first.code
    end
    expect(pressed).to eq(%i[cap_press cap_too_small])
  end

  it 'calls a load tight beyond four fifths of what holds, and too much beyond all of it: Core::Fit::Load' do
    expect([0.8, 0.81, 1, 1.01].map { |share| Core::Fit::Load.status(share) }).to eq(%i[fits tight tight will_not])
  end

  # Two of the first tool, one of the second, none of the third.
  { [[1, 1]] => true, [[1, 1], [2, 1]] => false, [[2, 1], [1, 1]] => false, [[1, 2]] => false, nil => true }.each do |more, taken|
    it "takes all tools of a step or none: #{more.inspect} more" do
      tools = Core::Session::Engine::Tools.new({ 'pliers' => 2, 'cutters' => 1, 'mat' => 0 }).tap(&:reset)
      step = Struct.new(:tool, :held, :more).new(0, 1, more)
      expect(tools.take(step)).to be(taken)
      # What was not taken is still there for a step that needs less.
      expect(tools.take(Struct.new(:tool, :held, :more).new(0, 2, nil))).to be(!taken)
    end
  end

  it 'pulls a value in to two and a half spreads from the middle: Core::Logbook::Outliers' do
    expect(Core::Logbook::Outliers.pulled_in([-10, -2.5, 0, 2.5, 10].map(&:to_f), [1.0] * 5)).to eq([-2.5, -2.5, 0.0, 2.5, 2.5])
    expect(Core::Logbook::Outliers.pulled_in([-10.0, -2.5, 0.0, 2.5, 10.0], [2.0, 2.0, 2.0, 2.0, 0.4])).to eq([-5.0, -2.5, 0.0, 2.5, 1.0])
  end

  # Large loop 15 mm, small ones 4, wire 1.02: a small loop above and one below add to it, and no third.
  it 'adds a small loop above and one below to the length of a frame: Core::Construction::Kinds::Framed' do
    lengths = (1..3).map { |smalls|
      Core::Construction::Kinds.fetch(:framed).build({ 'wire' => 'wire_18', 'binding' => 'wire', 'small' => '4 mm', 'smalls' => smalls },
        sample_table).fixed_length.to_mm
    }
    expect(lengths).to match([21.04, 27.08, 27.08].map { |by_hand| be_within(1e-6).of(by_hand) })
  end

  # Beads of 8 mm that repeat come to whole beads; work without a pattern meets any length.
  it 'stretches own work only where nothing in it repeats: Core::Construction::Kinds::OwnWork' do
    made = [[{ 'repeat' => [{ 'part' => 'round_8' }], 'fill' => true }], [{ 'part' => 'round_8' }]].map do |parts|
      Core::Construction::Kinds.fetch(:own_work).build({ 'parts' => parts, 'line' => 'cord', 'takes_rest' => true }, sample_table)
    end
    expect(made.map { |one| [one.stretches?, one.solve(mm(181)).length.to_mm] }).to eq([[false, 184.0], [true, 181.0]])
  end

  # A metre to be worked and 100 mm to hold at each end: half way, half of it is left, or a quarter at each of two ends.
  it 'says what is left of a cut on the way: Core::Making::Cut' do
    left = [1, 2].map do |ends|
      worked = Core::Making::Worked.new(step: 'weave', unit: :flower, number: 10, ends: ends)
      cut = Core::Making::Cut.new(line: elastic(0.4), count: 1, role: :folded, body: mm(900), consumption: mm(100), tails: mm(200),
        worked: worked)
      [0, 5, 10].map { |done| cut.left_after(done).to_mm }
    end
    expect(left).to eq([[1100, 600, 100], [600, 350, 100]])
  end

  # A metre to be worked and 100 mm to hold at each end, in two ends of 600: after 4 of 10 at 60 mm each 360 are left, and 6·60 + 100
  # needed.
  it 'tells by what was used so far whether a line reaches: Core::Making::Reach' do
    cut = Core::Making::Cut.new(line: sample_table.lines.fetch('cord'), count: 1, role: :thread, body: mm(1000), consumption: mm(0),
      tails: mm(200), worked: Core::Making::Worked.new(step: 'weave', unit: :flower, number: 10, ends: 2))
    reach = ->(done, left) { Core::Making::Reach.of(cut, done, mm(left)) }
    short = reach.(4, 360)
    expect([short.reaches?, short.used, short.planned, short.needed, short.more, short.difference, short.to_do])
      .to eq([false, mm(60), mm(50), mm(460), 4, mm(100), 6])
    expect([reach.(4, 400).reaches?, reach.(4, 400).difference, reach.(9, 90).more]).to eq([true, mm(0), 0])
    expect([reach.(4, 600), reach.(4, 599), reach.(0, 300), reach.(11, 300)].map(&:possible?)).to eq([false, true, false, false])
    single = cut.with(worked: cut.worked.with(ends: 1))
    expect(Core::Making::Reach.of(single, 5, mm(600)).used).to eq(mm(100))
  end

  # A ring of 5 mm over a hole of 3.2 mm is of wire 0.9 mm thick, and stands on half of it; a link without a hole on a quarter of 6 mm.
  it 'lays what hangs in its neighbours flat on the skin: Core::Making::ThreadedElement' do
    ring = part('ring', 5, 5, kind: :ring, hole: mm(3.2))
    link = part('link', 6, 6, kind: :connector, hole: nil)
    expect([ring, link].map { |one| Core::Making::ThreadedElement.of(one).height }).to eq([mm(0.45), mm(1.5)])
  end

  it 'makes a thing several times over: Core::Making::WorkUp' do
    link = Core::Construction::Kinds.fetch(:wire_link)
    one = link.build({ 'wire' => 'wire_20', 'stack' => [{ 'part' => 'round_8' }], 'first' => 'wrapped' },
      sample_table).make(nil, Core::Making::Maker.new)
    three = one.times(3)
    expect(three.parts.map(&:count)).to eq(one.parts.map { |use| use.count * 3 })
    expect(three.cuts.sum(&:count)).to eq(one.cuts.sum(&:count) * 3)
    expect(three.steps.map { |step| [step.repeats, step.alike] }).to eq(one.steps.map { |step| [step.repeats * 3, 3] })
    expect([one.times(1), one.times(0).steps]).to eq([one, []])
  end

  # Each part weighs a gram: a line rated for a kilogram is asked for five times as many grams as it carries parts (statics by hand).
  it 'tells the weakest of what carries a piece: Core::Fit::Carrying' do
    light = sample_table.parts.transform_values { |one| one.with(mass_mg: 1000) }
    strong = sample_table.lines.transform_values { |one| one.with(rated_load_grams: 1000) }
    table = sample_table.with(parts: light, lines: strong)
    piece = Core::Sizing::Blueprint.new(bracelet, table).fit_usual
    carrying = Core::Fit::Carrying.new(piece, Core::Fit::Check.new(table).piece(piece))
    on_line = piece.work_ups.values.find { |made| made.cuts.any? }.parts.sum(&:count)
    link = carrying.links.find { |one| one.holds == 1000 }
    expect([carrying.grams, link.grams, link.share]).to eq([piece.parts.sum(&:count).to_f, on_line, 5 * on_line / 1000.0])
    expect(carrying.links.map(&:share)).to eq(carrying.links.map(&:share).sort.reverse)
    # Other rules speak of grams too, and one that carries nothing known of none.
    others = { seed_count: { grams: 4.0, holds: 9.0 }, line_bears: {} }.map { |rule, values|
      Core::Fit::Result.new(rule: rule, status: :fits, code: :x, values: values) }
    expect(Core::Fit::Carrying.new(piece, others).links).to eq([])
    unknown = Core::Fit::Carrying.new(Core::Sizing::Blueprint.new(bracelet, sample_table).fit_usual, [])
    expect([unknown.grams, unknown.links]).to eq([nil, []])
  end

  # Three wraps in 0.81 mm take 15.3 mm: 10 are held, or what lacks of 25.
  it 'holds what a wrapped loop needs at the least: Core::Construction::Wire' do
    held = [[:usual, 4], [:usual, 15.3], [:lean, 20], [:generous, 10]].map { |policy, wrapped|
      Core::Construction::Wire.hold(policy, mm(wrapped)).to_mm.round(2) }
    expect(held).to eq([21.0, 10.0, 8.0, 20.0])
  end

  it 'takes two taps for one up to three seconds apart, and no longer: Core::Live::DoubleTap' do
    plan = Core::Planning::Plan.for(workshop: workshop, design: bracelet, attendees: [attendee(1, 165)], table: sample_table)
    told = [3, 4].map do |apart|
      taps = [[:start, 0], [:next, 60], [:next, 60 + apart]].map { |kind, at|
        Core::Live::Event.new(key: "#{kind}#{at}", kind: kind, at: at, person: ('1' unless kind == :start)) }
      Core::Live::DoubleTap.of(Core::Live::LiveState.new(plan, taps), 70).map(&:seconds)
    end
    expect(told).to eq([[3], []])
  end

  it 'has to spare what a session is longer than its work: Core::Steps::Timetable' do
    rows = { '1' => [Core::Steps::Segment.new(kind: :work, from: 0, to: 50.0)], '2' => [Core::Steps::Segment.new(kind: :work, from: 0,
      to: 80.0)] }
    table = Core::Steps::Timetable.new(rows: rows, available_minutes: 120)
    expect([table.needed_minutes, table.spare_minutes, table.last_attendee]).to eq([80.0, 40.0, '2'])
  end

  # A single station has the same gap on either side, also where another is asked for at the ends.
  it 'leaves a single station in the middle: Core::Construction::Kinds::Stations' do
    parameters = { 'line' => 'cable', 'station' => [{ 'part' => 'round_8' }], 'holder' => 'seed', 'gap' => '200 mm', 'last_gap' => '10 mm',
                   'crimp' => 'crimp' }
    made = Core::Construction::Kinds.fetch(:stations).build(parameters, sample_table).call(target: mm(120), maker: Core::Making::Maker.new)
    bead = made.layout.find { |shape| shape.item.key == 'round_8' }
    expect([made.lengths.repeats, bead.x.round(3)]).to eq([1, 60.0])
  end

  # 170 inside, let out by up to 40: 10 too small for 220, 5 too large for 165, and right for all between.
  it 'tells how far a piece that can be let out is from what was asked: Core::Sizing::Piece' do
    made = fit(bracelet, 170).with(inside: mm(170), play: mm(40))
    told = [220, 210, 190, 170, 165].map { |worn| made.with(worn: mm(worn)).deviation }
    expect(told).to eq([mm(-10), mm(0), mm(0), mm(0), mm(5)])
  end

  # Nine of ten of four people are all four.
  it 'counts whole people of a part of them: Core::Session::Forecast' do
    forecast = Core::Session::Forecast.allocate
    found = { runs: 10, finishes: { 'a' => 1, 'b' => 1, 'c' => 1, 'd' => 1 }, in_time: { 4 => 5, 3 => 3, 2 => 2 } }
    found.each { |name, value| forecast.instance_variable_set("@#{name}", value) }
    expect([0.9, 0.75, 0.5].map { |part| forecast.chance_of_part(part) }).to eq([0.5, 0.8, 1.0])
  end
end
