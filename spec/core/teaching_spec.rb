# frozen_string_literal: true

require 'json'

# What the shipped techniques know. Core::Data reads them as a studio does.
RSpec.describe 'Teaching knowledge' do
  library = JSON.parse(File.read(File.join(EagerBench::ROOT, 'demo', 'library.json')))
  techniques = (library['techniques'].map { |data| Core::Data::Records::TECHNIQUE.read(data) } +
    Core::Construction::Kinds.techniques).to_h { |technique| [technique.key, technique] }

  it 'ships at least fifty techniques that stand on known ones, with points and faults, and practice where they are shown' do
    expect(techniques.size).to be >= 50
    expect(Core::Steps::Ladder.new(techniques).problem).to be_nil
    tools = library['tools'].map { |tool| tool['key'] }
    wanting = techniques.values.reject { |technique|
      technique.points.any? && technique.faults.any? { |fault| !fault.repair.empty? } && (technique.tools - tools).empty? &&
        (technique.demonstration_minutes < 3 || technique.level == 1 || !technique.practice.empty?)
    }
    expect(wanting.map(&:key)).to eq([])
  end

  it 'says of each fault why, how it is put right and until when that is cheap, and what it costs' do
    faults = techniques.values.flat_map(&:faults)
    expect(faults.size).to be >= 60
    expect(faults.select { |fault| fault.cause.empty? || fault.cheap_until.empty? || fault.minutes.nil? }.map(&:sign)).to eq([])
  end

  # The faults makers warn of most (common practice, no source).
  ['Crossed lines', 'grips too early', 'slips when pulled', 'spike is left', 'gapes', 'One bead short', 'stands proud', 'not seated',
    'Turned the wrong way',
   'kinks', 'snaps', 'closed before its charm', 'Pulled open', 'knot sits away', 'knot loosens', 'seed bead breaks', 'hole is small',
   'main line is cut',
   'Glue runs', 'not stretched'].each do |sign|
    it("knows: #{sign}") { expect(techniques.values.flat_map(&:goes_wrong).any? { |line| line.include?(sign) }).to be(true) }
  end

  it 'reads a line with a sign alone, and takes what is no number for none' do
    expect(Core::Catalogue::Fault.read('It breaks')).to eq(Core::Catalogue::Fault.new(sign: 'It breaks'))
    expect(Core::Catalogue::Fault.read('It breaks | why | so | now | a while | 0').minutes).to be_nil
  end

  # Common practice, no source: makers' pace at demonstrations (about level 4, talk included) in minutes; known ones within half and twice
  # of it, beginners two to four times a maker's.
  {
    ['wrapped_loop', 1] => 1.0..2.5, ['flat_crimp', 1] => 2.5..2.5, ['flat_crimp', Rational(3, 2)] => 4.0..4.0,
      ['crossover_loop', 1] => 1.7..1.7,
    ['cross_weave', 1] => 0.5..2.0, ['barrel_knot', 1] => 0.4..0.6, ['elastic_knot', 1] => 1.0..1.0
  }.each do |(key, effort), heard|
    it "keeps makers' pace at #{key}, effort #{effort}" do
      step = Core::Making::StepUse.new(key: 'a', technique: key, repeats: 1, effort: effort, text: :a)
      known = { key => Core::People::Experience.new(times: 20, last: Date.new(2026, 11, 1)) }
      times = Core::Steps::StepTime.new(Core::Setup::Calibration.new, on: Date.new(2026, 12, 3))
      maker = times.minutes(step, techniques.fetch(key), attendee(1, nil, level: 4, experience: known))
      beginner = times.minutes(step, techniques.fetch(key), attendee(2, nil, level: 1))
      expect(maker).to be_between(heard.begin / 2, heard.end * 2)
      expect(beginner / maker).to be_between(2, 4.5)
    end
  end

  # A class three days from now: what should have been done ten days before comes first, today, and nothing lies in the past.
  it 'dates what is prepared within the days that are left, the overdue first' do
    plan = plan_for(bracelet, [attendee(1, 170)])
    date = plan.workshop.date
    tasks = ->(today) { Core::Session::Preparation.new(plan, Core::Setup::Calibration.new, short: 3, today: today).tasks }
    soon = tasks.(date - 3)
    expect(soon.map(&:on)).to eq(soon.map(&:on).sort).and(all(be >= date - 3))
    expect(soon.select(&:late).map { |task| [task.code, task.on] }).to eq([[:order, date - 3], [:test_lots, date - 3]])
    expect(tasks.(date - 20).map { |task| [task.on, task.late] }.first).to eq([date - 10, false])
    expect(tasks.(date + 1).map(&:on).uniq).to eq([date])
  end

  it 'takes what is left out for a level out of the bag, the needs and the missing techniques' do
    covered = bracelet(school: 'covered', cover: 'cover')
    people = [attendee(1, 170, level: 1), attendee(2, 170, level: 4)]
    plan = lambda do |shorter|
      Core::Planning::Plan.for(workshop: workshop.with(teaching: Core::Setup::TeachingSettings.new(shorter: shorter)), design: covered,
        attendees: people,
        table: sample_table)
    end
    covers = ->(needs) { needs.find { |need| need.part.key == 'cover' }&.count.to_i }
    whole, short = plan.(0), plan.(2)
    expect([whole, short].map { |one| [covers.(one.needs), *one.people.map { |person| covers.(person.needs) }] }).to eq([[4, 2, 2],
      [2, 0, 2]])
    lacking = ->(one) { one.readiness.people.flat_map { |person| person.lacking.map { |lack| [person.attendee.key, lack.technique.key] } } }
    expect([lacking.(whole), lacking.(short)].map { |all| all.include?(%w[1 crimp_cover]) }).to eq([true, false])
  end

  # Too short even at its longest: 30 wanted, 10 of it by the closure.
  it 'measures how far an adjustable piece is off from the end of its range that is nearer' do
    piece = fit(design(strung(pattern: pattern({ fill: %w[round_8] }), mirror: false)), 180).with(play: mm(10))
    off = [30, 10, 5, 0, -4].map { |more| piece.with(worn: piece.inside + mm(more)).deviation.to_mm }
    expect(off).to eq([-20.0, 0.0, 0.0, 0.0, 4.0])
  end

  # Addition, part by part.
  it 'adds what is practised with to the needs of a kit' do
    round, disc = %w[round_8 disc_2].map { |key| sample_table.part(key) }
    use = ->(part, count) { Core::Materials::Need.new(part: part, count: count) }
    more = Core::Materials::Need.more([use.(round, 20)], [use.(round, 3), use.(disc, 2)])
    expect(more.to_h { |need| [need.part.key, need.count] }).to eq('round_8' => 23, 'disc_2' => 2)
  end

  describe Core::Sizing::SizeAdjustment do
    it 'says what comes nearest to each change, from the person’s own piece, and nothing that does not help' do
      piece = fit(design(strung(pattern: pattern({ fill: %w[round_8 disc_2] }), mirror: false)), 180)
      changes = described_class.changes(piece, [])
      expect(changes.map { |change| change.by.to_mm.round }).to eq([-20, -10, -5, 5, 10, 20])
      changes.each do |change|
        made = change.offer.inside - piece.inside
        expect((made - change.by).abs).to be <= change.by.abs / 2
        more = change.offer.code == :end_beads ? { finishing: pattern(change.offer.part.key) } : {}
        again = fit(design(strung(pattern: pattern({ fill: %w[round_8 disc_2] }), mirror: false, **more)), (piece.worn + made).to_mm)
        expect((again.inside - change.offer.inside).abs).to be < mm(more.empty? ? 0.05 : 0.6) if again.repeats == change.offer.repeats
      end
    end

    {
      'elastic' => ->(s) { s.component('e', :stretch, elastic: 'elastic', pattern: s.pattern({ fill: ['round_8'] })) },
      'memory wire' => ->(s) { s.component('m', :memory_coil, wire: 'coil', pattern: s.pattern({ fill: ['round_6'] })) },
      'a cord that is knotted' => ->(s) { s.component('k', :knotted_cord, cord: 'cord', beads: s.pattern('round_12'), closure: 'slider') }
    }.each do |what, made|
      it "offers no ring and no extender for #{what}" do
        piece = fit(design(made.call(self)), 176)
        additions = Core::Fit::Additions.for(piece, sample_table)
        codes = described_class.changes(piece, additions).map { |change| change.offer.code }.uniq
        expect([additions, codes - [:as_designed]]).to eq([[], []])
      end
    end

    it 'offers nothing that the wearer must not wear, an extender with its range, and no line twice' do
      piece = fit(bracelet(pattern: pattern({ fill: ['round_12'] })), 176)
      nickel = ->(part) { part.with(nickel_free: false) }
      parts = sample_table.parts.transform_values { |one| %i[ring extender].include?(one.kind) ? nickel.(one) : one }
      table = sample_table.with(parts: parts)
      allergic = attendee(1, 176).with(needs: Core::People::Needs.new(allergies: [:nickel]))
      expect(Core::Fit::Additions.for(piece, table, allergic)).to eq([])
      expect(Core::Fit::Additions.for(piece, table, attendee(1, 176)).map(&:kind).uniq).to match_array(%i[ring extender])
      changes = described_class.changes(piece, Core::Fit::Additions.for(piece, sample_table))
      words = changes.map { |change| [change.offer.code, change.offer.repeats, change.offer.part&.key, change.offer.count] }
      expect(words).to eq(words.uniq)
      extender = Core::Sizing::NearerSizes.for(piece.with(worn: piece.inside + mm(20)), [sample_table.part('extender')])
        .find { |offer| offer.code == :extender }
      expect(extender.up_to - extender.inside).to eq(sample_table.part('extender').play)
    end

    # Repeats of some 100 mm, too long by 8: one repeat less is much too short, and rings only add.
    it 'has no offer where nothing comes nearer' do
      piece = fit(design(strung(pattern: pattern({ fill: %w[round_8] * 12 }), mirror: false)), 200)
      expect(described_class.advice(piece, [], piece.worn + mm(8))).to have_attributes(by: mm(-8), offer: nil)
      expect(described_class.changes(piece, []).map(&:by)).not_to include(mm(-10))
    end
  end
end
