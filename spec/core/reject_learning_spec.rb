# frozen_string_literal: true

RSpec.describe Core::Logbook::RejectLearning do
  let(:bead) { sample_table.parts.fetch('round_8').with(tested: 20, rejected: 1) }

  def use(used, rejected, day, session = day.to_s)
    Core::Logbook::LotUse.new(part: bead.key, date: Date.new(2026, 5, day), used: used.to_f, rejected: rejected, session: session)
  end

  # By hand: 1 of 20 on the bench; since the lot came on the 10th, 40 used and 3 no good: (4 + 0.5) / (63 + 1).
  it 'counts what was tested and what classes used since the lot came' do
    uses = [use(500, 90, 9), use(25, 2, 10), use(15, 1, 20)]
    found = described_class.new({ bead.key => bead }, { bead.key => Date.new(2026, 5, 10) }).lessons(uses).first
    expect([found.about, found.number, found.seen, found.classes]).to eq([bead.key, 63.0, 4, 2])
    expect(found.value).to be_within(1e-9).of(4.5 / 64)
    expect([found.low, found.high]).to eq(Core::Logbook::ShareRange.of(4, 63.0))
  end

  it 'says nothing of a part of which none was no good, nor of one that is gone' do
    expect(described_class.new({ bead.key => bead }, {}).lessons([use(40, 0, 10)])).to eq([])
    expect(described_class.new({}, {}).lessons([use(40, 4, 10)])).to eq([])
  end

  it 'holds more spares back for a lot with many that are no good' do
    plan = ->(rejects) do
      Core::Planning::Plan.for(workshop: workshop, design: bracelet, attendees: (1..8).map { |key| attendee(key, 170) },
        table: sample_table, calibration: Core::Setup::Calibration.new(rejects: rejects))
    end
    usual = plan.({})
    need = usual.needs.find { |one| one.part.kind == :bead }
    spares = ->(one) { one.spares.find { |part, _| part == need.part }.last.shared }
    # One in five is no good: of n beads about n / 4 more are needed, and some for chance.
    expect(spares.(plan.(need.part.key => 0.2))).to be > need.count / 4
    expect(spares.(usual)).to be < need.count / 10
  end

  # 2 of 4 people came half way (2 of 4 steps each), one of them put aside a bead.
  it 'counts what people used as far as they came, and nothing where nobody wrote anything down' do
    plan = Core::Planning::Plan.for(workshop: workshop, design: bracelet, attendees: (1..3).map { |key| attendee(key, 170) },
      table: sample_table)
    key = plan.needs.find { |one| one.part.kind == :bead }.part.key
    event = ->(name, kind, person, at, detail = nil) {
      Core::Live::Event.new(key: name, kind: kind, at: 1_800_000_000 + at, person: person, detail: detail)
    }
    one_step = [event.('s', :start, nil, 0), event.('n1', :next, '1', 60), event.('n2', :next, '2', 60)]
    used = ->(taps) { Core::Logbook::PartsUsed.new(plan, Core::Live::LiveState.new(plan, taps)) }
    expect(Core::Logbook::LotUse.of(used.(one_step), workshop.date, 'a')).to eq([])
    bad = one_step + [event.('r', :reject, '1', 90, key)]
    found = Core::Logbook::LotUse.of(used.(bad), workshop.date, 'a').find { |one| one.part == key }
    by_hand = %w[1 2].map { |person| plan.person(person) }
      .sum { |one| one.needs.find { |need| need.part.key == key }.count.fdiv(one.tasks.size) }
    expect([found.rejected, found.used]).to match([1, be_within(1e-9).of(by_hand)])
    # What was no good was not lost.
    expect(Core::Logbook::Lost.of(used.(bad), 'a').sum(&:lost)).to eq(0)
  end
end
