# frozen_string_literal: true

RSpec.describe Core::Construction do
  # What every construction keeps, whatever it makes. One sample of parameters each.
  samples = {
    strung: { line: 'cable', crimp: 'crimp', pattern: [{ 'repeat' => [{ 'part' => 'round_8' }, { 'part' => 'seed' }], 'fill' => true }], centre: [{ 'part' => 'round_12' }] },
    findings: { parts: [{ 'part' => 'ring' }, { 'part' => 'open_ring' }, { 'part' => 'clasp' }] }
  }

  it('has a sample for each') { expect(samples.keys).to match_array(Core::Construction::Registry.keys) }

  samples.each do |key, parameters|
    describe "#{key} keeps the contract" do
      let(:construction) { Core::Construction::Registry.fetch(key).build(parameters.transform_keys(&:to_s), sample_table) }
      let(:work_up) { construction.call(target: mm(180), maker: Core::Construction::Maker.new) }

      it 'draws each counted thing where it lies, within its own length' do
        drawn = work_up.layout.reject { |shape| shape.role == :line }
        expect(drawn.map { |s| s.item.key }.tally.reject { |k, _| %w[crimp cover].include?(k) })
          .to eq(work_up.parts.to_h { |p| [p.part.key, p.count] }.reject { |k, _| %w[crimp cover].include?(k) })
        expect(drawn).to all(satisfy { |s| s.x.between?(0, work_up.lengths.beaded.to_mm) })
      end

      it 'names steps that need only its own, and techniques that exist' do
        keys = work_up.steps.map(&:key)
        expect(work_up.steps.flat_map(&:after) - keys).to be_empty
        expect(work_up.steps.map(&:technique) - sample_table.techniques.keys).to be_empty
        expect(Core::Technique::Order.call(work_up.steps, sample_table).size).to eq(keys.size)
      end

      it 'breaks every cut down, and meets its neighbours with something' do
        work_up.cuts.each { |cut| expect(cut.length).to eq(cut.body + cut.consumption + cut.tails) }
        expect(work_up.ends.values.map(&:item)).to all(be_a(Core::Catalogue::Part).or(be_a(Core::Catalogue::Line)))
      end

      it 'gives the same for the same' do
        expect(construction.call(target: mm(180), maker: Core::Construction::Maker.new).layout).to eq(work_up.layout)
      end
    end
  end

  describe Core::Construction::Strung do
    def front(worn: 180, level: 3, **parameters)
      fit(design(strung(**parameters)), worn, level: level).work_ups['front']
    end

    it 'alternates: n of A need n - 1 of B between' do
      counts = front(pattern: pattern('round_8', { fill: %w[disc_2 round_8] }), mirror: false).parts.to_h { |p| [p.part.key, p.count] }
      expect(counts['round_8'] - counts['disc_2']).to eq(1)
    end

    # Common practice, no source: about 280 for a 180 piece, 75 an end for beginners, buried tails the beads plus 25.
    [[3, {}, 100], [1, {}, 150], [3, { tails: 'buried', bury_through: 2 }, (8 + 8 + 25) * 2]].each do |level, parameters, tails|
      it "leaves #{tails} mm of tails at level #{level} with #{parameters}" do
        expect(front(level: level, **parameters).cuts.first.tails).to eq(mm(tails))
      end
    end

    it 'counts what hides the crimp into the length' do
      flat, covered = [front(pattern: pattern({ fill: ['disc_2'] })), front(pattern: pattern({ fill: ['disc_2'] }), school: 'covered', cover: 'cover')]
      expect(covered.lengths.fixed - flat.lengths.fixed).to eq(mm(2))
      expect(covered.steps.map(&:key)).to include('covers')
    end

    it 'makes parallel strands alike' do
      one, three = [front, front(strands: 3)]
      expect(three.parts.map(&:count)).to eq(one.parts.map { |p| p.count * 3 })
      expect(three.cuts.map(&:count)).to eq([3])
    end

    { { pattern: [] } => [['pattern'], :pattern_of_nothing],
      { pattern: [{ 'part' => 'round_8' }] } => [['pattern'], :nothing_fills],
      { pattern: [{ 'part' => 'no_such' }] } => [['pattern', 0, 'part'], :unknown_part],
      { pattern: [{ 'part' => 'round_8', 'count' => 5000 }] } => [['pattern', 0, 'count'], :count_out_of_range],
      { pattern: [{ 'repeat' => [], 'fill' => true }] } => [['pattern', 0, 'repeat'], :empty_group],
      { pattern: 'beads' } => [['pattern'], :not_a_list],
      { centre: [{ 'part' => 'round_8', 'count' => 2 }] } => [['centre'], :even_centre],
      { crimp: 'round_8' } => [['crimp'], :wrong_kind],
      { school: 'covered' } => [['cover'], :cover_missing],
      { line: 'no_such' } => [['line'], :unknown_line],
      { strands: 0 } => [['strands'], :out_of_range],
      { glitter: 1 } => [['glitter'], :unknown_parameter] }.each do |parameters, (place, code)|
      it "refuses #{parameters}" do
        expect { fit(design(strung(**parameters)), 180) }.to raise_error(Core::Construction::InvalidParameters) { |e|
          expect(e.problems.map { |p| [p.at.drop(3), p.code] }).to include([place, code])
        }
      end
    end
  end

  it 'puts what hangs on before the step that closes' do
    hung = component('charm', :findings, hung_at: :centre, parts: pattern('open_ring'))
    order = Core::Technique::Order.call(fit(design(strung, hung), 180).steps, sample_table).map(&:key)
    expect(order.index('charm/join')).to be < order.index('front/second_end')
  end
end
