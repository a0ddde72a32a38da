# frozen_string_literal: true

RSpec.describe Core::Advice::Choices do
  let(:covers) { [part('cover_4', 4, kind: :cover, hole: mm(3)), part('cover_5', 5, kind: :cover, hole: mm(4)),
                  part('tight', 2, kind: :cover, hole: mm(1))] }
  let(:table) { sample_table.with(parts: sample_table.parts.except('cover').merge(covers.to_h { |one| [one.key, one] })) }
  let(:beginner) { attendee(1, 170, level: 1) }
  let(:plan) do
    Core::Planning::Plan.for(workshop: workshop, design: bracelet, attendees: [beginner, attendee(2, 180, level: 5)], table: table)
  end
  let(:calibration) { Core::Setup::Calibration.new }
  let(:choices) { described_class.new(plan, Core::Advice::Remedies.new(plan, table), calibration).for(beginner) { true } }

  def way(parameter, name)
    choices.find { |choice| choice.parameter == parameter }.ways.find { |one| one.name == name }
  end

  # By hand: two covers of 4 mm stand where crimps of 2 mm stood, so the bracelet is 4 mm larger, or 4 mm less one repeat of 16 mm
  # (two rounds, mirrored); the smallest cover with room for the crimp is taken; each cover is one step of the technique.
  it 'works out what a cover over each crimp changes' do
    found = way(:school, :covered)
    minutes = Core::Steps::StepTime.new(calibration, on: plan.workshop.date)
    cover = Core::Making::StepUse.new(key: 'x', technique: 'crimp_cover', repeats: 2, text: :x)
    expect([found.inside.to_mm, found.parts.fetch(table.part('cover_4'))]).to match([be_within(0.5).of(4).or(be_within(0.5).of(-12)), 2])
    expect(found.minutes).to be_within(0.01).of(minutes.minutes(cover, table.technique('crimp_cover'), beginner)) if found.inside.positive?
    expect(found.fresh.map(&:key)).to eq(%w[crimp_cover])
    expect(found.cure.apply(bracelet).component('front').parameters).to include('school' => 'covered', 'cover' => 'cover_4')
  end

  it 'asks nothing that says nothing: when a tail is snipped, where no cover goes on' do
    expect(choices.map(&:parameter)).to include(:school, :tails).and(satisfy { |asked| !asked.intersect?(%i[snip lines_in]) })
  end

  it 'tells the way that is planned first, and leaves out what nothing is there for' do
    names = choices.find { |choice| choice.parameter == :school }.ways.map { |one| [one.name, one.chosen] }
    expect(names.first).to eq([:flat, true])
    expect(names.map(&:first)).to include(:folded, :covered).and(satisfy { |all| !all.intersect?(%i[clamshell clamshell_knot]) })
    expect(choices.flat_map(&:ways).count(&:chosen)).to eq(choices.size)
  end

  # Buried, a tail passes the first beads twice: two lines of 0.38 need 0.81, and a hole of 0.5 takes one.
  it 'says what a way would make go wrong' do
    narrow = table.with(parts: table.parts.merge('round_8' => part('round_8', 8, hole: mm(0.5))))
    tight = Core::Planning::Plan.for(workshop: workshop, design: bracelet, attendees: [beginner], table: narrow)
    found = described_class.new(tight, Core::Advice::Remedies.new(tight, narrow), calibration).for(beginner) { |_, name| name == :tails }
    expect(found.map(&:parameter)).to eq([:tails])
    expect(found.first.ways.find { |one| one.name == :buried }.wrong.map(&:rule)).to eq([:lines_through_hole])
  end

  it('knows a technique that the person knows') { expect(way(:school, :folded).fresh.map(&:key)).to eq(%w[folded_crimp]) }
end
