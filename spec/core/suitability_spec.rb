# frozen_string_literal: true

RSpec.describe Core::Comparison::Suitability do
  let(:people) { (1..6).map { |i| attendee(i, 150 + (i * 8), level: 2) } }

  def of(changed = {}, design: bracelet, minutes: 240, attendees: people, table: sample_table)
    inputs = Core::Planning::Inputs.new(workshop: workshop.with(minutes: minutes), design: design, attendees: attendees, table: table)
    described_class.of(inputs, design.with(**changed), Core::Supply::Market.new, Core::Supply::Stock.new)
  end

  def plain(**facts)
    described_class.new(key: 'x', name: 'x', body: :wrist, level: 1, techniques: [], target: 90, chance: 0.95, **facts)
  end

  it 'says what the plan and its forecast say' do
    found = of
    expect([found.reason, found.status, found.chance, found.level, found.short.positive?]).to eq([:good, :fits, 1.0, 2, true])
    expect(found.techniques).to include('stringing')
    expect(of(minutes: 35).reason).to eq(:too_long)
  end

  # The same project as now keeps what was chosen for it, so that it comes out as its plan does.
  it 'keeps order and prepared steps of the project that is planned now, and drops them for another' do
    prepared = workshop.with(minutes: 240, teaching: Core::Setup::TeachingSettings.new(prepared: { 'front/cut' => :all }))
    inputs = Core::Planning::Inputs.new(workshop: prepared, design: bracelet, attendees: people, table: sample_table)
    asked = []
    allow(Core::Session::Forecast).to(receive(:for).and_wrap_original do |own, plan, *rest, **more|
      (asked << plan.workshop.teaching.prepared.size) && own.call(plan, *rest, **more)
    end)
    [bracelet, bracelet.with(key: 'other')].each { |one| described_class.of(inputs, one, Core::Supply::Market.new,
      Core::Supply::Stock.new) }
    expect(asked).to eq([1, 0])
  end

  it 'names whom it harms, whom no size fits and what cannot be built' do
    allergic = attendee(9, 170, needs: Core::People::Needs.new(allergies: [:nickel]))
    parts = sample_table.parts.merge('crimp' => sample_table.part('crimp').with(nickel_free: false))
    expect(of(attendees: [*people, allergic], table: sample_table.with(parts: parts))).to have_attributes(reason: :harms,
      harmed: { 'Person 9' => [:nickel] })
    expect(of(design: bracelet(centre: pattern(['round_12', 15])), attendees: [attendee(1, 120)])).to have_attributes(reason: :no_size,
      unfitted: ['Person 1'])
    expect(of({ components: [] })).to have_attributes(reason: :cannot_be_built, chance: nil)
  end

  # The gravest first.
  {
    { problem: 'no such part', unfitted: ['A'] } => :cannot_be_built,
    { unfitted: ['A'], harmed: { 'A' => [:nickel] } } => :no_size,
    { harmed: { 'A' => [:nickel] }, wrong: 1 } => :harms,
    { wrong: 1, chance: 0.0 } => :does_not_go_together,
    { chance: 0.44 } => :too_long,
    { chance: nil } => :too_long,
    { chance: 0.46, new_to_most: %w[a b c] } => :heavy,
    { chance: 0.46 } => :tight,
    { unsure: { 'A' => [:nickel_unknown] } } => :unsure,
    {} => :good
  }.each do |facts, reason|
    it("is #{reason} with #{facts}") { expect(plain(**facts).reason).to eq(reason) }
  end

  it 'sorts what can be taught first, then by chance, lack, purchases and price' do
    price = Core::Money.new(minor: 900, currency: 'EUR')
    rows = [plain(name: 'harms', harmed: { 'A' => [:nickel] }), plain(name: 'tight', chance: 0.6),
      plain(name: 'lacking', lacking: { 'A' => ['x'] }), plain(name: 'to buy', short: 3),
            plain(name: 'cheap', seat: price), plain(name: 'dear', seat: price * 2)]
    expect(rows.shuffle(random: Random.new(2)).sort_by(&:rank).map(&:name)).to eq(['cheap', 'dear', 'to buy', 'lacking', 'tight', 'harms'])
  end
end
