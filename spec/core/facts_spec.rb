# frozen_string_literal: true

require_relative '../studio_helper'
require_relative '../support/samples'
require_relative '../support/kind_samples'

# For each fact: who gives it comes before who needs it, and both before who shuts it.
RSpec.describe Core::Making::Facts do
  def step(key, **rest)
    Core::Making::StepUse.new(key: key, technique: 'stringing', repeats: 1, text: :x, **rest)
  end

  def found(*steps, &what)
    described_class.new(steps).places.transform_values(&what)
  end

  it 'puts a giver before a needer, and both before a shutter, and says no more than that' do
    steps = [step('wind', needs: %i[cut], shuts: %i[tip], gives: %i[coil]), step('load', needs: %i[tip]), step('cut', gives: %i[cut tip]),
             step('trim', needs: %i[coil cut])]
    expect(found(*steps, &:after)).to eq('wind' => %w[load], 'load' => %w[cut], 'cut' => [], 'trim' => %w[wind])
    # The same step without beads: nothing else changes.
    expect(found(*steps.reject { |one| one.key == 'load' }, &:after)).to eq('wind' => %w[cut], 'cut' => [], 'trim' => %w[wind])
  end

  it 'waits for all that give a fact, and tells what is needed but never given' do
    steps = [step('left', gives: %i[ends]), step('right', gives: %i[ends]), step('check', needs: %i[ends length], rather: %i[left_out])]
    expect(found(*steps, &:after)['check']).to eq(%w[left right])
    expect(described_class.new(steps).missing).to eq([['check', :length], ['check', :left_out]])
  end

  it 'keeps a tool until what it holds is shut, and tells which step closes an end' do
    steps = [step('stop', gives: %i[stopped], keeps: { 'bead_stopper' => :stopped, 'bead_mat' => :never }),
             step('close', gives: %i[last_end], shuts: %i[stopped])]
    facts = described_class.new(steps)
    expect(found(*steps, &:keeps)['stop']).to eq('bead_stopper' => 'close')
    expect([:last_end, :other, nil].map { |fact| facts.giver(fact) }).to eq(['close', nil, nil])
  end

  # Nothing can run off in a bag, no tool goes with it, and nobody's length is checked without them.
  {
    'a cut' => [[{ gives: %i[cut] }], [true]],
    'beads on an open line' => [[{ gives: %i[bead loose] }], [false]],
    'beads on a line that is closed' => [[{ gives: %i[bead loose] }, { needs: %i[bead], shuts: %i[loose] }], [false, true]],
    'beads with one of two ends closed' => [[{ gives: %i[bead loose] }, { needs: %i[bead], shuts: %i[loose], gives: %i[one] },
                                             { needs: %i[one], shuts: %i[loose] }], [false, false, true]],
    'what follows a check' => [[{ gives: %i[bead] }, { needs: %i[bead], gives: %i[length], checkpoint: true }, { needs: %i[length] }],
      [true, false, false]],
    'what keeps a tool' => [[{ keeps: { 'bead_mat' => :laid_out }, gives: %i[laid_out] }, { shuts: %i[laid_out] }], [false, false]],
    'what is last of all' => [[{ last: true }], [false]],
    'what opens for something that hangs' => [[{ when_hung: true }], [false]],
    'what takes the rest' => [[{ takes_rest: true }], [false]]
  }.each do |name, (steps, expected)|
    it "says of #{name} whether it can be prepared" do
      made = steps.each_with_index.map { |rest, i| step("s#{i}", **rest) }
      expect(found(*made, &:preparable).values).to eq(expected)
    end
  end

  describe 'of every kind, in the demo and in ways that it has not' do
    let(:studio) { new_studio }
    let(:work_ups) do
      demo = studio.projects.newest.flat_map { |saved| saved.design.components }.map { |one|
        [one.construction, one.parameters, studio.catalogue.table] }
      more = KindSamples::ALL.flat_map { |kind, all| all.each_value.map { |data| [kind, data, KindSamples.table(self)] } }
      (demo + more).filter_map do |kind, data, table|
        built = Core::Construction::Kinds.fetch(kind).build(data, table)
        made = built.call(target: built.fill && mm(165), maker: Core::Making::Maker.new(measure: mm(165)))
        [kind, made] if made.is_a?(Core::Making::WorkUp)
      rescue Core::Making::InvalidParameters, Core::UnknownKey
        nil
      end
    end

    it 'gives what is needed, and all that is drawn' do
      expect(work_ups.map(&:first).uniq.size).to be > 20
      missing = work_ups.flat_map { |kind, made| described_class.new(made.steps).missing.map { |one| [kind, *one] } }
      drawn = work_ups.reject { |kind, made| kind == :findings || made.steps.empty? }.flat_map do |kind, made|
        (made.layout.map(&:brought_with).uniq - made.steps.flat_map(&:gives)).map { |fact| [kind, fact] }
      end
      expect([missing, drawn]).to eq([[], []])
    end

    it 'knows the step that closes or opens each end and each place' do
      lost = work_ups.flat_map do |kind, made|
        [*made.ends.values, *made.places].select { |one|
          (one.shut_with && !one.closing_step) || (one.opened_with && !one.opening_step)
        }.map { |one| [kind, one.item.key] }
      end
      expect(lost).to eq([])
    end
  end
end
