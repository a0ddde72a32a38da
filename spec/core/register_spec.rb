# frozen_string_literal: true

RSpec.describe Core::People::Register do
  def known(*classes)
    described_class.of(classes.each_with_index.map { |people, i| [i + 1, "Class #{i + 1}", Date.new(2026, 1, 1) + (i * 30), people] })
  end

  it 'takes one name for one person, as they were last, with older measures beside it' do
    old = attendee(1, 160).with(name: 'Ada  Moor', measures: { wrist: mm(160), neck: mm(360) })
    found = known([old], [attendee(7, 165).with(name: 'ada moor', level: 4)])
    expect(found.map { |one| [one.name, one.attendee.level, one.attendee.measures, one.visits.map(&:class_id)] })
      .to eq([['ada moor', 4, { wrist: mm(165), neck: mm(360) }, [2, 1]]])
  end

  it 'tells two of one name in one class apart' do
    expect(known([attendee(1, 150).with(name: 'Kit'), attendee(2, 190).with(name: 'Kit')]).map(&:name)).to eq(['Kit', 'Kit (2)'])
  end

  describe Core::Logbook::ExperienceGained do
    let(:plan) { Core::Planning::Inputs.new(workshop: workshop, design: bracelet, attendees: [attendee(1, 165), attendee(2, 175)],
      table: sample_table).plan }

    def after(*events)
      described_class.after(plan, Core::Live::LiveState.new(plan, events))
    end

    def event(key, kind, **rest)
      Core::Live::Event.new(key: key, kind: kind, at: 1_800_000_000, **rest)
    end

    it 'counts what was planned where nothing was tapped, and else what was done, at most five times a class' do
      expect(after.map { |one| one.experience['stringing'].times }).to eq([5, 5])
      tapped = after(event('a', :start), event('b', :next, person: '1'))
      expect(tapped.map { |one| one.experience.size }).to eq([1, 0])
      expect(after(event('a', :start), event('b', :absent, person: '2')).last.experience).to eq({})
      expect(after(event('a', :start), event('b', :finished, person: '2')).last.experience.keys)
        .to match_array(plan.people[1].tasks.map { |task| task.technique.key }.uniq)
    end
  end
end
