# frozen_string_literal: true

RSpec.describe Core::Project::Edit do
  let(:start) {
    bracelet(pattern: [{ 'part' => 'round_8', 'count' => 2 },
                       { 'repeat' => pattern('round_6', 'disc_2'), 'fill' => true },
                       { 'part' => 'seed' }])
  }
  let(:edit) { described_class.new(start) }

  def place(text)
    described_class::Place.parse(text)
  end

  # The pattern as words: A2 for two of A, [ ] for a group, * for the one that fills.
  def told(design, component = 'front')
    tell = lambda do |items|
      items.map do |item|
        next "#{item['part']}#{item['count'] if item.fetch('count', 1) > 1}" unless item['repeat']

        "[#{tell.(item['repeat'])}]#{item['fill'] ? '*' : item['times']}"
      end.join(' ')
    end
    tell.(design.components.find { |c| c.key == component }.parameters['pattern'])
  end

  {
    ['insert', 'front.pattern.0', 'disc_2'] => 'round_82 disc_2 [round_6 disc_2]* seed',
    ['insert', 'front.pattern.1.0', 'seed'] => 'round_82 [round_6 seed disc_2]* seed',
    ['replace', 'front.pattern.1.0', 'round_12'] => 'round_82 [round_12 disc_2]* seed',
    ['replace', 'front.pattern.1', 'round_12'] => 'round_82 [round_6 disc_2]* seed',
    ['replace_alike', 'front.pattern.0', 'disc_2'] => 'disc_22 [round_6 disc_2]* seed',
    ['replace_alike', 'front.pattern.1.1', 'seed'] => 'round_82 [round_6 seed]* seed',
    ['replace_alike', 'front.pattern.1', 'seed'] => 'round_82 [round_6 disc_2]* seed',
    ['insert', 'front.pattern', 'round_12'] => 'round_82 [round_6 disc_2]* seed round_12',
    ['insert', 'front.pattern.9', 'seed'] => 'round_82 [round_6 disc_2]* seed seed',
    ['move', 'front.pattern.0', 1] => '[round_6 disc_2]* round_82 seed',
    ['move', 'front.pattern.0', -1] => 'round_82 [round_6 disc_2]* seed',
    ['move', 'front.pattern.1.1', -1] => 'round_82 [disc_2 round_6]* seed',
    ['count', 'front.pattern.0', 1] => 'round_83 [round_6 disc_2]* seed',
    ['count', 'front.pattern.2', -1] => 'round_82 [round_6 disc_2]* seed',
    ['remove', 'front.pattern.1.0'] => 'round_82 [disc_2]* seed',
    ['remove', 'front.pattern.7'] => 'round_82 [round_6 disc_2]* seed',
    ['group', 'front.pattern.0'] => '[round_82 [round_6 disc_2]*]1 seed',
    ['ungroup', 'front.pattern.1'] => 'round_82 round_6 disc_2 seed',
    ['ungroup', 'front.pattern.0'] => 'round_82 [round_6 disc_2]* seed',
    ['fill', 'front.pattern.0'] => '[round_82]* [round_6 disc_2]* seed',
    ['fill', 'front.pattern.1'] => 'round_82 [round_6 disc_2]1 seed'
  }.each do |(change, at, argument), expected|
    it "#{change} at #{at} #{argument}" do
      changed = if %w[remove group ungroup fill].include?(change) then edit.pattern_change(change.to_sym, place(at))
                else edit.public_send(change, place(at), argument)
                end
      expect(told(changed)).to eq(expected)
      expect(told(start)).to eq('round_82 [round_6 disc_2]* seed')
    end
  end

  {
    ['front.pattern.2', 'front.pattern.0'] => 'seed round_82 [round_6 disc_2]*',
    ['front.pattern.0', 'front.pattern.2'] => '[round_6 disc_2]* round_82 seed',
    ['front.pattern.2', 'front.pattern.1.1'] => 'round_82 [round_6 seed disc_2]*',
    ['front.pattern.1', 'front.pattern.1.0'] => 'round_82 [round_6 disc_2]* seed',
    ['front.pattern.0', 'front.pattern.0'] => 'round_82 [round_6 disc_2]* seed',
    ['front.pattern.9', 'front.pattern.0'] => 'round_82 [round_6 disc_2]* seed'
  }.each do |(from, target), expected|
    it("carries #{from} to #{target}") { expect(told(edit.carry(place(from), place(target)))).to eq(expected) }
  end

  it 'closes the path again on both sides, keeping what lies between and what hangs' do
    hung = described_class.new(start).add(:findings, { 'parts' => pattern('drop') }, hung_at: 'centre')
    closed = described_class.new(hung).close(pattern('ring', 'clasp'), pattern('ring', 'extender'))
    expect(closed.components.map(&:key)).to eq(%w[first_end front findings last_end])
    expect(described_class.new(closed).close([], []).components.map(&:key)).to eq(%w[front findings])
  end

  it 'gives each added component a key of its own' do
    twice = described_class.new(edit.add(:stretch, {})).add(:stretch, {})
    expect(twice.components.map(&:key).last(2)).to eq(%w[stretch stretch_2])
    expect(described_class.new(twice).drop('stretch').components.map(&:key)).not_to include('stretch')
  end

  it 'keeps in a colourway only what changes' do
    named = edit.colourway('night', 'round_8' => 'round_6', 'seed' => 'seed', 'disc_2' => '')
    expect(named.colourways).to eq('night' => { 'round_8' => 'round_6' })
    expect(described_class.new(named).drop_colourway('night').colourways).to eq({})
  end

  ['', 'front', 'front.pattern.x', 'front.pattern.-1', 'front.pattern.99999'].each do |text|
    it("knows no place #{text.inspect}") { expect(place(text)).to be_nil }
  end

  describe Core::Construction::Starter do
    Core::Construction::Kinds.keys.each do |key|
      it "begins #{key} with parameters that build" do
        construction = Core::Construction::Kinds.fetch(key)
        expect {
          construction.build(described_class.parameters(construction, sample_table), sample_table)
        }.not_to raise_error
      end
    end
  end
end
