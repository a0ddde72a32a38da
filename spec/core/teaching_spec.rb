# frozen_string_literal: true

require 'json'

# What the shipped techniques know. Core::Data reads them as a studio does.
RSpec.describe 'Teaching knowledge' do
  library = JSON.parse(File.read(File.join(EagerBench::ROOT, 'demo', 'library.json')))
  skills = (library['techniques'].map { |data| Core::Data::Records::TECHNIQUE.read(data) } +
    Core::Construction::Registry.techniques).to_h { |skill| [skill.key, skill] }

  it 'ships at least fifty techniques that stand on known ones, with points and faults, and practice where they are shown' do
    expect(skills.size).to be >= 50
    expect(Core::Technique::Ladder.new(skills).trouble).to be_nil
    tools = library['tools'].map { |tool| tool['key'] }
    wanting = skills.values.reject { |skill|
      skill.points.any? && skill.faults.any? { |fault| !fault.repair.empty? } && (skill.tools - tools).empty? &&
        (skill.demonstration_minutes < 3 || skill.level == 1 || !skill.practice.empty?)
    }
    expect(wanting.map(&:key)).to eq([])
  end

  it 'says of each fault why, how it is put right and until when that is cheap, and what it costs' do
    faults = skills.values.flat_map(&:faults)
    expect(faults.size).to be >= 60
    expect(faults.select { |fault| fault.cause.empty? || fault.cheap_until.empty? || fault.minutes.nil? }.map(&:sign)).to eq([])
  end

  # The faults makers warn of most (common practice, no source).
  ['Crossed lines', 'grips too early', 'slips when pulled', 'spike is left', 'gapes', 'One bead short', 'stands proud', 'not seated',
    'Turned the wrong way',
   'kinks', 'snaps', 'closed before its charm', 'Pulled open', 'knot sits away', 'knot loosens', 'seed bead breaks', 'hole is small',
   'main line is cut',
   'Glue runs', 'not stretched'].each do |sign|
    it("knows: #{sign}") { expect(skills.values.flat_map(&:goes_wrong).any? { |line| line.include?(sign) }).to be(true) }
  end

  it 'reads a line with a sign alone, and takes what is no number for none' do
    expect(Core::Technique::Fault.read('It breaks')).to eq(Core::Technique::Fault.new(sign: 'It breaks'))
    expect(Core::Technique::Fault.read('It breaks | why | so | now | a while | 0').minutes).to be_nil
  end

  # Common practice, no source: makers' pace at demonstrations (about level 4, talk included) in minutes; known ones within half and twice
  # of it, beginners two to four times a maker's.
  {
    ['wrapped_loop', 1] => 1.0..2.5, ['flat_crimp', 1] => 2.5..2.5, ['flat_crimp', Rational(3, 2)] => 4.0..4.0,
      ['crossover_loop', 1] => 1.7..1.7,
    ['cross_weave', 1] => 0.5..2.0, ['barrel_knot', 1] => 0.4..0.6, ['elastic_knot', 1] => 1.0..1.0
  }.each do |(key, effort), heard|
    it "keeps makers' pace at #{key}, effort #{effort}" do
      step = Core::Construction::StepUse.new(key: 'a', technique: key, repeats: 1, effort: effort, text: :a)
      known = { key => Core::People::Experience.new(times: 20, last: Date.new(2026, 11, 1)) }
      times = Core::Session::StepTime.new(Core::Session::Calibration.new, on: Date.new(2026, 12, 3))
      maker = times.minutes(step, skills.fetch(key), attendee(1, nil, level: 4, experience: known))
      beginner = times.minutes(step, skills.fetch(key), attendee(2, nil, level: 1))
      expect(maker).to be_between(heard.begin / 2, heard.end * 2)
      expect(beginner / maker).to be_between(2, 4.5)
    end
  end

  describe Core::Sizing::TryOn do
    it 'says what comes nearest to each change, from the person’s own piece, and nothing that does not help' do
      piece = fit(design(strung(pattern: pattern({ fill: %w[round_8 disc_2] }), mirror: false)), 180)
      changes = described_class.changes(piece, sample_table)
      expect(changes.map { |change| change.by.to_mm.round }).to eq([-20, -10, -5, 5, 10, 20])
      changes.each do |change|
        made = change.offer.inside - piece.inside
        expect((made - change.by).abs).to be < change.by.abs
        again = fit(design(strung(pattern: pattern({ fill: %w[round_8 disc_2] }), mirror: false)), (piece.worn + made).to_mm)
        expect((again.inside - change.offer.inside).abs).to be < mm(0.05) if change.offer.code == :as_designed
      end
    end

    # Repeats of some 100 mm, too long by 8: one repeat less is much too short, and rings only add.
    it 'has no offer where nothing comes nearer' do
      piece = fit(design(strung(pattern: pattern({ fill: %w[round_8] * 12 }), mirror: false)), 200)
      bare = sample_table.with(parts: {})
      expect(described_class.advice(piece, bare, piece.worn + mm(8))).to have_attributes(by: mm(-8), offer: nil)
      expect(described_class.changes(piece, bare).map(&:by)).not_to include(mm(-10))
    end
  end
end
