# frozen_string_literal: true

require 'highs'

RSpec.describe Core::Cutting::Reels do
  def pieces(lengths)
    lengths.map { |length| Core::Cutting::Piece.new(owner: 'x', length: mm(length)) }
  end

  def plan(lengths, reel)
    described_class.plan(pieces(lengths), mm(reel))
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
      expect([found.reels.size, found.proven?]).to eq([fewest, true])
    end
  end

  it 'says which pieces are longer than a reel, and cuts the others' do
    found = plan([1200, 500], 1000)
    expect([found.too_long.map(&:length), found.reels.flatten.map(&:length)]).to eq([[mm(1200)], [mm(500)]])
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
      row_upper: [1e9] * demands.size,
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
      expect([found.reels.size - fewest, found.bound <= fewest]).to eq([0, true])
      expect(found.reels.flatten.map(&:length).sort).to eq(ordered.map { |length| mm(length) }.sort)
      expect(found.reels.map { |reel_pieces| found.left(reel_pieces) }).to all(be >= mm(0))
    end
  end

  it 'lays every cut of a class on reels' do
    table = sample_table.with(lines: sample_table.lines.merge('cable' => sample_table.lines['cable'].with(reel_length: mm(1000))))
    people = (1..9).map { |i| attendee(i, 140 + (i * 10)) }
    plan = Core::Plan.for(workshop: workshop, design: bracelet, attendees: people, table: table)
    reels = plan.reels(table.lines['cable'])
    expect(reels.reels.flatten.map(&:owner)).to match_array(people.map(&:name))
    expect(Core::Measure::Length.sum(reels.reels.flatten.map(&:length))).to eq(plan.line_totals.values.first)
  end
end
