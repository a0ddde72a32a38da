# frozen_string_literal: true

require 'eager_bench'
EagerBench.load(:demo)

RSpec.describe Core::Logbook::TimeLearning do
  let(:calibration) { Core::Setup::Calibration.new }
  let(:learning) { described_class.new(calibration) }

  def said(ratio, session: 'a', weight: 1.0)
    Core::Logbook::TimeSaid.new(technique: 'x', session: session, tries: 6, factor: Math.log(ratio), variance: 0.01, people: 4.0,
      weight: weight)
  end

  # Conjugate normal model with known variances, in closed form (Gelman et al., Bayesian Data Analysis, 2.5).
  [[1, 1.0], [3, 1.0], [3, 0.25]].each do |classes, weight|
    it "weighs #{classes} classes, each counting #{weight}, against what was known, as the closed form does" do
      precision = weight * classes / ((0.1**2) + (Math.log(1 + (calibration.between**2)) / 4) + 0.01)
      expected = precision * Math.log(1.5) / (precision + (1 / (0.3**2)))
      found = learning.lessons((1..classes).map { |k| said(1.5, session: k.to_s, weight: weight) }).first
      expect([found.number, found.classes, Math.log(found.value)]).to match([6 * classes, classes, be_within(1e-9).of(expected)])
      expect(Math.log(found.high / found.low)).to be_within(1e-9).of(2 * 1.2816 / Math.sqrt(precision + (1 / (0.3**2))))
    end
  end

  it('says nothing of what nobody tried') { expect(learning.lessons([])).to eq([]) }
end

RSpec.describe Core::Logbook::TimesOfClass do
  def tries(minutes, technique: 'x', **more)
    minutes.each_with_index.map { |one, i|
      Core::Logbook::TimeObservation.new(technique: technique, session: 'a', person: i.to_s, planned: 4.0, minutes: one, variance: 1.0,
        **more)
    }
  end

  def of(*tries)
    described_class.new(tries.flatten, 0.02)
  end

  # Sound tries alone: their mean on the scale of the logarithm, and the variance of it.
  it 'says of sound taps what their logarithms do' do
    minutes = [4.4, 5.0, 5.2, 5.9, 6.3]
    spread = Math.log(1 + (1.0 / 16))
    found = of(tries(minutes)).said.first
    expect(found.factor).to be_within(0.02).of((minutes.sum { |one| Math.log(one / 4) } / 5) + (spread / 2))
    expect([found.tries, found.people, found.variance]).to match([5, be_within(0.05).of(5), be_within(0.003).of(spread / 5)])
  end

  it 'is not pulled by taps that are off, says how many are, and tells less the more there are' do
    sound, off, many = [[5.0] * 8, ([5.0] * 7) + [95.0], ([5.0] * 8) + [9.5, 0.2, 11.0, -1.5]].map { |minutes| of(tries(minutes)) }
    expect([off, many].map { |one| one.said.first.factor - sound.said.first.factor }).to all(be_within(0.12).of(0))
    expect([sound, off, many].map(&:off)).to match([be < 0.05, be_between(0.06, 0.12), be_between(0.12, 0.4)])
    expect([sound, off, many].map { |one| one.said.first.variance }).to eq([sound, off, many].map { |one| one.said.first.variance }.sort)
  end

  # One tap of others shifts all who began by it.
  it 'leaves out what the taps of others tell where many are off' do
    wild = tries([5.0] * 4) + tries([9.0, 0.3, 12.0, -2.0, 15.0, 0.1], technique: 'y')
    regular, irregular = [of(tries([8.0] * 6, technique: 'z', by_others: true)), of(wild, tries([8.0] * 6, technique: 'z',
      by_others: true))]
    expect([regular, irregular].map { |one| one.said.map(&:technique) }).to eq([['z'], %w[x y]])
  end

  it 'says nothing where nothing was tried, and no class takes less than a tenth' do
    expect([of.said, of(tries([-3.0, -1.0])).said.first.factor]).to match([[], be >= Math.log(0.1)])
  end
end

RSpec.describe Core::Logbook::SpreadLearning do
  logs = [[0.31, 0.12, -0.05, 0.22, 0.18], [-0.20, -0.31, -0.02, -0.25, -0.11], [0.05, 0.14, -0.08, 0.02, 0.21],
          [0.40, 0.28, 0.35, 0.11, 0.30], [-0.15, 0.04, -0.22, -0.10, -0.30], [0.02, -0.12, 0.09, 0.16, -0.04]]
  let(:learning) { described_class.new(Core::Setup::Calibration.new) }

  def tries(logs, session: 'a', without: [])
    logs.each_with_index.flat_map { |own, person|
      own.each_with_index.filter_map { |log, technique|
        next if without.include?([person, technique])

        Core::Logbook::TimeObservation.new(technique: technique.to_s, person: person.to_s, session: session, planned: 1.0,
          minutes: Math.exp(log), variance: 0.05)
      }
    }
  end

  # R 4.2.2, lme4 1.1-31: VarCorr(lmer(y ~ technique + (1 | person))), restricted maximum likelihood. Where everyone tried everything both
  # are the same; with tries missing they come near each other.
  {
    [] => [0.02836700146, 0.01620299982, 1e-7],
    [[1, 2], [5, 0]] => [0.03344505776, 0.01507607865, 3e-3]
  }.each do |missing, (people, left, near)|
    it "finds what is between people and what is left as lme4 does, #{missing.size} tries missing" do
      found = described_class.seen([learning.sums(tries(logs, without: missing))])
      expect(found).to match([be_within(near).of(people), be_within(near).of(left)])
    end
  end

  it 'comes from memory to what was seen as more classes show it, and stays there where people are alike' do
    one, many = [1, 30].map { |n| learning.lesson((1..n).flat_map { |k| tries(logs, session: k.to_s) }) }
    expect([0.15, one.value, many.value, 0.170]).to eq([0.15, one.value, many.value, 0.170].sort)
    expect(many.high - many.low).to be < (one.high - one.low) / 2
    alike = (1..30).flat_map { |k| tries(logs.map { logs.first }, session: k.to_s) }
    expect(learning.lesson(alike).value).to be < 0.05
    expect([[], tries(logs.first(1)), tries(logs.map { |own| own.first(1) })].map { |few| learning.lesson(few) }).to eq([nil, nil, nil])
  end
end

RSpec.describe Core::Logbook::HelpLearning do
  # Gamma about 1, Poisson calls: 10 + 3 calls of 10 + 5 expected; R 4.2.2, qgamma(c(0.1, 0.9), 13) = 8.645943, 17.781586.
  it 'learns how likely a call is from calls against what was expected' do
    calls = { 'a' => [2.0, 1], 'b' => [3.0, 2] }.map { |session, (expected, called)|
      Core::Logbook::Calls.new(expected: expected, called: called, session: session)
    }
    found = described_class.new(Core::Setup::Calibration.new).lesson(calls)
    expect([found.seen, found.classes, found.value, found.low, found.high]).to match(
      [3, 2, be_within(1e-9).of(0.45 * 13 / 15), be_within(1e-3).of(0.45 * 8.645943 / 15), be_within(1e-3).of(0.45 * 17.781586 / 15)]
    )
  end
end

RSpec.describe Core::Logbook::VisitLearning do
  # By hand: as if five visits of 2.5 min, and ten of 4: (12.5 + 40) / 15; lognormal with sigma 0.5 varies by 0.533.
  it 'learns how long a visit takes, little from few' do
    visits = [6, 4].map { |number| Core::Logbook::Visits.new(number: number, minutes: number * 4.0, session: number.to_s) }
    found = described_class.new(Core::Setup::Calibration.new).lesson(visits)
    expect([found.number, found.classes, found.value]).to match([10, 2, be_within(1e-9).of(3.5)])
    expect((found.high - found.low) / 2).to be_within(1e-3).of(1.2816 * 3.5 * 0.53294 / Math.sqrt(15))
    expect(described_class.new(Core::Setup::Calibration.new).lesson([])).to be_nil
  end
end

RSpec.describe Core::Logbook::TrackRecord do
  it 'groups what was told, counts what came true, and gives the Brier score and the interval of Wilson' do
    record = described_class.new([[0.95, true], [0.92, true], [0.97, false], [0.91, true], [0.1, false], [0.2, false], [0.4, true],
      [0.6, true],
                                  [0.7, false], [0.8, true]])
    expect([record.size, record.enough?, described_class.new([[0.5, true]]).enough?]).to eq([10, true, false])
    expect(record.rows.map { |row| [row.classes, row.came] }).to eq([[2, 0], [1, 1], [2, 1], [1, 1], [4, 3]])
    # (0.0025 + 0.0064 + 0.9409 + 0.0081 + 0.01 + 0.04 + 0.36 + 0.16 + 0.49 + 0.04) / 10
    expect(record.brier).to be_within(1e-9).of(0.20579)
    # R 4.2.2: prop.test(3, 4, conf.level = 0.8, correct = FALSE)
    expect([record.rows.last.low, record.rows.last.high]).to match([be_within(1e-4).of(0.43253), be_within(1e-4).of(0.92192)])
  end
end

RSpec.describe Core::Logbook::Decay do
  it 'counts a class half after so many months, a quarter after twice as many, and alike where nothing is chosen' do
    today = Date.new(2026, 11, 27)
    fading = described_class.new(today: today, half_months: 12)
    weights = [0, 365, 730, -9].map { |days| fading.weight(today - days) }
    expect(weights).to match([1.0, be_within(0.01).of(0.5), be_within(0.01).of(0.25), 1.0])
    expect(described_class.new(today: today).weight(Date.new(2001, 1, 1))).to eq(1.0)
  end
end

# Studios whose truth is known: what is learnt from their classes against the paces they were made with.
RSpec.describe Core::Logbook::Learnt do
  let(:calibration) { Core::Setup::Calibration.new }

  def inputs(number)
    people = (1..6).map { |i| attendee(i, 150 + (i * 6), level: 2 + (i % 2)) }
    slow = sample_table.techniques.transform_values { |technique| technique.with(seconds: technique.key == 'stringing' ? 8 : 90,
      demonstration_minutes: 0) }
    Core::Planning::Inputs.new(workshop: workshop.with(key: "class #{number}"), design: bracelet, attendees: people,
      table: sample_table.with(techniques: slow))
  end

  def held(studio, number, calls: true)
    taps = studio.teach(inputs(number), run: number)
    Core::Logbook::HeldClass.of(inputs(number), calls ? taps : taps.reject { |tap| %i[hand helped].include?(tap.kind) })
  end

  it 'finds hidden paces, within the range told about 8 times in 10, and nearer than half of what was off before' do
    techniques = inputs(1).plan.people.flat_map(&:tasks).map { |task| task.technique.key }.uniq
    off = (1..6).flat_map do |seed|
      studio = Demo::HiddenStudio.draw(seed, techniques)
      classes = (1..3).map { |number| held(studio, (seed * 10) + number) }
      learnt = described_class.of(classes, calibration, Core::Logbook::Decay.new(today: nil))
      learnt.times.map { |lesson|
        truth = studio.paces.fetch(lesson.about)
        [truth.between?(lesson.low, lesson.high), Math.log(lesson.value / truth).abs, Math.log(truth).abs]
      }
    end
    expect(off.count(&:first).fdiv(off.size)).to be_between(0.7, 0.95)
    expect(off.sum { |one| one[1] }).to be < off.sum(&:last) / 2
  end

  # The simulator played back: what it adds to the work is taken out by the same model.
  it 'finds factors of 1 where all is as planned, also for tired people who wait for tools, help and looks' do
    tries = (1..12).flat_map { |number| held(Demo::HiddenStudio.new(paces: {}, between: 0.0), number).tries }
    ratios = tries.group_by(&:technique).transform_values { |same| same.sum(&:minutes) / same.sum(&:planned) }
    expect(ratios.values).to all(be_within(0.06).of(1.0))
    expect(tries.sum(&:minutes) / tries.sum(&:planned)).to be_within(0.03).of(1.0)
    expect(ratios.size).to be > 2
  end

  it 'says that taps came late or were forgotten, and learns nothing from steps that were tapped with longer ones' do
    studio = Demo::HiddenStudio.new(paces: {})
    taps = studio.teach(inputs(1))
    nexts = taps.select { |tap| tap.kind == :next }.group_by(&:person).values
    late = nexts.flat_map { |own| own.each_cons(2).select.with_index { |_, i| i.even? } }.to_h { |tap, after| [tap.key, after.at - 1] }
    forgotten = Core::Logbook::HeldClass.of(inputs(1), taps.map { |tap| late.key?(tap.key) ? tap.with(at: late[tap.key]) : tap })
    punctual = held(studio, 0)
    expect([punctual, forgotten].map { |one| one.summary.irregular }).to eq([false, true])
    expect(forgotten.tries.size).to be < punctual.tries.size
    # What shares its time with others is less sure than what was tapped alone.
    sure = punctual.tries.to_h { |try| [[try.technique, try.planned], try.variance] }
    more = forgotten.tries.filter_map { |try| (alone = sure[[try.technique, try.planned]]) && (try.variance - alone).round(9) }
    expect([more.min, more.max.positive?]).to eq([0.0, true])
    expect(forgotten.tries.map { |try| try.minutes / try.planned }.sum / forgotten.tries.size).to be_within(0.35).of(1.0)
  end

  it 'counts no look at a checkpoint as a call, and what was not finished not at all' do
    work = [false, true, false].map.with_index { |check, i|
      Core::Session::Model::Work.new(minutes: 4.0, help: 0.25, check: check, label: i.to_s)
    }
    model = Core::Session::Model.new(people: [Core::Session::Model::Person.new(key: '1', tasks: work)], tools: {}, demonstrations: [],
      helpers: 1, minutes: 60, sigmas: [0.0])
    counted = ->(helped) {
      person = Core::Live::LiveState::Person.new(key: '1', tasks: work, times: { 0 => [240], 1 => [240] }, helped: helped)
      Core::Logbook::Calls.of(model, instance_double(Core::Live::LiveState, people: { '1' => person }), 'a')
    }
    expect([counted.(1 => 30), counted.(0 => 90).called, counted.(0 => 90).expected]).to eq([nil, 1, 0.25])
  end

  it 'adds what someone did to what they had done before, up to five times a class' do
    plan = inputs(1).plan
    before = plan.people.first.attendee
    known = before.with(experience: { 'measuring' => Core::People::Experience.new(times: 2, last: Date.new(2026, 1, 1)) })
    again = inputs(1).with(attendees: [known]).plan
    once, twice = [plan, again].map { |one|
      Core::Logbook::ExperienceGained.after(one, Core::Live::LiveState.new(one, [])).first.experience
    }
    expect(twice['measuring'].times - once['measuring'].times).to eq(2)
    expect(once.transform_values(&:times).values.max).to eq(5)
  end

  it 'reads a class as it went: who called, what was lost, how long pieces came out, whether all were in time; nothing else' do
    studio = Demo::HiddenStudio.new(paces: {}, losses: { 'crimp' => 0.4 }, help: 0.9, longer: 6.0)
    told = held(studio, 1)
    expect(told.calls.first.called).to be > told.calls.first.expected
    expect(told.lost.find { |one| one.kind == :crimp }.lost).to be_positive
    expect(told.came_out.sum(&:by) / told.came_out.size).to be_within(2.5).of(6.0)
    expect([told.people, told.came_true, told.told]).to match([6, true, be > 0.9])
    quiet = held(Demo::HiddenStudio.new(paces: {}), 1, calls: false)
    expect([quiet.calls, quiet.lost, quiet.came_out]).to eq([[], [], []])
    unknown = Core::Logbook::HeldClass.of(inputs(1), studio.teach(inputs(1)).reject { |tap| tap.kind == :next })
    expect(unknown.came_true).to be_nil
  end

  # The class begins at 18:30 and lasts two hours.
  { [nil, nil] => nil, ['20:30', nil] => true, ['20:31', nil] => false, ['20:10', 2] => false, [nil, 0] => true, [nil, 1] => false }
    .each do |(ended, unfinished), in_time|
    it "takes #{ended || 'no time'} and #{unfinished || 'nothing'} of who did not finish for #{in_time.inspect}" do
      note = Core::Setup::Note.new(ended: Core::Measure::ClockTime.parse(ended.to_s), unfinished: unfinished)
      evening = workshop.with(start: Core::Measure::ClockTime.parse('18:30'), minutes: 120, note: note)
      expect(note.in_time?(evening)).to eq(in_time)
    end
  end

  it 'leaves out a class that is not to teach, also in what was told' do
    studio = Demo::HiddenStudio.new(paces: { 'stringing' => 2.0 })
    all = [held(studio, 1), held(studio, 2).with(teaches: false)]
    learnt = described_class.of(all, calibration, Core::Logbook::Decay.new(today: nil))
    expect([learnt.times.map(&:classes).uniq, learnt.record.size]).to eq([[1], 1])
  end
end

RSpec.describe Core::Logbook::LengthObservation do
  it('counts in full until it fades') { expect(described_class.new(project: 'x', by: 0.0, session: 'a').weight).to eq(1.0) }
end

RSpec.describe Core::Logbook::HeldClass do
  # Of two people: nobody tapped, one finished and the other unknown, both finished in time, both too late.
  {
    [[], []] => nil,
    [[0], []] => false,
    [[0], [0]] => true,
    [[0], [200]] => false
  }.each do |minutes, came_true|
    it "says #{came_true.inspect} of finishes at #{minutes}" do
      people = minutes.each_with_index.map do |ends, i|
        Core::Live::LiveState::Person.new(key: i.to_s, tasks: [:one], place: ends.size, times: ends.empty? ? {} : { 0 => ends },
          since: ends.empty? ? nil : 600 + (ends.first * 60))
      end
      evening = Struct.new(:people, :started).new(people.to_h { |person| [person.key, person] }, 0)
      model = Struct.new(:clearing, :minutes).new(10, 120)
      expect(described_class.send(:came_true, model, evening)).to eq(came_true)
    end
  end
end

RSpec.describe Core::Logbook::Attendance do
  # Wilson's interval by hand for 3 of 30: (3 + 0.8212) / (30 + 1.6424) ± 1.2816 √(2.7 + 0.4106) / 31.6424.
  it 'says how many of those who signed up stay away, and how late classes begin in the middle' do
    held = [[10, 9, 4.0], [12, 11, 9.0], [8, 7, 2.0], [0, 5, nil]].map do |signed_up, people, late|
      Core::Logbook::HeldClass.new(session: 's', date: Date.new(2026, 12, 1), people: people, signed_up: signed_up, late: late)
    end
    found = described_class.of(held)
    expect([found.signed_up, found.came, found.missing, found.enough?, found.usual_delay]).to eq([30, 27, 3, true, 4.0])
    expect(found.range).to match([be_within(0.001).of(0.0493), be_within(0.001).of(0.1922)])
    few = described_class.of(held.first(1))
    expect([few.enough?, described_class.of([]).usual_delay]).to eq([false, nil])
  end

  it 'knows who was to come and when it began by what was tapped' do
    inputs = Core::Planning::Inputs.new(workshop: workshop, design: bracelet, attendees: [attendee(1, 165), attendee(2, 170)],
      table: sample_table)
    day = Time.local(2026, 12, 3, 18, 30).to_i
    told = [day + 360, day + 7200].map do |began|
      taps = [[:absent, '2', began - 60], [:start, nil, began], [:next, '1', began + 90]].map { |kind, person, at|
        Core::Live::Event.new(key: "#{kind}#{at}", kind: kind, at: at, person: person) }
      Core::Logbook::HeldClass.of(inputs, taps).then { |one| [one.signed_up, one.people, one.late] }
    end
    expect(told).to eq([[2, 1, 6.0], [2, 1, nil]])
  end
end
