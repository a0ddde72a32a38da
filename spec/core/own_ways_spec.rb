# frozen_string_literal: true

RSpec.describe Core::Planning::OwnWays do
  let(:table) { sample_table }
  let(:people) { [[1, 1], [2, 2], [3, 3], [4, 4]].map { |key, level| attendee(key, 165 + key, level: level) } }

  def plan(ways, design: bracelet)
    own = workshop.with(teaching: Core::Setup::TeachingSettings.new(ways: ways))
    Core::Planning::Plan.for(workshop: own, design: design, attendees: people, table: table)
  end

  def techniques(plan)
    plan.people.to_h { |one| [one.attendee.key, one.piece.steps.map(&:technique).uniq & %w[flat_crimp folded_crimp]] }
  end

  # A person before a level, few levels before more; what the design has no place for is left out.
  {
    ['to-2 front/school/folded'] => { '1' => :folded, '2' => :folded, '3' => :flat, '4' => :flat },
    ['to-2 front/school/folded', 'person-1 front/school/flat'] => { '1' => :flat, '2' => :folded, '3' => :flat, '4' => :flat },
    ['to-3 front/school/flat', 'to-1 front/school/folded'] => { '1' => :folded, '2' => :flat, '3' => :flat, '4' => :flat },
    ['person-9 front/school/folded', 'to-5 back/school/folded', 'to-5 front/school/no', 'nonsense'] =>
      { '1' => :flat, '2' => :flat, '3' => :flat, '4' => :flat }
  }.each do |ways, expected|
    it "takes #{ways.join(', ')}" do
      flat = Core::Project::Edit.new(bracelet).set('front', { 'school' => 'flat' })
      expect(techniques(plan(ways, design: flat))).to eq(expected.transform_values { |way| ["#{way}_crimp"] })
    end
  end

  it 'stays one plan: each kit, step and minute is that of the version worked by itself' do
    flat = Core::Project::Edit.new(bracelet).set('front', { 'school' => 'flat' })
    folded = Core::Project::Edit.new(bracelet).set('front', { 'school' => 'folded' })
    mixed, all_flat, all_folded = plan(['to-2 front/school/folded'], design: flat), plan([], design: flat), plan([], design: folded)
    %w[1 2].each { |key| expect(mixed.person(key).needs).to eq(all_folded.person(key).needs) }
    %w[3 4].each { |key| expect(mixed.person(key).needs).to eq(all_flat.person(key).needs) }
    expect(mixed.people.map(&:working_minutes)).to eq([*all_folded.people.first(2), *all_flat.people.last(2)].map(&:working_minutes))
    expect(mixed.needs).to eq(Core::Materials::Need.sum(mixed.people.flat_map(&:needs)))
    expect(mixed.order.steps.map(&:technique)).to include('flat_crimp')
    own = mixed.own_steps.select { |step, _| step.technique == 'folded_crimp' }
    expect(own.map { |_, who| who.map(&:key) }.uniq).to eq([%w[1 2]])
    expect(mixed.techniques.map(&:key)).to include('flat_crimp', 'folded_crimp')
    # Nobody lacks a technique that is not theirs.
    lacking = mixed.readiness.people.to_h { |one| [one.attendee.key, one.lacking.map { |lack| lack.technique.key }] }
    expect(lacking.slice('3', '4').values.flatten).not_to include('folded_crimp')
    expect(lacking.fetch('1')).to include('folded_crimp')
  end

  it 'puts a new choice of the same people in place of the one before' do
    cure = Core::Fit::Cures::SetWay.new('front', :school, :flat)
    both = [cure, Core::Fit::Cures::SetWay.new('front', :start, :first_end)]
    expect(described_class.choosing(['to-2 front/school/folded', 'to-2 front/tails/buried'], 'to-2', both)).to eq(
      ['to-2 front/tails/buried', 'to-2 front/school/flat', 'to-2 front/start/first_end']
    )
    texts = ['to-2 front/school/folded', 'to-3 front/school/folded', 'to-2 front/start/middle']
    expect(described_class.choosing(texts, 'to-2', [cure])).to eq(
      ['to-3 front/school/folded', 'to-2 front/start/middle', 'to-2 front/school/flat']
)
  end
end
