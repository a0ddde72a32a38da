# frozen_string_literal: true

require_relative '../studio_helper'

# What its maker would find wrong with the plan of a piece (common practice, no source).
RSpec.describe 'Pieces as their makers make them' do
  let(:studio) { new_studio }
  let(:table) { studio.catalogue.table }

  def piece(key)
    design = studio.projects.newest.find { |saved| saved.design.key == key }.design
    Core::Sizing::Blueprint.new(design, table).fit_usual
  end

  def counts(piece)
    Core::Materials::Need.sum(piece.parts).to_h { |need| [need.part.key, need.count] }
  end

  def order(piece)
    Core::Steps::StepOrder.of(piece.steps, table).steps.map(&:key)
  end

  # @return [Boolean] whether the steps come in this order
  def in_turn?(piece, *keys)
    places = keys.map { |key| order(piece).index(key) }
    places.none?(&:nil?) && places == places.sort
  end

  def step(piece, key)
    piece.steps.find { |one| one.key == key }
  end

  it 'strings beads and spacers in turn, a bead at both ends, with loops in the length and slack before the last end' do
    one = piece('evening_star')
    beads = step(one, 'front/lay_out').order.map(&:key)
    expect([beads.first, beads.last, beads.count('spacer_2_silver') - beads.count('round_8_dusk')]).to eq((['round_8_dusk'] * 2) + [-1])
    expect(one.work_ups['front'].lengths.working.map(&:code)).to include(:loops)
    expect(one.slack).to be_positive
    expect(in_turn?(one, 'front/check_length', 'front/second_end', 'front/trim_tails')).to be(true)
  end

  it 'runs two lines through two-hole beads, with small beads at both ends, links of two eyes, and tails that go back through beads' do
    one = piece('slow_orbit')
    found = counts(one)
    expect([found['seed_8_frost'], found['crimp_15_silver'], one.cuts.find { |cut| cut.role == :strand }.count])
      .to eq([2 * (found['flat_12_slate'] + 1), 4, 2])
    near, far = %w[last_eye first_eye].map { |eye| step(one, "clasp_link/#{eye}") }
    expect([near.values[:inside], far.values[:inner]].map(&:to_mm)).to eq([2.5, 4.0])
    expect(far.values[:hung].map(&:key)).to eq(['clasp_13_swivel'])
    # Links are closed before lines end in their connectors.
    expect(in_turn?(one, 'clasp_link/check', 'front/first_ends') && in_turn?(one, 'ring_link/check', 'front/second_ends')).to be(true)
    buried = step(one, 'front/second_ends').pictured.shared
    expect(Core::Measure::Length.sum(buried.map(&:along)).to_mm).to be >= 45
  end

  it 'works a knotted cord outward from the middle, and threads the slider before the end knots' do
    one = piece('lantern_path')
    expect(counts(one).keys.map { |key| table.parts[key].kind }).not_to include(:clasp)
    expect([step(one, 'cord/knot').repeats, step(one, 'cord/knot').text]).to eq([8, :knotted_cord_knot_middle])
    expect(in_turn?(one, 'cord/gather', 'cord/knot', 'cord/slide', 'cord/stop', 'cord/trim')).to be(true)
    expect(one.cuts.first.consumption.to_mm).to be > 8 * 20
  end

  it 'folds one of three cords, knots at the small beads alone, and pulls the last knot when it was tried on' do
    one = piece('meteor_path')
    long, short = one.cuts.sort_by { |cut| -cut.length.to_mm }
    expect([one.wraps, long.role, short.role, step(one, 'cord/knot').repeats]).to eq([3, :folded_cord, :cord, 14])
    expect(long.length.to_mm).to be_within(120).of(2 * short.length.to_mm)
    expect(in_turn?(one, 'cord/start_loop', 'cord/knot', 'cord/close', 'cord/fit', 'cord/trim')).to be(true)
    expect(one.work_ups['cord'].joins.select { |join| join.outer.key == 'large_14_olive' }.map(&:passes)).to eq([2])
  end

  it 'stretches elastic first, keeps the bead that hides the knot beside it, and ties when it was tried on' do
    one = piece('moonrise')
    beads = step(one, 'ring/string').order.map(&:key)
    expect(beads.index('round_10_hider')).to eq(0)
    expect(in_turn?(one, 'ring/pre_stretch', 'ring/string', 'ring/check_length', 'ring/knot', 'ring/glue', 'ring/trim')).to be(true)
  end

  it 'tries a rope on dry, finds the place of its loop with the hook, and cements last' do
    one = piece('two_tides')
    expect(in_turn?(one, 'rope/cut', 'rope/try_on', 'rope/place', 'rope/whip', 'rope/hide', 'rope/cement')).to be(true)
    expect(step(one, 'rope/cement').waits).to be_positive
  end

  it 'strings rails from the middle bar outward in fours, bends all ends before any is cut, and hangs both loops and the clasp in a ring' do
    one = piece('two_rails')
    found = counts(one).slice('round_6_frost', 'round_4_ice', 'seed_8_ink')
    expect(found.values.map { |number| number % 4 }).to eq([0, 0, 0])
    expect(step(one, 'rails/string').order.map(&:key).first(2)).to eq(%w[bar_3row round_4_ice])
    expect(in_turn?(one, *%w[string first_bends bend trim last_loops first_ring last_ring shape].map { |key| "rails/#{key}" })).to be(true)
    expect(step(one, 'rails/last_ring').values[:hung].map(&:key)).to eq(['clasp_12_silver'])
    # What is cut leaves 10 mm for each loop, and something to hold.
    cut = one.cuts.first
    expect((cut.length - one.work_ups['rails'].lengths.beaded).to_mm).to be >= 20
  end

  it 'joins figures by bead links, one fewer than figures, each figure finished before, with a ring for the clasp alone' do
    one = piece('falling_stars')
    figures = step(one, 'links/join').values[:units]
    found = counts(one)
    expect([step(one, 'links/join').technique, found['round_6_rose'], found['seed_8_frost'], found['ring_5_open']])
      .to eq(['opening_eye', figures - 1, figures, 1])
    expect(in_turn?(one, 'star_link/form', 'star_link/wind', 'star_link/foot', 'star_link/compare', 'links/lay_out', 'links/join',
      'clasp_end/join'))
      .to be(true)
    # An eye of 3.2 mm in 0.8 mm wire takes 12.6 mm, and below the foot adds 4 mm (plane geometry).
    foot = Core::Construction::Kinds.fetch(:jig_form)
    plain, eyed = %w[as_bent eye].map { |way| foot.build({ 'wire' => 'wire_08', 'path' => '22 mm; 4 mm x -250', 'foot' => way,
      'eye' => '3.2 mm', 'foot_turns' => 0 }, table).call(target: nil, maker: Core::Making::Maker.new) }
    expect((eyed.lengths.beaded - plain.lengths.beaded).to_mm).to be_within(0.001).of(4.0)
    expect((eyed.cuts.first.length - plain.cuts.first.length).to_mm).to be_within(0.05).of(12.57 + 3)
  end

  it 'folds a leaf vine from its middle, hangs chain in its ends before they close, cuts the chain to the vine, and the drop last' do
    one = piece('night_vine')
    expect(in_turn?(one, *%w[vine/centre vine/first_leaves vine/cross vine/right_leaves vine/right_loop vine/left_leaves vine/left_loop
                            vine/check_length left_chain/count])).to be(true)
    expect(in_turn?(one, 'vine/cross', 'vine/turn_centre', 'drop/loop')).to be(true)
    expect(%w[left right].map { |side| step(one, "vine/#{side}_loop").values[:hung].map(&:kind) }).to eq([[:chain], [:chain]])
    expect(step(one, 'drop/loop').values[:hung].map(&:name)).to eq(['centre loop'])
    expect([counts(one)['flat_7_leaf'], one.cuts.find { |cut| cut.role == :vine }.count]).to eq([20, 2])
  end

  # Of ten leaves 7 mm long: twisted for 6, 10 and 12 mm, a side is 77, 113 and 131 mm long, and each of two wires is cut 504, 595 and
  # 612 to 640 mm.
  [[6, 77, 504..510], [10, 113, 590..600], [12, 131, 612..645]].each do |twist, side, cut|
    it "makes a side of ten leaves #{side} mm long where it is twisted for #{twist} mm" do
      built = Core::Construction::Kinds.fetch(:leaf_vine).build({ 'wire' => 'wire_04', 'leaf' => [{ 'part' => 'flat_7_leaf' }],
        'per_side' => 10, 'twist' => "#{twist} mm" }, table)
      made = built.call(target: nil, maker: Core::Making::Maker.new)
      expect([made.lengths.beaded.to_mm / 2, cut.cover?(made.cuts.first.measured.to_mm)]).to eq([side, true])
    end
  end

  it 'hangs a charm in its eye before the wraps, caps the bead from below, hangs the ear wire last, and says how far all of it hangs' do
    one = piece('bell_stars')
    expect(in_turn?(one, *%w[stem/cut stem/last_eye stem/string stem/first_eye stem/check ear_wire/join_ear_wire])).to be(true)
    lower = step(one, 'stem/last_eye')
    expect([lower.values[:hung].map(&:kind), lower.values[:turned], step(one, 'stem/first_eye').values[:turned]]).to eq([[:pendant], 3, 3])
    expect(step(one, 'stem/string').values.values_at(:also, :threaded).then { |also, bag| [also, bag.parts.map(&:mark)] })
      .to eq([%i[cap_opens_on], %w[s bc W s]])
    # 18 to the ear wire's loop, two eyes of 3 and their wire, two necks of three turns, 2 + 7 + 3 + 2 on the stem, the charm, and the
    # wire at the top of the ear wire (hinged chain).
    stem = (2 * (3 + 0.64 + (3 * 0.64))) + 14
    expect(one.hanging.to_mm).to be_within(1.5).of(18 + stem + 16)
  end

  it 'binds loops from the large one outward, with wire to hold at both ends, hangs the stone after, and the ear wire last' do
    one = piece('milky_arcs')
    expect(in_turn?(one, *%w[trim/cut trim/form trim/flatten trim/bind_middle trim/bind_smalls trim/tuck trim/check drop_ring/join
                            ear_wire/join_ear_wire])).to be(true)
    expect(step(one, 'drop_ring/join').values[:hung].map(&:name)).to match(['large loop', /\Aeye of/])
    # Barrels of 6 and 4 mm in 1.02 mm wire: 22 mm wide; 102 mm of it are cut, and 152 of fine wire for 20 turns.
    row = Core::Construction::Kinds.fetch(:bound_trim).build({ 'base' => 'arc_24_open', 'wire' => 'wire_10', 'binding' => 'wire_04',
      'middle_turns' => 10, 'smalls' => 1 }, table)
    frame, binding = one.cuts.sort_by(&:role).reverse.map { |cut| cut.measured.to_mm }
    expect([row.row_width.to_mm.round(1), frame, binding]).to match([22.2, be_within(3).of(102), be_within(5).of(152)])
  end

  it 'puts all loops on one ring before it is shut, in the closed ring of the post, and the back on last' do
    one = piece('star_spirals')
    expect(in_turn?(one, *%w[ear/join strands/compare strands/bury_tails strands/open strands/twist strands/hang ear/put_back])).to be(true)
    expect([step(one, 'strands/hang').values[:loops], step(one, 'strands/hang').values[:hung].map(&:key)]).to eq([4, ['ring_5_open']])
  end

  # A strand of 79 mm of beads 4 mm wide lies 69 mm long when it is twisted 3 full turns, 77 when 3 half ones (helix length).
  { 'full' => 69, 'half' => 77 }.each do |turn, twisted|
    it "shortens a strand by #{turn} turns" do
      built = Core::Construction::Kinds.fetch(:twisted_strands).build({ 'line' => 'cable_038', 'crimp' => 'crimp_15_silver', 'turns' => 3,
        'turn' => turn, 'pattern' => [{ 'repeat' => [{ 'part' => 'round_4_ice' }], 'fill' => true }], 'ring' => 'ring_5_open' }, table)
      strand = Core::Making::Solution.new(length: mm(79), repeats: 30, fillers: 0, deviation: mm(0), target: mm(79))
      expect(((built.path_length(strand) - table.parts['ring_5_open'].linked) * 2).to_mm).to be_within(1).of(twisted)
    end
  end

  it 'strings a flower on the reel and cuts it last, fills crossed rows by fit, and asks for no wrist, clasp, needle or thread' do
    %w[dawn_bloom moth_garden].each do |key|
      one = piece(key)
      flower = one.work_ups.keys.first
      role = key == 'dawn_bloom' ? 'bead' : 'petal'
      keys = ["#{role}_load", role, "cut_#{role}", 'close_ring', 'check', 'bind'].map { |step| "#{flower}/#{step}" }
      expect(in_turn?(one, *keys)).to be(true)
      expect([one.round, one.parts.map { |use| use.part.kind }.uniq, one.cuts.map { |cut| cut.line.kind }.uniq - %i[wire tape]])
        .to eq([false, [:bead], []])
    end
    expect(Formats::Wording.step(step(piece('dawn_bloom'), 'flower/bead'))).to include('until no wire shows, about 12')
  end

  # Beads 1.4 mm long: 64 mm of wire in a petal of 20, ten of them and both tails 900; a calyx of five loops of 15, 385; a leaf of five
  # rows about 15 beads, 500. Rows of 15, 18, 18, 19 and 19.
  it 'cuts the wire of a small daisy as its maker does' do
    bead = table.parts['seed_11_mist'].with(along: mm(1.4), outer: mm(2))
    small = table.with(parts: table.parts.merge('seed_11_mist' => bead))
    daisy = Core::Construction::Kinds.fetch(:spray).build({ 'wire' => 'wire_04', 'bead' => 'seed_11_mist', 'way' => 'crossover',
      'petals' => 10, 'beads' => 20, 'calyx_bead' => 'seed_11_mist', 'calyx_loops' => 5, 'calyx_beads' => 15, 'leaf_bead' => 'seed_11_mist',
      'leaf_beads' => 15, 'leaf_pairs' => 2 }, small).call(target: nil, maker: Core::Making::Maker.new)
    cut = daisy.cuts.to_h { |one| [one.role, one.length.to_mm] }
    expect(cut.values_at(:petal, :calyx, :leaf)).to match([be_within(25).of(900), be_within(10).of(385), be_within(25).of(500)])
    expect(daisy.steps.find { |one| one.key == 'leaf' }.values[:row_beads]).to eq('15, 18, 18, 19, 19')
    expect(daisy.steps.map(&:key)).not_to include('cut_stem')
  end

  # Eleven spacers of ten turns are four coils of thirty, each cut in three.
  it 'winds as many coils as give the spacers that are strung' do
    design = studio.projects.newest.find { |saved| saved.design.key == 'ringed_moons' }.design
    coil = design.component('coil')
    cut = coil.with(parameters: coil.parameters.merge('turns' => 30, 'cut_into' => 3))
    one = Core::Sizing::Blueprint.new(design.with(components: design.components.map { |part| part == coil ? cut : part }), table).fit_usual
    spacers = one.work_ups['front'].parts.find { |use| use.part.made? }.count
    coils = one.cuts.find { |made| made.role == :coil }.count
    expect([spacers, coils, step(one, 'coil/wind').alike, step(one, 'coil/cut_pieces').repeats]).to eq([11, 4, 4, 8])
    expect(one.inside).to eq(piece('ringed_moons').inside)
  end

  it 'bends all forms before any is joined, with one ring fewer than forms' do
    one = piece('star_chart')
    forms = step(one, 'links/lay_out').values[:units]
    expect(in_turn?(one, 'form/form', 'form/trim', 'form/compare', 'links/lay_out', 'links/join')).to be(true)
    expect(step(one, 'links/join').repeats).to eq(forms - 1)
  end

  it 'lets chain take what a fixed front leaves, alike on both sides, with the drop at the middle of the front' do
    one = piece('pole_star')
    chains = %w[left_chain right_chain].map { |key| one.work_ups[key].lengths.beaded }
    expect(chains.uniq.size).to eq(1)
    drop = one.layout.find { |shape| shape.item.key == 'drop_18_star' }
    middle = one.layout.find { |shape| shape.item.key == 'pearl_7_cream' }
    expect(drop.x).to be_within(0.1).of(middle.x)
    expect(one.worn_shortest).to be < one.inside - chains.first + Core::Measure::Length.mm(6)
    expect(step(one, 'left_chain/join_first').values[:hung].map(&:key)).to eq(['clasp_12_steel'])
    # The drop at the nape is made first, then hung in the free end link.
    expect(in_turn?(one, 'nape_drop/first_eye', 'nape_drop/check', 'right_chain/join_last')).to be(true)
    expect(step(one, 'right_chain/join_last').values[:hung].map(&:kind)).to eq([:connector])
  end

  it 'weaves a band with a guard at both ends alike, the thread crossing in the far one' do
    one = piece('wandering_stars')
    expect(counts(one).values_at('guard_4', 'crimp_thread', 'cover_2_silver', 'split_ring_6')).to eq([2, 2, 2, 2])
    expect(%w[first_end close].map { |key| step(one, "band/#{key}").pictured.lines }).to eq([1, 2])
    expect(one.cuts.find { |cut| cut.role == :folded }.slack).to be_zero
  end
end
