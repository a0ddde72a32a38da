# frozen_string_literal: true

require 'sequel'
require 'tsort'

RSpec.describe Core::Steps do
  let(:table) { sample_table }

  def step(key, technique, after: [], **rest)
    Core::Making::StepUse.new(key: key, technique: technique, repeats: 1, text: :x, after: after, **rest)
  end

  def technique(key, level, **rest)
    Core::Catalogue::Technique.new(key: key, name: key.tr('_', ' '), level: level, seconds: 60, **rest)
  end

  # Any set of steps, each needing only earlier ones.
  def random_steps(rng, number)
    (0...number).map do |i|
      before = (0...i).to_a.sample([i, rng.rand(0..2)].min, random: rng).map { |k| "s#{k}" }
      step("s#{i}", table.techniques.keys.sample(random: rng), after: before,
        rather_after: rng.rand < 0.2 && i.positive? ? ["s#{rng.rand(i)}"] : [],
        waits: rng.rand < 0.2 ? 10 : 0)
    end
  end

  # Every order that keeps the precedence.
  def extensions(steps, placed = [])
    return [placed] if steps.empty?

    done = placed.map(&:key)
    steps.select { |step| (step.after - done).empty? }.flat_map { |step| extensions(steps - [step], [*placed, step]) }
  end

  def points(cost)
    Core::Steps::OrderRules::WEIGHTS.sum { |name, weight| cost.public_send(name) * weight }
  end

  describe 'the order' do
    Core::Setup::TeachingSettings.field(:school).of.each do |school|
      it "is as good as the best of all linear extensions, on small graphs, #{school}" do
        rng = Random.new(3)
        8.times do
          steps = random_steps(rng, rng.rand(3..6)).each_with_index.map { |step, i| i.even? ? step : step.with(gives: %i[last_end]) }
          best = Core::Steps::StepOrder.of(steps, table, school: school)
          all = extensions(steps).map { |order| points(Core::Steps::StepOrder.of(steps, table, by_hand: order.map(&:key),
            school: school).cost) }
          expect([points(best.cost), best.exact]).to eq([all.min, true])
        end
      end
    end

    # The same search with no bound on the sets is the exact one above.
    it 'is as good as the best of all, or nearly, where there are too many sets of steps for an exact search' do
      rng = Random.new(5)
      beyond = Array.new(10) { random_steps(rng, 12) }.product(%i[gentle ends_late]).map do |steps, school|
        wide, narrow = [1 << 30, 0].map do |most|
          stub_const("#{described_class}::OrderSearch::MOST_WAYS", most)
          Core::Steps::StepOrder.of(steps, table, school: school)
        end
        expect([wide.exact, narrow.exact]).to eq([true, false])
        points(narrow.cost) - points(wide.cost)
      end
      expect([beyond.count(&:zero?), beyond.max]).to match([be >= 18, be <= 2 * Core::Steps::OrderRules::WEIGHTS[:changes]])
    end

    # Two ends, two other things, nothing that must come first: each school puts them its own way, and says so.
    {
      gentle: [%w[a c b d], :easier_first], hardest: [%w[b d a c], :harder_first], ends_early: [%w[a b c d], :end_first],
      ends_late: [%w[c d a b], :end_last]
    }.each do |school, (expected, reason)|
      it "goes #{expected.join(' ')} where #{school}" do
        easy, hard = table.techniques.values.minmax_by(&:level).map(&:key)
        steps = { 'a' => [easy, [:last_end]], 'b' => [hard, [:cap]], 'c' => [easy, []], 'd' => [hard, []] }
          .map { |key, (technique, gives)| step(key, technique).with(gives: gives) }
        order = Core::Steps::StepOrder.of(steps, table, school: school)
        expect(order.steps.map(&:key)).to eq(expected)
        expect(order.reasons.map(&:code)).to include(reason)
      end
    end

    it 'places each of more than a thousand steps once' do
      steps = (0...1100).map { |i| step("s#{i}", table.techniques.keys[i % 7], after: i % 8 == 7 ? [] : ["s#{i + 1}"]) }.first(1096)
      stub_const("#{described_class}::OrderSearch::MOST_WAYS", 1)
      stub_const("#{described_class}::OrderSearch::BEAM", 1)
      stub_const("#{described_class}::OrderSearch::MOST_FOLLOWED", 1)
      order = Core::Steps::StepOrder.of(steps, table).steps.map(&:key)
      expect(order.sort).to eq(steps.map(&:key).sort)
      expect(steps.reject { |one| one.after.all? { |before| order.index(before) < order.index(one.key) } }).to be_empty
    end

    # TSort is Ruby's own.
    it 'keeps every precedence, of forty steps too' do
      steps = random_steps(Random.new(9), 40)
      order = Core::Steps::StepOrder.of(steps, table).steps.map(&:key)
      sorted = TSort.tsort(->(&block) { steps.map(&:key).each(&block) }, ->(key, &block) {
        steps.find { |s|
          s.key == key
        }.after.each(&block)
      })
      expect(order).to match_array(sorted)
      steps.each { |s| s.after.each { |before| expect(order.index(before)).to be < order.index(s.key) } }
    end

    {
      'easier before harder' => [[%w[a folded_crimp], %w[b stringing]], %w[b a], %i[begins easier_first]],
      'what dries is left alone' => [[['a', 'gluing', { waits: 10 }], ['b', 'trimming', { after: %w[a] }], %w[c measuring]],
                                     %w[a c b],
                                     %i[begins drying as_declared]],
      'the same tools stay in hand' => [[%w[a cutting_line], ['b', 'stringing', { after: %w[a] }], %w[c cutting_line]],
                                        %w[a c b],
                                        %i[begins same_tools as_declared]],
      'what is better first' => [[['a', 'measuring', { rather_after: %w[b] }], %w[b stringing]], %w[b a], %i[begins rather_after]]
    }.each do |rule, (declared, keys, reasons)|
      it "puts #{rule}, and says so" do
        steps = declared.map { |key, technique, rest| step(key, technique, **(rest || {})) }
        order = Core::Steps::StepOrder.of(steps, table)
        expect([order.steps.map(&:key), order.reasons.map(&:code)]).to eq([keys, reasons])
      end
    end

    it 'keeps an order made by hand, says what it breaks and what it costs, and finds room for what is new' do
      steps = [step('a', 'stringing'), step('b', 'measuring', after: %w[a]), step('c', 'folded_crimp', after: %w[b])]
      turned = Core::Steps::StepOrder.of(steps, table, by_hand: %w[c a gone])
      expect(turned.steps.map(&:key)).to eq(%w[c a b])
      expect(turned.broken.map { |pair| pair.map(&:key) }).to eq([%w[b c]])
      expect([turned.beyond[:harder_first], turned.by_hand?]).to eq([4, true])
      expect(Core::Steps::StepOrder.of(steps, table).moved('b', -1)).to eq(%w[b a c])
    end

    {
      'two that each must come first' => [%w[a b], %w[b a]],
      'one that waits for itself' => [%w[a a]],
      'three in a ring, a fourth behind them' => [%w[a c], %w[b a], %w[c b], %w[d c]]
    }.each do |name, needs|
      it "names #{name}" do
        steps = needs.map { |key, after| step(key, 'ring', after: [after]) }
        expect { Core::Steps::StepOrder.of(steps, table) }.to raise_error(Core::Steps::StepOrder::Cycle) { |error|
          expect(error.cycle).to eq((needs.map(&:first) - ['d']).sort) }
      end
    end

    # The hardest should not fall into the last fifth of the time: what is the last fifth depends on who works.
    it 'weighs the times of the class' do
      steps = [step('a', 'folded_crimp'), step('b', 'stringing'), step('c', 'stringing', after: %w[a b])]
      late = ->(minutes) { Core::Steps::StepOrder.of(steps, table, by_hand: %w[b a c], minutes: minutes).cost.late }
      expect([late.(->(one) { one.key == 'b' ? 90.0 : 1.0 }), late.(->(one) { one.key == 'c' ? 90.0 : 1.0 })]).to eq([1, 0])
    end

    it('orders two hundred steps') { expect(Core::Steps::StepOrder.of(random_steps(Random.new(2), 200), table).steps.size).to eq(200) }
  end

  # From memory: expected by level, grown by doing, faded by time.
  {
    [1,
     1,
     nil] => 0.5,
    [1, 2, nil] => 0.0,
    [2, 1, nil] => 1.0,
    [3, 3, nil] => 0.5,
    [1, 2, [3, 0]] => 1 - Math.exp(-1),
    [1, 2, [3, 540]] => 1 - Math.exp(-0.5),
    [1, 2, [0, 0]] => 0.0,
    [2, 2, [3, 0]] => 1 - (0.5 * Math.exp(-1))
  }.each do |(level, of, done), expected|
    it "reckons a level #{level} person at #{expected.round(2)} of a level #{of} technique#{" done #{done}" if done}" do
      on = Date.new(2026, 12, 3)
      experience = done ? { 'x' => Core::People::Experience.new(times: done[0], last: on - done[1]) } : {}
      expect(Core::People::Familiarity.of(attendee(1, 170, level: level, experience: experience), technique('x', of),
        on)).to be_within(1e-9).of(expected)
    end
  end

  describe 'for different people' do
    let(:table) do
      fold = sample_table.technique('folded_crimp').with(easier: 'flat_crimp', practice: 'two tubes', practice_minutes: 7,
        prerequisites: ['flat_crimp'])
      sample_table.with(techniques: sample_table.techniques.merge('folded_crimp' => fold))
    end
    let(:steps) {
      [step('cut', 'cutting_line', preparable: true),
       step('end', 'folded_crimp', after: %w[cut]),
       step('cover', 'crimp_cover', after: %w[end], optional: true)]
    }

    def list(level, **choices)
      Core::Steps::Lists.new(table, Core::Setup::TeachingSettings.new(**choices), Date.new(2026, 12, 3)).for(attendee(1, 170, level: level),
        steps)
    end

    {
      [5, {}] => [%w[step/cut step/end step/cover], []],
      [1, {}] => [%w[step/cut practice/practice/folded_crimp step/end step/cover], []],
      [1, { practice: false }] => [%w[step/cut step/end step/cover], []],
      [1, { easier: { 'folded_crimp' => 2 }, prepared: { 'cut' => 1 }, shorter: 2 }] => [%w[step/end], %i[prepared shorter]],
      [3, { easier: { 'folded_crimp' => 2 }, prepared: { 'cut' => 1 }, shorter: 2 }] => [%w[step/cut step/end step/cover], []],
      [5, { extra: 4, extra_text: 'a charm' }] => [%w[step/cut step/end step/cover extra/extra], []]
    }.each do |(level, choices), (items, spared)|
      it "gives level #{level} with #{choices} the list #{items.join(', ')}" do
        found = list(level, **choices)
        expect([found.items.map { |item| "#{item.kind}/#{item.step.key}" }, found.spared.map(&:last)]).to eq([items, spared])
      end
    end

    # Preparing a step prepares every step before it. A step that cannot be prepared stays for the class, even when chosen.
    it 'prepares with a step all that must be done before it' do
      made = [step('cut', 'cutting_line', preparable: true), step('coil', 'stringing', after: %w[cut], preparable: true),
              step('rail', 'ring', preparable: true), step('check', 'measuring', after: %w[coil])]
      prepared = Core::Steps::Prepared.new(made, { 'coil' => 2, 'cut' => 1, 'check' => 5 })
      expect(made.map { |one| prepared.level(one) }).to eq([2, 2, 0, 0])
      expect(made.map { |one| prepared.implied?(one) }).to eq([true, false, false, false])
      expect(prepared.with(made[1]).map(&:key)).to eq(%w[coil cut])
      expect(prepared.outermost.map(&:key)).to eq(%w[cut coil rail])
    end

    it('works the easier school with its own technique') {
      expect(list(1, easier: { 'folded_crimp' => 5 }).items.map { |item|
        [item.technique.key, item.reason]
      }).to include(['flat_crimp', :easier])
    }

    it 'says who lacks what, and what would make it possible' do
      people = [attendee(1, 170, level: 1), attendee(2, 170, level: 4), attendee(3, 170, level: 1)]
      readiness = Core::Steps::Readiness.new(people, steps, table, nil)
      expect(readiness.people.map { |person|
        [person.attendee.key,
         person.lacking.map { |lack|
           [lack.technique.key, lack.far, lack.ways.map(&:code)]
         }]
      })
        .to eq(%w[1 3].map { |key|
              [key, [['folded_crimp', true, %i[easier neighbour first_learn]], ['crimp_cover', false, %i[neighbour]]]]
            })
      expect([readiness.new_to_most.map(&:key), readiness.heavy?, readiness.out_of_reach]).to eq([%w[folded_crimp crimp_cover], false, []])
      expect(readiness.gentler('easy' => %w[stringing], 'same' => steps.map(&:technique),
        'hard' => %w[frame_row crossover_loop folded_crimp])).to eq(['easy'])
    end

    it 'says of a class of beginners on a level 4 project what they would have to learn first' do
      crossed = table.technique('crossover_loop').with(prerequisites: ['continuous_loop'], practice_minutes: 10)
      readiness = Core::Steps::Readiness.new([attendee(1, 170, level: 1)], [step('x', 'crossover_loop')],
        table.with(techniques: table.techniques.merge('crossover_loop' => crossed)), nil)
      expect(readiness.out_of_reach.map { |technique, people| [technique.key, people.size] }).to eq([['crossover_loop', 1]])
      expect(readiness.people.first.lacking.first.ways.map { |way| [way.code, way.name] }).to eq([[:first_learn, 'continuous_loop']])
    end
  end

  it 'prepares what saves most for a minute, on a day that leaves glue time to cure' do
    people = (1..4).map { |i| attendee(i, 170, level: 1) }
    teaching = Core::Setup::TeachingSettings.new(prepared: { 'front/cut_line' => 2 })
    plan = Core::Planning::Plan.for(workshop: workshop.with(teaching: teaching), design: bracelet, attendees: people, table: table)
    preparation = Core::Session::Preparation.new(plan, Core::Setup::Calibration.new(learning: 1.0), short: 3)
    # Pace by level, from memory: 2.2 against the instructor's 0.8, where nothing gets faster with repeats.
    expect(preparation.offers.map(&:worth)).to all(be_within(1e-9).of(2.2 / 0.8))
    expect(preparation.tasks.map { |task| [task.days, task.code] })
      .to start_with([10, :order], [9, :test_lots], [2, :pack], [1, :prepare_step])
    expect(plan.people.first.tasks.map { |task| task.step.key }).not_to include('front/cut_line')
    expect(preparation.tasks.map(&:days)).to eq(preparation.tasks.map(&:days).sort.reverse)
  end

  # SQLite counts how many intervals hold each moment at which one begins.
  it 'counts tools in use at once as SQL does' do
    plan = plan_for(bracelet, (1..9).map { |i| attendee(i, 150 + (i * 7), level: 1 + (i % 5)) })
    database = Sequel.sqlite
    database.create_table(:uses) { [String(:tool), Float(:from), Float(:to), Integer(:held)] }
    plan.timetable.rows.each_value { |row|
      row.select { |s| s.kind == :work }.each { |s|
        s.tools.tally.each { |tool, held|
          database[:uses].insert(tool: tool, from: s.from, to: s.to, held: held)
        }
      }
    }
    counted = database.fetch(<<~SQL).to_hash(:tool, :most)
      SELECT a.tool AS tool, MAX(held) AS most FROM (
        SELECT x.tool, x."from" AS at, SUM(y.held) AS held FROM (SELECT DISTINCT tool, "from" FROM uses) x
        JOIN uses y ON y.tool = x.tool AND y."from" <= x."from" AND y."to" > x."from"
        GROUP BY x.tool, x."from") a
      GROUP BY a.tool
    SQL
    expect(Core::Steps::Overlap.most(plan.timetable.rows)).to eq(counted)
    expect(plan.tools.map(&:at_once)).to match_array(counted.values)
  end

  it 'says what helps where tools are short' do
    need = Core::Steps::ToolNeed.new(tool: table.tool('pliers').with(substitutable: false), users: 6, each: 1, needed: 6, brought: 1,
      on_hand: 2, at_once: 5)
    fold = technique('fold', 3, tools: ['pliers'], easier: 'flat_crimp')
    expect(need.ways([fold], table).map(&:first)).to eq(%i[borrow stagger change_school nothing_else])
  end

  it 'seats everyone once, sight at the front, left-handers at a left end, someone who knows at every table' do
    words = { 1 => 'left-handed', 2 => 'glasses', 3 => 'age 8', 4 => 'left-handed', 5 => 'minor' }
    people = (1..11).map { |i| attendee(i, 170, level: [1, 2, 4][i % 3], needs: Core::People::NeedsReader.read(words[i].to_s)) }
    seats = Core::Planning::Seating.new(people, []).plan.seats
    expect(seats.map(&:attendee)).to match_array(people)
    expect(seats.map { |seat| [seat.table, seat.seat] }.uniq.size).to eq(11)
    by_flag = ->(flag) { seats.select { |seat| seat.attendee.flags.include?(flag) } }
    expect([by_flag.(:low_vision).map(&:table), by_flag.(:left_handed).map(&:seat)]).to eq([[0], [0, 0]])
    expect(seats.group_by(&:table).values.map { |table| table.map { |seat| seat.attendee.level }.max }).to all(be >= 2)
  end
end
