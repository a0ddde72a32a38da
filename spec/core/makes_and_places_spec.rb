# frozen_string_literal: true

RSpec.describe 'Pieces made of pieces' do
  def link(key = 'link', **parameters)
    component(key, :wire_link, apart: true, wire: 'wire_20', stack: pattern('round_6'), **parameters)
  end

  def charm(hung_at, key = 'charm')
    component(key, :findings, hung_at: hung_at, parts: pattern('open_ring', 'drop'))
  end

  def counts(piece)
    Core::Materials::Need.sum(piece.parts).to_h { |need| [need.part.key, need.count] }
  end

  def keys(piece)
    Core::Steps::StepOrder.of(piece.steps, sample_table).steps.map(&:key)
  end

  # Conservation: what is bought is what is drawn, however the pieces stand in each other, at any size.
  it 'buys as many parts, and cuts as many wires, as it draws, over random trees' do
    random = Random.new(5)
    25.times do
      places = %w[centre front@each front@every_2 front@middle front.pattern.0@first front@last]
      inner = link('inner', first: %w[simple wrapped].sample(random: random))
      outer = component('outer', :linked, apart: true, length: mm(random.rand(30..60)), unit: pattern('made:inner'), ring: 'open_ring')
      unit = ['round_8', *%w[made:inner seed].sample(random.rand(0..2), random: random)]
      hung = [charm(places.sample(random: random)), component('drop', :wire_link, hung_at: 'charm@last', wire: 'wire_20',
        stack: pattern('seed'))]
      hung = hung.first(random.rand(0..2))
      piece = fit(design(inner, *([outer] if outer), strung(pattern: pattern({ fill: unit })), *hung), random.rand(150..220))
      drawn = piece.layout.select { |shape| shape.role != :line && shape.item.is_a?(Core::Catalogue::Part) }
        .map { |shape| shape.item.key }.tally
      expect(drawn.except('crimp')).to eq(counts(piece).except('crimp'))
      wires = piece.work_ups.values.flat_map(&:cuts).select { |cut| cut.line.key == 'wire_20' }.sum(&:count)
      expect(wires).to eq(counts(piece).fetch('round_6', 0) + (hung.size == 2 ? counts(piece)['drop'] : 0))
    end
  end

  # place => how many of the ten beads of an 80 mm front it means
  { 'centre' => 1, 'front' => 10, 'front@each' => 10, 'front@every_3' => 3, 'front@middle' => 1, 'front@first' => 1,
    'front.pattern.0@every_2' => 5,
    'front.pattern.0.0@last' => 1 }.each do |place, number|
    it "hangs #{number} at #{place}, before the step that closes" do
      piece = fit(design(strung(mirror: false), charm(place)), 66)
      expect(piece.work_ups['front'].parts.first.count).to eq(10)
      expect(counts(piece)).to include('drop' => number, 'open_ring' => number)
      expect(keys(piece).index('charm/join')).to be < keys(piece).index('front/second_end')
    end
  end

  # The middle of 20 mm of findings, 80 of beads and 40 of findings lies at the beads, 50 mm from their first end.
  it 'hangs at the centre of the whole piece what hangs there, wherever it begins' do
    ends = [component('a', :findings, parts: pattern(['clasp', 1])), component('b', :findings, parts: pattern(['clasp', 4]))]
    piece = fit(design(ends.first, strung(mirror: false), ends.last, charm('centre')), 170)
    drop = piece.layout.find { |shape| shape.item.key == 'drop' }
    expect(drop.x).to be_within(4.1).of(piece.on_line.to_mm / 2)
    heavy = design(component('a', :findings, parts: pattern(['clasp', 12])), strung(mirror: false), charm('centre'))
    turned = fit(heavy, 175)
    expect(turned.layout.find { |shape| shape.item.key == 'drop' }.x).to be_within(6.1).of(turned.on_line.to_mm / 2)
    stations = component('s', :stations, line: 'cable', layers: 2, station: pattern('round_8'), holder: 'crimp', gap: mm(40),
      crimp: 'crimp')
    expect { fit(design(stations.with(parameters: stations.parameters.merge('gap' => '40 mm')), charm('centre')), 170) }
      .to raise_error(Core::Making::InvalidParameters, /hung_at no_such_place/)
  end

  # Every construction that takes what hangs, at every place that it has: bought, drawn and worked once.
  it 'finds one hung part again in bill, drawing and steps, wherever it hangs' do
    drop = component('drop', :wire_link, wire: 'wire_20', last: 'pin', pin: 'pin', stack: pattern('disc_2'))
    parents = {
      strung: strung(mirror: false), stretch: component('p', :stretch, elastic: 'elastic', pattern: pattern({ fill: ['round_8'] })),
      knotted_cord: component('p', :knotted_cord, cord: 'cord', beads: pattern('round_12', 'round_8'), mirrored: true, rest: 'bare_cord',
        closure: 'slider'),
      chain: component('p', :chain, chain: 'chain'), linked: component('p', :linked, unit: pattern('connector_2'), ring: 'open_ring'),
      two_hole: component('p', :two_hole, line: 'cable', bead: 'flat_2', crimp: 'crimp', connector: 'connector_2')
    }
    parents.each do |key, parent|
      work_up = fit(design(parent), 170).work_ups[parent.key]
      origins = work_up.places.filter_map(&:origin).uniq
      ["#{parent.key}@first", "#{parent.key}@last", "#{parent.key}@middle",
        *origins.map { |one| "#{parent.key}.#{one}@first" }].each do |place|
        next unless place.count('.').zero? || place =~ /\.(?:pattern|beads)\./

        piece = fit(design(parent, drop.with(hung_at: place)), 170)
        seen = [counts(piece)['pin'], piece.layout.count { |shape| shape.item.key == 'pin' }, keys(piece).grep(%r{\Adrop/first_eye}).size]
        expect([key, place, seen]).to eq([key, place, [1, 1, 1]])
      end
    end
  end

  it 'closes the eye of a link first where what hangs in it can be opened, and tells steps that wait for each other' do
    drop = component('drop', :wire_link, hung_at: 'front@first', wire: 'wire_20', stack: pattern('round_6'))
    piece = fit(design(strung(mirror: false), drop, charm('drop@last')), 170)
    expect(keys(piece).index('charm/join')).to be > keys(piece).index('drop/last_eye')
    shut = component('tip', :wire_link, hung_at: 'drop@last', wire: 'wire_20', last: 'pin', pin: 'pin', stack: pattern('seed'))
    tight = fit(design(strung(mirror: false), drop, shut), 170)
    expect(keys(tight).index('tip/first_eye')).to be < keys(tight).index('drop/last_eye')
  end

  # By hand: a bail of two turns in 0.81 wire takes 1.6 mm of the line, however long the pendant is; it is drawn hanging.
  # A wrapped eye cannot be opened: it goes on the line as the beads do, when it is finished.
  it 'strings what is finished where it hangs, says so, and strings nothing that opens' do
    row = component('front', :strung, line: 'cable', crimp: 'crimp', pattern: pattern({ fill: ['round_6'] }))
    words = ->(part) do
      hung = part.with(hung_at: 'front@middle')
      piece = Core::Sizing::Blueprint.new(design(row, hung), sample_table).fit_usual
      steps = Core::Steps::StepOrder.of(piece.steps, sample_table).steps
      string = steps.index { |step| step.key == 'front/string' }
      [steps[string].values[:finished], steps[string].after.any? { |key| key.start_with?("#{hung.key}/") }]
    end
    drop = component('drop', :wire_link, wire: 'wire', stack: pattern('round_6'), last: 'wrapped', first: 'wrapped')
    ring = component('charm', :findings, parts: %w[open_ring drop].map { |key| { 'part' => key } })
    expect([words.(drop), words.(ring)]).to eq([[[['drop', :middle]], true], [nil, false]])
  end

  it 'threads a pendant by its bail, and turns it by every ring between it and the line' do
    bail = component('moon', :wire_bail, apart: true, wire: 'wire_20', button: 'drop')
    piece = fit(design(bail, strung(mirror: false, centre: pattern('made:moon'))), 170)
    plain = fit(design(strung(mirror: false)), 170)
    thick = sample_table.line('wire_20').thickness.to_mm
    parts = ->(one) { one.work_ups['front'].parts.sum { |use| use.part.key == 'round_8' ? use.count : 0 } }
    expect([piece.on_line.to_mm - plain.on_line.to_mm, parts.(piece) - parts.(plain)]).to match([be_within(0.001).of(2 * thick), 0])
      .or(match([be_within(0.001).of((2 * thick) - 8), -1]))
    facing = lambda do |*row|
      whole = design(strung(mirror: false, centre: pattern('open_ring')),
        component('charm', :findings, hung_at: 'front.centre.0', parts: pattern(*row)))
      fit(whole, 170).joins.find { |join| join.kind == :faces }.passes
    end
    expect([facing.('open_ring', 'drop'), facing.('open_ring', 'ring', 'drop')]).to eq([2, 3])
  end

  # By hand: 500 g on a cable rated for 10 kg, pulled at five times its weight.
  it 'weighs what hangs, and what hangs from that, on the line that carries it' do
    glass = sample_table.parts.transform_values { |one| one.with(material: 'glass') }
    table = sample_table.with(parts: glass.merge('drop' => sample_table.part('drop').with(mass_mg: 500_000)),
      lines: sample_table.lines.transform_values { |line| line.kind == :cable ? line.with(rated_load_grams: 450) : line })
    whole = design(strung(mirror: false), charm('front@first'))
    found = Core::Fit::Check.new(table).piece(Core::Sizing::Blueprint.new(whole, table).fit(mm(170), Core::Making::Maker.new))
      .find { |one| one.rule == :line_bears && one.join.component == 'front' }
    expect([found.status, found.values[:grams]]).to match([:will_not, be_between(500, 520)])
  end

  it 'lays two at one place side by side, and what hangs on them below' do
    piece = fit(design(strung, charm('centre'), charm('centre', 'other'),
      component('tip', :findings, hung_at: 'other@last', parts: pattern('open_ring'))), 60)
    drops = piece.layout.select { |shape| shape.item.key == 'drop' }
    tip = piece.layout.reverse.find { |shape| shape.item.key == 'open_ring' }
    expect((drops[0].x - drops[1].x).abs).to be_within(0.01).of(6)
    expect(tip.y).to be > drops[1].y + 5
    expect(tip.x).to be_within(0.01).of(drops[1].x)
  end

  it 'works what is made apart before the step that takes it, and as often as it is used' do
    piece = fit(design(link, strung(pattern: pattern({ fill: %w[round_8 made:link] }))), 180)
    order = keys(piece)
    expect(order.index('link/check')).to be < order.index('front/string')
    used = piece.work_ups['front'].parts.find { |use| use.part.made? }.count
    expect(piece.steps.find { |step| step.key == 'link/first_eye' }.repeats).to eq(used)
    expect(piece.work_ups['link'].cuts.map(&:count)).to eq([used])
  end

  # What is wrong, at its place.
  {
    'made of itself' => [-> { [link('a', stack: pattern('made:b')), link('b', stack: pattern('made:a')), strung] },
      %w[components 0 apart], :made_of_itself],
    'no part' => [-> { [strung(pattern: pattern({ fill: ['made:ghost'] }))] },
    ['components', 0, 'parameters', 'pattern', 0, 'repeat', 0, 'part'], :unknown_part],
    'on no component' => [-> { [strung, charm('ghost@each')] }, %w[components 1 hung_at], :no_such_place],
    'on no item' => [-> { [strung, charm('front.pattern.7')] }, %w[components 1 hung_at], :no_such_place],
    'in no words' => [-> { [strung, charm('front@sometimes')] }, %w[components 1 hung_at], :no_such_place],
    'on itself' => [-> { [strung, charm('other@last'), charm('charm@last', 'other')] }, %w[components 1 hung_at], :no_such_place],
    'not to be made apart' => [-> { [component('a', :stretch, apart: true, elastic: 'elastic',
      pattern: pattern({ fill: ['seed'] })), strung] },
                               %w[components 0 apart], :cannot_be_made_apart],
    'too short' => [-> { [component('a', :linked, apart: true, length: mm(1), unit: pattern('ring')), strung] },
    %w[components 0 length], :length_out_of_reach]
  }.each do |name, (components, place, code)|
    it "refuses what is #{name}" do
      expect { fit(design(*instance_exec(&components)), 180) }.to raise_error(Core::Making::InvalidParameters) { |error|
        expect(error.problems.map { |problem| [problem.at.map(&:to_s), problem.code] }).to include([place.map(&:to_s), code])
      }
    end
  end

  describe 'can it be assembled?' do
    def findings(*components)
      Core::Fit::Check.new(sample_table).piece(fit(design(*components), 180)).select { |finding| finding.rule == :can_assemble }
    end

    # Brute force over the orders: closed loops link only while one of both is open, so a row goes together where no two closed ones meet.
    it 'agrees with trying every order of a row' do
      opens = { 'ring' => false, 'open_ring' => true, 'clasp' => false, 'extender' => false }
      opens.keys.product(opens.keys, opens.keys).each do |row|
        possible = row.each_cons(2).to_a.permutation.any? { |order|
          order.all? { |pair| pair.uniq.size == 1 || pair.any? { |part| opens[part] } }
        }
        found = findings(strung, component('end', :findings, parts: pattern(*row)))
        expect([row, found.none?(&:wrong?)]).to eq([row, possible])
      end
    end

    # A crimped loop is closed where it hangs; a finished one is not; wire eyes open where they are simple.
    it 'knows what is closed in place' do
      ends = component('end', :findings, parts: pattern('ring'))
      expect(findings(strung, ends).map(&:status)).to eq([:fits])
      twisted = component('drop', :twisted_strands, hung_at: 'end@last', length: mm(30), line: 'cable',
        pattern: pattern({ fill: ['seed'] }), crimp: 'crimp', ring: 'ring')
      expect(findings(strung, ends, twisted).map(&:status)).to include(:will_not)
      { 'simple' => true, 'wrapped' => false }.each do |eye, fits|
        links = component('links', :linked, unit: pattern('made:link'))
        expect([eye, findings(link(first: eye, last: eye), links).none?(&:wrong?)]).to eq([eye, fits])
      end
    end

    it 'puts a ring between, and then nothing is wrong' do
      whole = design(strung, component('end', :findings, parts: pattern('ring', 'extender')))
      cure = findings(*whole.components).find(&:wrong?).cures.find { |one| one.code == :one_more_ring }
      expect(cure.apply(whole).component('end').parameters['parts'].map { |item| item['part'] }).to eq(%w[ring open_ring extender])
      expect(findings(*cure.apply(whole).components).count(&:wrong?)).to eq(0)
    end
  end

  # Twenty-five 8 mm glass rounds weigh about 16.8 g (sphere of 0.268 cm³ × 2.5, CRC Handbook): five times that is 84 g.
  { 100 => :fits, 70 => :will_not, nil => :unknown }.each do |holds, status|
    it "judges a magnetic clasp that holds #{holds.inspect} g #{status}" do
      glass = { 'round_8' => part('round_8', 8, material: 'glass'),
        'magnet' => part('magnet', 12, 7, kind: :clasp, magnetic: true, holds_grams: holds, mass_mg: 1) }
      table = sample_table.with(parts: sample_table.parts.merge(glass).merge('crimp' => part('crimp', 2, kind: :crimp, mass_mg: 1)))
      piece = Core::Sizing::Blueprint.new(design(strung(mirror: false), component('end', :findings, parts: pattern('magnet'))), table)
        .fit(mm(175), Core::Making::Maker.new)
      expect(Core::Fit::Check.new(table).piece(piece).find { |finding| finding.rule == :joint_bears }.status).to eq(status)
    end
  end

  it 'keeps what hangs on an item with it when the pattern changes' do
    whole = design(strung(pattern: [{ 'part' => 'seed' }, *pattern({ fill: ['round_8'] })]), charm('front.pattern.1.0@each'))
    edit = Core::Project::Edit.new(whole)
    place = ->(text) { Core::Project::Edit::Place.parse(text) }
    { edit.insert(place.('front.pattern.0'), 'disc_2') => 'front.pattern.2.0@each',
      edit.move(place.('front.pattern.1'), -1) => 'front.pattern.0.0@each',
      edit.pattern_change(:remove, place.('front.pattern.0')) => 'front.pattern.0.0@each' }.each do |changed, at|
      expect(changed.component('charm').hung_at).to eq(at)
    end
  end
end
