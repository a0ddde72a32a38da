# frozen_string_literal: true

require 'tsort'

RSpec.describe Core::Planning::Plan do
  # Two people of one size and a third: the class hears a range, the third their own numbers.
  it 'tells a step that people differ in with its range, and gives everyone their own numbers' do
    plan = plan_for(bracelet, [attendee(1, 150), attendee(2, 150), attendee(3, 200)])
    look = plan.steps.find { |planned| planned.step.key == 'front/check_length' }
    own = plan.people.map { |person| person.tasks.find { |task| task.step.key == 'front/check_length' }.step.values }
    beads = own.map { |values| values[:beads] }
    expect(look.step.values[:beads]).to eq(Core::FromTo.new(least: beads.min, most: beads.max))
    expect(look.numbers.map { |attendee, numbers| [attendee.key, numbers[:beads]] }).to eq([['1', beads[0]], ['2', beads[0]],
      ['3', beads[2]]])
    expect([beads.uniq.size, plan.steps.reject { |planned| planned.numbers.empty? }.size]).to match([2, be > 1])
    alike = plan_for(bracelet, [attendee(1, 150), attendee(2, 150)])
    expect(alike.steps.map(&:numbers).uniq).to eq([{}])
  end

  let(:people) { (1..24).map { |i| attendee(i, 120 + (i * 7), level: 1 + (i % 5)) } }
  let(:plan) { plan_for(bracelet(centre: pattern('round_12')), people) }

  it 'conserves: the class is exactly the sum of its people' do
    plan.needs.each { |need|
      expect(need.count).to eq(plan.people.sum { |p|
        p.needs.find { |n|
          n.part == need.part
        }.count
      })
    }
    expect(plan.line_totals.values.first).to eq(Core::Measure::Length.sum(plan.people.flat_map { |p|
      p.cuts.map(&:total)
    }))
  end

  it 'draws exactly the beads it counts' do
    plan.people.each do |person|
      drawn = person.piece.layout.count { |shape| shape.item.is_a?(Core::Catalogue::Part) && shape.item.bead? }
      expect(drawn).to eq(person.needs.sum { |need| need.part.bead? ? need.count : 0 })
    end
  end

  it 'makes a pair out of twice the parts, cuts and minutes' do
    single, pair = [1, 2].map { |made| plan_for(bracelet.with(made: made), [attendee(1, 170)]).people.first }
    expect(pair.needs.map(&:count)).to eq(single.needs.map { |n| n.count * 2 })
    expect(pair.cuts.map(&:count)).to eq([2])
    expect(pair.working_minutes).to be_within(1e-9).of(single.working_minutes * 2)
  end

  it 'reads a colourway as other parts in the same roles' do
    design = bracelet.with(colourways: { 'small' => { 'round_8' => 'round_6' } })
    needs = plan_for(design, [attendee(1, 170, colourway: 'small')]).needs.map { |n| n.part.key }
    expect(needs).to include('round_6')
    expect(needs).not_to include('round_8')
  end

  # TSort is Ruby's own.
  it 'orders steps as a topological sort, the easiest ready technique first' do
    steps = plan.people.first.piece.steps
    order = plan.steps.map { |s| s.step.key }
    each_child = ->(key, &block) { steps.find { |s| s.key == key }.after.each(&block) }
    expect(TSort.tsort(->(&block) { steps.map(&:key).each(&block) }, each_child)).to match_array(order)
    steps.each { |step| step.after.each { |before| expect(order.index(before)).to be < order.index(step.key) } }
    expect(plan.steps.first.technique.level).to eq(1)
  end

  it 'names the steps that wait for each other' do
    loop_of = [%w[a b], %w[b a]].map { |key, after| Core::Making::StepUse.new(key: key, technique: 'ring', repeats: 1, text: :x,
      after: [after]) }
    expect { Core::Steps::StepOrder.of(loop_of, sample_table) }.to raise_error(Core::Steps::StepOrder::Cycle, /a, b/)
  end

  it 'adds up each clock without gaps: welcome, own work at the pace of the level, demonstrations, clearing up' do
    row = plan.timetable.rows['5']
    expect(row.each_cons(2).map { |a, b| b.from - a.to }).to all(eq(0))
    person = plan.person('5')
    watched = person.tasks.map { |t|
      t.technique.key
    }.uniq.sum { |key| sample_table.technique(key).demonstration_minutes }
    expect(row.last.to).to be_within(1e-9).of(10 + person.working_minutes + watched + 10)
    flat = Core::Setup::Calibration.new(pace: (1..5).to_h { |level| [level, 1.0] })
    paces = (1..5).map { |level|
      [{}, { calibration: flat }].map { |rest|
        plan_for(bracelet, [attendee(1, 170, level: level)], **rest).people.first.working_minutes
      }.reduce(:/).round(3)
    }
    # Pace by level, from memory: 2.2, 1.6, 1.25, 1.0, 0.8.
    expect(paces).to eq([2.2, 1.6, 1.25, 1.0, 0.8])
  end

  it 'shares tools at the usual ratio, takes off what is brought, and says what is missing' do
    people = [*(1..4).map { |i| attendee(i, 170) }, attendee(5, 170, brings: %w[pliers])]
    tools = Core::Planning::Plan.for(workshop: workshop.with(tool_sets: 3), design: bracelet, attendees: people,
      table: sample_table).tools
    found = tools.to_h { |t| [t.tool.key, [t.needed, t.brought, t.on_hand, t.missing]] }
    expect(found).to eq('pliers' => [10, 2, 6, 2], 'cutters' => [3, 0, 2, 1])
  end

  {
    [] => { people: :unknown },
    [[1, nil]] => { sizes: :unknown },
    [[1, 90]] => { sizes: :will_not },
    [[1, 170], [2, 165]] => { sizes: :fits, time: :awaited }
  }.each do |list, expected|
    it "judges #{list} as #{expected}" do
      verdicts = Core::Advice::Verdicts.new(plan_for(bracelet(centre: pattern(['round_12', 9])), list.map { |key, wrist|
        attendee(key, wrist)
      })).call
      expect(verdicts.to_h { |v| [v.code, v.status] }).to include(expected)
    end
  end

  it 'counts an allergy by people, apart from joins' do
    allergic = Core::People::NeedsReader.read('allergic to nickel')
    verdicts = [[], [1], [1, 2]].map do |keys|
      people = (1..3).map { |key| attendee(key, 170, **(keys.include?(key) ? { needs: allergic } : {})) }
      Core::Advice::Verdicts.new(plan_for(bracelet, people)).call.to_h { |one| [one.code, [one.status, one.values[:number], one.subjects]] }
    end
    expect(verdicts.map { |one| one[:fit] }.uniq.size).to eq(1)
    expect(verdicts.map { |one| one[:needs] }).to eq([nil, [:unknown, 1, %w[1]], [:unknown, 2, %w[1 2]]])
  end

  it 'plans people without a measure at the size set for them, at the middle of the group, or at a usual one' do
    sizes = ->(shop, *wrists) {
      plan_for(bracelet, wrists.each_with_index.map { |wrist, i|
        attendee(i, wrist)
      }, workshop: shop).people.select(&:assumed).map { |person| person.measure.to_mm }
    }
    expect([sizes.(workshop, 150, 190, nil, 160),
            sizes.(workshop, nil),
            sizes.(workshop.with(assumed_size: mm(155)), 190, nil)]).to eq([[160], [170], [155]])
  end
end

RSpec.describe Core::Steps::Ladder do
  def techniques(**needs)
    needs.to_h { |key, (level, *before)| [key.to_s, Core::Catalogue::Technique.new(key: key.to_s, name: key.to_s, level: level,
      seconds: 1, prerequisites: before)] }
  end

  it 'stands techniques on their levels, each after what it needs there' do
    rungs = described_class.new(techniques(z: [1], a: [1, 'z'], m: [2, 'a'])).rungs
    expect(rungs.map { |rung| rung.map(&:key) }).to eq([%w[z a], %w[m], [], [], []])
  end

  it 'keeps together what stands on each other in a level, apart what stands alone, and knows all that leads to one' do
    ladder = described_class.new(techniques(z: [1], a: [1, 'z'], k: [1], m: [2, 'a'], o: [2]))
    expect(ladder.families.map { |families| families.map { |one| one.map(&:key) } }).to eq([[%w[z a]], [%w[m]], [], [], []])
    expect([ladder.alone.map(&:key), ladder.way_to('m').to_a.sort, ladder.way_to('none').to_a]).to eq([%w[k o], %w[a m z], []])
  end

  {
    { a: [1], b: [2, 'a'] } => nil,
    { a: [1, 'b'], b: [1, 'a'] } => :cycle,
    { a: [1, 'a'] } => :cycle,
    { a: [3], b: [2, 'a'] } => :prerequisite_above,
    { a: [1, 'gone'] } => nil
  }.each do |needs, code|
    it("finds #{code.inspect} in #{needs}") { expect(described_class.new(techniques(**needs)).problem&.code).to eq(code) }
  end
end

RSpec.describe Core::Planning::Fittings do
  it 'fits each piece once, for as many plans as are made of the same design, and forgets the oldest' do
    table = sample_table
    inputs = Core::Planning::Inputs.new(workshop: workshop, design: bracelet, table: table,
      attendees: [attendee(1, 165), attendee(2, 175), attendee(3, 165)])
    kept = described_class.new(inputs.design, table)
    first = inputs.plan(kept)
    second = inputs.with(attendees: inputs.attendees + [attendee(4, 190)]).plan(kept)
    expect(first.people.map { |one| one.piece.object_id }.uniq.size).to eq(2)
    expect(second.people.first(3).zip(first.people).map { |after, before| after.piece.equal?(before.piece) }).to all(be(true))
    expect(second.needs).to eq(inputs.with(attendees: inputs.attendees + [attendee(4, 190)]).plan.needs)
    (1..described_class::MOST).each { |i| kept.fit(nil, mm(140.05 + (i * 0.1)), mm(13), Core::Making::Maker.new) }
    expect(inputs.plan(kept).people.first.piece).to eq(first.people.first.piece)
    expect(inputs.plan(kept).people.first.piece).not_to equal(first.people.first.piece)
  end
end
