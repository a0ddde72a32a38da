# frozen_string_literal: true

RSpec.describe Core::Session do
  let(:model_class) { Core::Session::Model }

  def work(minutes, **rest)
    Core::Session::Model::Work.new(minutes: minutes, **rest)
  end

  # @param people [Array<Array<Work>>]
  def model(people, begins: [], **rest)
    made = people.each_with_index.map { |tasks, i| Core::Session::Model::Person.new(key: (i + 1).to_s, tasks: tasks,
      begins: begins[i] || 0.0) }
    Core::Session::Model.new(people: made, tools: {}, demonstrations: [], helpers: 1, minutes: 120, **rest)
  end

  def run(model, replication = 0, seed: 1)
    Core::Session::Engine.new(model).run(Core::Session::RandomStreams.of(model, seed).at(replication))
  end

  def spent(engine, kind)
    engine.spent[Core::Session::Engine::KINDS.index(kind)]
  end

  def mean_and_error(values)
    mean = values.sum / values.size
    [mean, Math.sqrt(values.sum { |value| (value - mean)**2 } / (values.size - 1) / values.size)]
  end

  def exponential(rng, mean)
    -mean * Math.log(1 - rng.rand)
  end

  # A demonstration-rich class of twelve with everything in it.
  let(:full) do
    tasks = ->(level) {
      (0..9).map { |s|
        work(2.0 + s, sigma: 0, tools: { 't' => 1 }, help: 0.3 / level, check: s == 5, slot: s, demonstration: { 0 => 0, 4 => 1 }[s])
      }
    }
    model((0...12).map { |i|
      tasks.(1 + (i % 3))
    }, tools: { 't' => 9 }, sigmas: [0.3], between: 0.2, late_share: 0.3, late_minutes: 5.0,
      pauses: [Core::Session::Model::Pause.new(from: 40.0, minutes: 10.0)],
      demonstrations: [Core::Session::Model::Demonstration.new(minutes: 4.0, quorum: 12),
      Core::Session::Model::Demonstration.new(minutes: 5.0, quorum: 6, alone: 2.0)], clearing: 5.0)
  end

  describe 'how times spread' do
    # NIST/SEMATECH e-Handbook of Statistical Methods, table of the standard normal distribution.
    { 0.5 => 0.0, 0.9 => 1.281552, 0.975 => 1.959964, 0.999 => 3.090232, 0.0001 => -3.719016 }.each do |share, z|
      # Back through the complementary error function of the C library.
      it "has #{z} at #{share} of the normal distribution, exact to the last digits" do
        found = Core::Session::Spread.normal(share)
        expect([found, 0.5 * Math.erfc(-found / Math.sqrt(2))]).to match([be_within(1e-6).of(z), be_within(share * 1e-14).of(share)])
      end
    end

    it 'has the mean and deviation of a three-point estimate' do
      mean, deviation = Core::Session::Spread.pert(4, 6, 14)
      expect([mean, deviation]).to eq([7.0, 10 / 6.0])
      table = Core::Session::Spread.table(Core::Session::Spread.sigma(mean, deviation))
      expect(table.sum / table.size).to be_within(1e-9).of(1)
      expect(Math.sqrt(table.sum { |value| (value - 1)**2 } / table.size)).to be_within(0.003).of(deviation / mean)
    end
  end

  describe 'repeats' do
    # The usual 80 % table: units 1, 0.8, 0.7021, 0.64, 0.5956, 0.5617, 0.5345, 0.512; eight together 5.346.
    { 1 => 1.0, 2 => 1.8, 4 => 3.1421, 8 => 5.3459 }.each do |count, sum|
      it("take #{sum} times the first for #{count} at 80 %") {
        expect(Core::Steps::StepTime.cumulative(count, 0, Core::Steps::StepTime.exponent(0.8))).to be_within(2e-4).of(sum)
      }
    end

    it 'take less for who knows the technique, and longer in poor light' do
      technique = Core::Catalogue::Technique.new(key: 'x', name: 'x', level: 2, seconds: 60)
      step = Core::Making::StepUse.new(key: 's', technique: 'x', repeats: 4, text: :x)
      known = { 'x' => Core::People::Experience.new(times: 20) }
      times = ->(person, **rest) {
        Core::Steps::StepTime.new(Core::Setup::Calibration.new, on: Date.new(2026, 12, 3), **rest).minutes(step, technique, person)
      }
      fresh = attendee(1, 170, level: 1)
      expect(times.(attendee(1, 170, level: 1, experience: known))).to be < times.(fresh)
      expect(times.(fresh, poor_light: true)).to be_within(1e-9).of(times.(fresh) * 1.1)
    end

    # The pace of a level holds for what is known well, so that a level counts once; from the tenth repeat on nobody gets faster.
    it 'take pace times base time for who knows the technique, however many, and more only for the first ten of others' do
      technique = Core::Catalogue::Technique.new(key: 'x', name: 'x', level: 5, seconds: 60)
      step = ->(repeats) { Core::Making::StepUse.new(key: 's', technique: 'x', repeats: repeats, text: :x) }
      times = Core::Steps::StepTime.new(Core::Setup::Calibration.new, on: Date.new(2026, 12, 3))
      sure = attendee(1, 170, level: 1, experience: { 'x' => Core::People::Experience.new(times: 200) })
      fresh = attendee(2, 170, level: 1)
      expect([1, 10, 100].map { |repeats| times.minutes(step.(repeats), technique, sure) / repeats }).to all(be_within(1e-6).of(2.2))
      expect(times.minutes(step.(100), technique, fresh) - times.minutes(step.(10), technique, fresh)).to be_within(1e-9).of(90 * 2.2)
      first = times.working(step.(1), technique, fresh)
      expect([first.learning, first.minutes]).to match([be_within(1e-9).of(10**-Math.log2(0.88)), be_within(1e-9).of(2.2 * first.learning)])
    end
  end

  describe 'the engine against queueing theory' do
    # Erlang C: Gross and Harris, Fundamentals of Queueing Theory, M/M/c. Mean wait in queue.
    def erlang_c_wait(servers, load, service)
      sum = (0...servers).sum { |k| (load**k) / Math.gamma(k + 1) }
      last = (load**servers) / Math.gamma(servers + 1) * servers / (servers - load)
      last / (sum + last) * service / (servers - load)
    end

    { [1, 0.6] => 300, [2, 1.5] => 300, [4, 3.2] => 400 }.each do |(servers, load), customers|
      it "waits as long for #{servers} tools at a load of #{load} as Erlang C says" do
        waits = (1..20).map do |seed|
          rng = Random.new(seed)
          clock = 0.0
          begins = Array.new(customers + 100) { clock += exponential(rng, 1 / load) }
          engine = run(model(begins.map {
            [work(exponential(rng, 1.0), tools: { 't' => 1 })]
          }, begins: begins, tools: { 't' => servers }))
          spent(engine, :tools).drop(100).sum / customers
        end
        mean, error = mean_and_error(waits)
        expect(mean).to be_within(4 * error).of(erlang_c_wait(servers, load, 1.0))
      end
    end

    # Machine repair, M/M/1//N: Gross and Harris, Fundamentals of Queueing Theory, finite source. Share of the time the one tool is in use.
    it 'keeps one tool as busy for six people as the machine-repair model says' do
      ratio = 0.25
      weights = (0..6).map { |n| Math.gamma(7) / Math.gamma(7 - n) * (ratio**n) }
      busy = 1 - (weights.first / weights.sum)
      shares = (1..10).map do |seed|
        rng = Random.new(seed)
        used = 0.0
        people = Array.new(6) do
          Array.new(500) {
            [work(exponential(rng, 4.0)),
             work(exponential(rng, 1.0).tap { |minutes|
               used += minutes
             }, tools: { 't' => 1 })]
          }.flatten
        end
        used / run(model(people, tools: { 't' => 1 })).finished.max
      end
      mean, error = mean_and_error(shares)
      # People stop after 500 rounds each, so the last minutes are quieter: one and a half per cent at most.
      expect(mean).to be_within((4 * error) + 0.015).of(busy)
    end

    # Short classes begin empty. Exact, by conditioning on who is done first (exponential, mean 1): two people and one tool, two and two,
    # three and two: the last is done after 2, 1.5 and 0.5 + 1.5 on average; they wait 1, 0 and 0.5 in all.
    { [2, 1] => [2.0, 1.0], [2, 2] => [1.5, 0.0], [3, 2] => [2.0, 0.5] }.each do |(people, tools), (last, waited)|
      it "is done with #{people} people and #{tools} tools after #{last} on average, exactly" do
        outcomes = (1..2000).map do |seed|
          rng = Random.new(seed)
          run(model(Array.new(people) { [work(exponential(rng, 1.0), tools: { 't' => 1 })] }, tools: { 't' => tools }))
        end
        {
          outcomes.map { |engine| engine.finished.max } => last,
          outcomes.map { |engine|
            spent(engine, :tools).sum
          } => waited
        }.each do |values, expected|
          mean, error = mean_and_error(values)
          expect(mean).to be_within((4 * error) + 1e-12).of(expected)
        end
      end
    end

    # SimPy 3.0.11, each with 6000 runs from seed 11: mean, deviation, 95 % quantile of the last to finish. In the second, one of five
    # mats is kept from the fourth step to the tenth, and what dries for twenty minutes after the twelfth is needed by the fifteenth. In the
    # third an assistant helps, neighbours answer calls, tools are walked for, people tire, and the instructor makes a piece as well.
    life = { helpers: 2, assistant_pace: 1.3, put_down: 0.5, neighbours: 0.25, walking: 0.3, fatigue: 0.15, tires_after: 40.0 }
    { '' => [149.9742, 17.2626, 179.3890], ' HELD' => [157.1436, 17.6465, 188.0662],
      ' LIFE' => [109.8303, 11.2206, 129.6949] }.each do |words, (simpy_mean, deviation, late)|
      it "agrees with /usr/bin/python3 bench/session_reference.py 6000 11#{words}, mean and 95 % quantile" do
        tools = { 't0' => 4, 't1' => 4, 't2' => 3, 't3' => 6, 't4' => 5, 't5' => 4, 'mat' => 5 }
        mat = words == ' HELD' ? { 3 => { takes: { 'mat' => 1 }, gives: {} }, 9 => { gives: 'mat' }, 11 => { dries: 20.0 },
          14 => { needs_dry: [11] } } : {}
        people = (0...12).map { |p|
          (0...25).map { |s|
            own = mat.key?(3) && s == 3 ? {} : { "t#{(s + p) % 6}" => 1 }
            rest = mat.fetch(s, {})
            rest = { gives: own.merge('mat' => 1) } if rest[:gives] == 'mat'
            work(1.0 + (((p * 7) + (s * 3)) % 11 / 5.0), tools: own, help: 0.2, slot: s, label: s, **rest)
          }
        }
        habits = words == ' LIFE' ? life : {}
        ends = Core::Session::Simulation.new(model(people, tools: tools, sigmas: [0.4], between: 0.2, **habits)).run(0...1000).ends
        mean, error = mean_and_error(ends)
        expect(mean).to be_within(4 * Math.hypot(error, deviation / Math.sqrt(6000))).of(simpy_mean)
        # The error of this quantile is about 2.1 deviations over the root of the number of runs (normal density at the quantile).
        expect(ends.sort[950]).to be_within(4 * 2.1 * deviation * Math.hypot(1 / Math.sqrt(1000), 1 / Math.sqrt(6000))).of(late)
      end
    end
  end

  describe 'a whole class' do
    # Each alone, over the same luck; without it nothing changes.
    { walking: 0.5, fatigue: 0.3, put_down: 2.0, assistant_pace: 1.5 }.each do |habit, much|
      it "ends later with #{habit.to_s.tr('_', ' ')}, and as before without" do
        busy = full.with(tires_after: 10.0, helpers: habit == :assistant_pace ? 2 : 1)
        mean = ->(model) { Core::Session::Simulation.new(model).run(0...300).ends.sum / 300 }
        expect(mean.(busy.with(habit => much))).to be > mean.(busy) + 0.05
      end
    end

    it 'ends earlier where neighbours help, who take no time of the instructor' do
      calling = full.with(people: full.people.map { |one| one.with(tasks: one.tasks.map { |task| task.with(help: 0.8) }) })
      alone, helped = [calling, calling.with(neighbours: 0.5)].map { |model| Core::Session::Simulation.new(model) }
      expect(helped.run(0...300).ends.sum).to be < alone.run(0...300).ends.sum
      expect(helped.watch(0...20).sum(&:helping)).to be < alone.watch(0...20).sum(&:helping) * 0.9
    end

    it 'accounts for every minute of everyone, in every run' do
      60.times do |replication|
        engine = run(full, replication)
        clocks = engine.spent.transpose.map(&:sum)
        expect(clocks.zip(engine.finished).map { |clock, finished| (clock - finished).abs }.max).to be < 1e-9
        expect(engine.spent.flatten.min).to be >= 0
      end
    end

    it 'is the same for the same seed, in any order of runs' do
      simulate = ->(*ranges) { ranges.map { |range| Core::Session::Simulation.new(full, seed: 7).run(range).ends }.flatten }
      expect(simulate.(0...120)).to eq(simulate.(0...37, 37...120))
      expect(simulate.(0...20)).not_to eq(Core::Session::Simulation.new(full, seed: 8).run(0...20).ends)
    end

    it 'is watched without being changed' do
      simulation = Core::Session::Simulation.new(full)
      ends = simulation.run(0...10).ends
      watched = Core::Session::Simulation.new(full).watch(0...10)
      expect(watched.map { |run| run.finished.values.max + 5.0 }).to eq(ends)
      watched.each { |run| run.rows.each_value { |row| expect(row.each_cons(2).map { |a, b| (b.from - a.to).abs }.max).to be < 1e-9 } }
    end

    { more_tools: ->(m) { m.with(tools: { 't' => 11 }) }, another_helper: ->(m) { m.with(helpers: 2) } }.each do |name, change|
      it "is never worse with #{name.to_s.tr('_', ' ')}, on the same luck, within error" do
        before, after = [full, change.(full)].map { |variant| Core::Session::Simulation.new(variant).run(0...300).ends }
        mean, error = mean_and_error(before.zip(after).map { |a, b| a - b })
        expect(mean).to be > -3 * error
      end
    end

    it 'waits for everyone before a demonstration, and gives it alone to a person who comes later' do
      show = Core::Session::Model::Demonstration.new(minutes: 4.0, quorum: 2, alone: 1.0)
      engine = run(model(
        [[work(1.0), work(2.0, demonstration: 0)],
         [work(6.0), work(2.0, demonstration: 0)],
         [work(20.0), work(2.0, demonstration: 0)]], demonstrations: [show]
      ))
      expect([engine.finished,
              spent(engine, :group),
              spent(engine, :watching)]).to eq([[12.0, 12.0, 23.0], [5.0, 0.0, 0.0], [4.0, 4.0, 1.0]])
    end

    it 'goes on where two demonstrations would wait for each other' do
      shows = Array.new(2) { Core::Session::Model::Demonstration.new(minutes: 1.0, quorum: 2, alone: 1.0) }
      engine = run(model([[work(1.0, demonstration: 0), work(1.0, demonstration: 1)],
        [work(1.0, demonstration: 1), work(1.0, demonstration: 0)]], demonstrations: shows,
        helpers: 2))
      expect(engine.finished).to all(be_between(4.0, 6.0))
    end

    it 'shares a tool rather than wait for ever where each keeps what the other needs' do
      kept = ->(first, second) {
        [work(5.0, tools: { first => 1 }, takes: { first => 1 }, gives: {}),
         work(5.0, tools: { first => 1, second => 1 }, takes: { second => 1 }, gives: { first => 1, second => 1 })]
      }
      expect(run(model([kept.('a', 'b'), kept.('b', 'a')], tools: { 'a' => 1, 'b' => 1 })).finished).to eq([10.0, 15.0])
    end

    it 'gives each person and step the same luck, also when other people and steps change' do
      tasks = (0..5).map { |s| work(4.0, slot: "step #{s}") }
      spread = { sigmas: [0.4], between: 0.3 }
      alone = model([tasks], **spread)
      beside = model([tasks, tasks.reverse], **spread)
      expect(run(beside).finished.first).to eq(run(alone).finished.first)
      without = [alone, model([tasks.drop(1)], **spread)].map { |variant| Core::Session::RandomStreams.of(variant, 1).at(3).first.first }
      expect(without.last.drop(1)).to eq(without.first.drop(2))
    end

    it 'rests while a pause lasts' do
      with, without = [[Core::Session::Model::Pause.new(from: 10.0, minutes: 15.0)],
        []].map { |pauses| Core::Session::Simulation.new(model([[work(8.0)], [work(30.0)]], pauses: pauses)).run(0...1).finishes.flatten }
      expect(with.zip(without).map { |a, b| a - b }).to eq([0.0, 15.0])
    end
  end

  describe 'a forecast of a plan' do
    let(:people) { (1..12).map { |i| attendee(i, 150 + (i * 5), level: 1 + (i % 5)) } }

    def plan(people, minutes: 120, **session)
      inputs(people, minutes: minutes, **session).plan
    end

    def inputs(people, minutes: 120, teaching: {}, **session)
      shop = workshop.with(minutes: minutes, session: Core::Setup::SessionSettings.new(**session),
        teaching: Core::Setup::TeachingSettings.new(**teaching))
      Core::Planning::Inputs.new(workshop: shop, design: bracelet, attendees: people, table: sample_table)
    end

    def forecast(plan, runs: 200)
      Core::Session::Forecast.for(plan, Core::Setup::Calibration.new, runs: runs)
    end

    it 'grows surer with time, and its parts agree' do
      chances = [45, 55, 65, 120].map { |minutes| forecast(plan(people, minutes: minutes)).chance }
      expect(chances).to eq(chances.sort)
      found = forecast(plan(people, minutes: 55))
      expect(found.chance_of_part(1.0)).to eq(found.chance)
      expect(people.map { |person| found.chance_of(person.key) }.min).to be >= found.chance
      expect(found.last.values.sum).to be_within(1e-9).of(1)
      expect(found.why.values.sum).to be_within(1e-6).of((found.ends.sum / 200) - 10)
    end

    {
      'nobody is there' => [->(s) { s.plan([]) }, :no_people],
      'a tool is not there at all' => [->(s) {
        s.plan(s.people).then { |p|
          p.with(tools: p.tools.map { |need|
            need.with(on_hand: 0, brought: 0)
          })
        }
      },
                                       :no_tool],
      'the welcome takes the whole class' => [->(s) { s.plan(s.people, minutes: 15, demonstrations: :at_start) }, :too_short]
    }.each do |why, (made, code)|
      it("says so before simulating where #{why}") {
        expect(Core::Session::Modelling.new(made.(self), Core::Setup::Calibration.new).model).to have_attributes(code: code)
      }
    end

    it('says so where a step takes no time') do
      at_once = sample_table.technique('stringing').with(seconds: 0)
      table = sample_table.with(techniques: sample_table.techniques.merge('stringing' => at_once))
      expect(Core::Session::Modelling.new(Core::Planning::Plan.for(workshop: workshop, design: bracelet, attendees: people, table: table),
        Core::Setup::Calibration.new).model).to have_attributes(code: :no_minutes)
    end

    it('holds sixty people') {
      expect(Core::Setup::Workshop::MOST_PEOPLE).to eq(60)
      expect(forecast(plan((1..60).map { |i|
        attendee(i, 150 + i)
      }, minutes: 240), runs: 20).finishes.size).to eq(60)
    }

    it 'proposes changes, tries them on the same random numbers and finds a combination that reaches the target, confirmed on others' do
      asked = inputs(people, minutes: 52)
      shares = []
      found = Core::Levers::LeverSearch.new(asked, target: 0.9, confirming: 0...600) { |share| shares << share }.call
      expect([found.base.chance < 0.9, found.reaches, found.combination.chance >= 0.9]).to eq([true, true, true])
      expect(found.singles.map { |one| one.levers.first.code }.uniq).to include(:prepare, :longer)
      expect([shares.max <= 1,
              found.singles.all? { |one|
                one.gain.positive?
              },
              found.trials > found.singles.size]).to eq([true, true, true])
      applied = asked.with(workshop: found.combination.levers.reduce(asked.workshop) { |shop, lever| lever.apply(shop) })
      expect(forecast(applied.plan, runs: 600).chance).to eq(found.combination.chance)
    end

    # More than every class can reach.
    it 'says so where even the best combination stays below the target' do
      found = Core::Levers::LeverSearch.new(inputs(people, minutes: 52), target: 1.01, confirming: 0...60).call
      expect([found.combination.nil?, found.reaches]).to eq([false, false])
    end

    it('needs nothing where the target is met, and says that nothing can be done for an empty class') do
      expect(Core::Levers::LeverSearch.new(inputs(people, minutes: 240), target: 0.9,
        confirming: 0...60).call).to have_attributes(reaches: true, combination: nil)
      expect(Core::Levers::LeverSearch.new(inputs([]), target: 0.9).call).to have_attributes(code: :no_people)
    end

    it 'measures a gain more closely on the same random numbers than on others' do
      before, after = [52, 60].map { |minutes|
        plan(people, minutes: minutes)
      }.map { |p| Core::Session::Modelling.new(p, Core::Setup::Calibration.new).model }
      met = ->(m, seed) { Core::Session::Simulation.new(m, seed: seed).run(0...200).ends.map { |minute| minute <= m.minutes } }
      errors = [1, 2].map { |seed| Core::Levers::Trial.of([], met.(after, seed), met.(before, 1)).gain_error }
      expect(errors.first).to be < errors.last
    end

    it 'lays a run sheet out by the clock, with what must be begun by when' do
      made = inputs(people, minutes: 80, teaching: { extra: 4 }, break_at: 30, break_minutes: 5).plan
      lines = Core::Session::RunSheet.new(made, forecast(made), Core::Setup::Calibration.new).lines
      expect(lines.map(&:minute)).to eq(lines.map(&:minute).sort)
      expect(lines.map(&:code).uniq).to match_array(%i[welcome demonstration step break time_out clearing end])
      steps = lines.select { |line| line.code == :step }
      expect(steps.map { |line| line.step.key }).to match_array(made.order.steps.map(&:key))
      expect(steps.map(&:latest).each_cons(2).count { |a, b| b >= a }).to be >= steps.size - 2
    end

    it 'tells how long a design takes alone, and in groups that wait for each other' do
      time = Core::Comparison::ProjectTime.new(bracelet, sample_table, Core::Setup::Calibration.new, Date.new(2026, 12, 3))
      alone = time.alone
      expect(alone.map(&:usual)).to eq(alone.map(&:usual).sort.reverse)
      simulated = plan([attendee(1, 170, level: 2)])
      model = Core::Session::Modelling.new(simulated, Core::Setup::Calibration.new(help: 0.0)).model
      own = (0...400).map { |replication| spent(run(model, replication), :work).sum }.sort
      expect(own[200]).to be_within(0.08 * alone[1].usual).of(alone[1].usual)
      expect([own[40],
              own[360]]).to match([be_within(0.12 * alone[1].early).of(alone[1].early), be_within(0.12 * alone[1].late).of(alone[1].late)])
      expect(time.groups.map(&:half)).to eq(time.groups.map(&:half).sort)
    end
  end

  it 'counts tools out and in where there are any to count: Core::Session::Preparation' do
    plan = plan_for(bracelet, [attendee(1, 165)])
    codes = [true, false].map do |counted|
      tools = plan.tools.map { |need| need.with(tool: need.tool.with(counted: counted)) }
      Core::Session::Preparation.new(plan.with(tools: tools), Core::Setup::Calibration.new).tasks.map(&:code)
    end
    expect(codes.map { |found| found.count(:count_out) }).to eq([1, 0])
  end
end
