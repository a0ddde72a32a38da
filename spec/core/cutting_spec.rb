# frozen_string_literal: true

require 'highs'

RSpec.describe Core::Cutting::Reels do
  def pieces(lengths)
    lengths.map { |length| Core::Cutting::WantedCut.new(owner: 'x', length: mm(length)) }
  end

  def plan(lengths, reel)
    described_class.plan(pieces(lengths), [mm(reel)])
  end

  {
    [[400] * 6, 1000] => 3,
    [[600, 600, 400, 400], 1000] => 2,
    # First fit decreasing needs three here: 400+300+300 twice is better than 400+400.
    [[400, 400, 300, 300, 300, 300], 1000] => 2,
    [[1000], 1000] => 1,
    [[], 1000] => 0
  }.each do |(lengths, reel), fewest|
    it "cuts #{lengths} from #{fewest} reels of #{reel}, proven" do
      found = plan(lengths, reel)
      expect([found.new_reels.size, found.proven?]).to eq([fewest, true])
    end
  end

  it 'says which pieces are longer than a reel, and cuts the others' do
    found = plan([1200, 500], 1000)
    expect([found.too_long.map(&:length), found.bars.flat_map(&:pieces).map(&:length)]).to eq([[mm(1200)], [mm(500)]])
  end

  # HiGHS, an integer-program solver, on every way to fill a reel.
  def by_highs(demands, reel)
    patterns = fillings(demands.keys, demands.values, reel)
    columns = patterns.flat_map { |pattern| pattern.each_index.reject { |i| pattern[i].zero? } }
    starts = patterns.reduce([0]) { |all, pattern| all << (all.last + pattern.count(&:positive?)) }
    model = Highs.mip(
      sense: :minimize,
      col_cost: [1.0] * patterns.size,
      col_lower: [0.0] * patterns.size,
      col_upper: [1000.0] * patterns.size,
      row_lower: demands.values.map(&:to_f),
      row_upper: [1e30] * demands.size,
      a_format: :colwise,
      a_start: starts[0...-1],
      a_index: columns,
      a_value: patterns.flat_map { |pattern| pattern.select(&:positive?).map(&:to_f) },
      integrality: [1] * patterns.size
    )
    model.solve[:obj_value].round
  end

  def fillings(lengths, demands, reel)
    return [[]] if lengths.empty?

    (0..[reel / lengths.first, demands.first].min).flat_map do |count|
      fillings(lengths.drop(1), demands.drop(1), reel - (count * lengths.first)).map { |rest| [count, *rest] }
    end.reject { |pattern| pattern.size == lengths.size && pattern.all?(&:zero?) && lengths.size == @distinct }
  end

  it 'needs as few reels as HiGHS finds, on random orders' do
    rng = Random.new(21)
    12.times do
      reel = rng.rand(200..400) * 5
      lengths = Array.new(rng.rand(2..4)) { rng.rand((reel / 25)..(reel / 10)) * 5 }.uniq
      ordered = Array.new(rng.rand(10..60)) { lengths.sample(random: rng) }
      @distinct = ordered.uniq.size
      found = plan(ordered, reel)
      fewest = by_highs(ordered.tally, reel)
      expect([found.new_reels.size - fewest, found.bound <= fewest]).to eq([0, true])
      expect(found.bars.flat_map(&:pieces).map(&:length).sort).to eq(ordered.map { |length| mm(length) }.sort)
      expect(found.bars.map(&:left)).to all(be >= mm(0))
    end
  end

  it 'looks through a bounded number of choices where reels are sold in many lengths, and says so' do
    cuts = Array.new(60) { |i| [1780, 890, 1500][i % 3] }
    found = described_class.choices(pieces(cuts), (1..12).map { |i| mm(i * 2000) })
    expect([found.all, found.plans.map { |plan| plan.bars.sum { |bar| bar.pieces.size } }.uniq]).to eq([false, [60]])
  end

  it 'lays every cut of a class on reels' do
    table = sample_table.with(lines: sample_table.lines.merge('cable' => sample_table.lines['cable'].with(reel_length: mm(1000))))
    people = (1..9).map { |i| attendee(i, 140 + (i * 10)) }
    plan = Core::Planning::Plan.for(workshop: workshop, design: bracelet, attendees: people, table: table)
    reels = plan.reels(table.lines['cable'])
    expect(reels.bars.flat_map(&:pieces).map(&:owner)).to match_array(people.map(&:name))
    expect(Core::Measure::Length.sum(reels.bars.flat_map(&:pieces).map(&:length))).to eq(plan.line_totals.values.first)
  end

  # HiGHS on every way to fill a new reel or a bar on hand: bars on hand cost nothing, each can be used once.
  def fewest_with(demands, reel, bars)
    ways = fillings(demands.keys, demands.values, reel).map { |pattern| [pattern, 1.0, nil] } +
           bars.each_with_index.flat_map { |bar, i| fillings(demands.keys, demands.values, bar).map { |pattern| [pattern, 0.0, i] } }
    ways.reject! { |pattern, _, _| pattern.all?(&:zero?) }
    cells = ways.map { |pattern, _, bar|
      pattern.each_with_index.reject { |count, _|
        count.zero?
      }.map { |count, i| [i, count] } + (bar ? [[demands.size + bar, 1]] : [])
    }
    starts = cells.reduce([0]) { |all, column| all << (all.last + column.size) }
    Highs.mip(
      sense: :minimize, col_cost: ways.map { |way| way[1] }, col_lower: [0.0] * ways.size, col_upper: [1000.0] * ways.size,
      row_lower: demands.values.map(&:to_f) + ([0.0] * bars.size), row_upper: ([1e30] * demands.size) + ([1.0] * bars.size),
      a_format: :colwise, a_start: starts[0...-1],
      a_index: cells.flatten(1).map(&:first), a_value: cells.flatten(1).map { |cell| cell.last.to_f }, integrality: [1] * ways.size
    ).solve[:obj_value].round
  end

  it 'needs as few new reels beside what is on hand as HiGHS finds, and cuts no bar twice' do
    rng = Random.new(5)
    12.times do
      reel = rng.rand(150..250) * 5
      ordered = Array.new(rng.rand(6..25)) {
        rng.rand((reel / 20)..(reel / 11)) * 5 * [1, 2].sample(random: rng)
      }.map { |length| (length / 50.0).ceil * 50 }
      bars = Array.new(rng.rand(1..4)) { rng.rand(100..reel) }
      found = described_class.plan(pieces(ordered), [mm(reel)], on_hand: bars.map { |bar| mm(bar) }.tally)
      expect([found.new_reels.size, found.proven?]).to eq([fewest_with(ordered.tally, reel, bars), true])
      expect(found.on_hand.map(&:length) - bars.map { |bar| mm(bar) }).to be_empty
      expect(found.bars.flat_map(&:pieces).map(&:length).sort).to eq(ordered.map { |length| mm(length) }.sort)
      expect(found.bars.map(&:left)).to all(be >= mm(0))
    end
  end

  {
    # An offcut that does is used before a reel is opened.
    [[300], [1000], { 320 => 1, 1000 => 1 }] => [[320], 0],
    # Two of 600 fit no 1000 together: the number of reels is kept, their length is not.
    [[600, 600], [1000, 700], {}] => [[700, 700], 2],
    # One of each length holds all with less over than two long ones.
    [[600, 600, 350], [1000, 650], {}] => [[1000, 650], 2],
    [[1200], [1000], { 1500 => 1 }] => [[1500], 0],
    [[300, 300], [], { 400 => 1 }] => [[400], 0]
  }.each do |(lengths, reels, on_hand), (bars, fresh)|
    it "cuts #{lengths} with reels of #{reels} and #{on_hand} on hand from #{bars}" do
      found = described_class.plan(pieces(lengths), reels.map { |reel| mm(reel) }, on_hand: on_hand.transform_keys { |length| mm(length) })
      expect([found.bars.map(&:length), found.new_reels.size]).to eq([bars.map { |bar| mm(bar) }, fresh])
    end
  end

  it 'keeps what is long enough and calls the rest scrap' do
    found = described_class.plan(pieces([700, 900]), [mm(1000)], usable: mm(250))
    expect([found.offcuts, found.scrap]).to eq([[mm(300)], mm(100)])
  end

  it 'leaves tails as the person, the line or the project says, in this order' do
    cut = lambda do |own, by_line|
      supply = Core::Setup::SupplySettings.new(tails_by_line: by_line)
      Core::Planning::Plan.for(workshop: workshop.with(supply: supply), design: bracelet, attendees: [attendee(1, 170, tails: own)],
        table: sample_table).people.first.cuts.first.tails.to_mm
    end
    expect([cut.(nil, {}), cut.(nil, 'cable' => :lean), cut.(:generous, 'cable' => :lean)]).to eq([100, 70, 150])
  end

  it 'saves one of two tails when the reel itself is held' do
    tails = [false, true].map { |off| Core::Planning::Plan.for(
      workshop: workshop.with(supply: Core::Setup::SupplySettings.new(off_reel: off)),
      design: bracelet, attendees: [attendee(1, 170)], table: sample_table
).people.first.cuts.first.tails }
    expect(tails.last * 2).to eq(tails.first)
  end

  # A choice of the line goes before the class's.
  { [false, {}] => false, [true, {}] => true, [true, { 'cable' => :cut_first }] => false, [false, { 'cable' => :off_reel }] => true,
    [false, { 'other' => :off_reel }] => false }.each do |(all, by_line), off|
    it("works the cable #{off ? 'off the reel' : 'cut first'} with #{all}, #{by_line}") do
      expect(Core::Setup::SupplySettings.new(off_reel: all, cut_by_line: by_line).off_reel?(sample_table.line('cable'))).to be(off)
    end
  end

  it 'tells how many of equal pieces found no bar where no reel can be bought' do
    piece = Core::Cutting::WantedCut.new(owner: '', length: mm(100))
    plan = Core::Cutting::Reels.plan([piece] * 5, [], on_hand: { mm(190) => 3 })
    expect([plan.bars.sum { |bar| bar.pieces.size }, plan.unplaced.size]).to eq([3, 2])
  end
end

RSpec.describe Core::Planning::Fitter do
  # 170 mm on 0.38 mm cable with two tails of 50 mm: off the reel one tail is saved, and what the step says is what the kit list cuts.
  it 'says to cut last what is worked off the reel, as long as the list cuts it' do
    plans = [false, true].map do |off_reel|
      supply = Core::Setup::SupplySettings.new(off_reel: off_reel)
      Core::Planning::Plan.for(workshop: workshop.with(supply: supply), design: bracelet, attendees: [attendee(1, 170)],
        table: sample_table)
    end
    cut_first, off_reel = plans.map { |plan| plan.people.first.tasks.map(&:step).find { |step| step.key == 'front/cut_line' } }
    expect([cut_first.text, off_reel.text]).to eq(%i[strung_cut_line worked_off_reel])
    expect(off_reel.values[:all_cuts].map(&:measured)).to eq(plans.last.people.first.cuts.map(&:length))
    expect(cut_first.values[:cut_strand]).to eq(plans.first.people.first.cuts.first.length)
    expect(cut_first.values[:cut_strand] - off_reel.values[:all_cuts].first.measured).to be_between(mm(45), mm(55))
  end
end
