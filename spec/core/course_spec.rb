# frozen_string_literal: true

RSpec.describe Core::Course::Sequence do
  def technique(key, *needs)
    Core::Catalogue::Technique.new(key: key, name: key, level: 1, seconds: 1, prerequisites: needs)
  end

  def lesson(key, *techniques)
    Core::Course::Lesson.new(key: key, name: key, techniques: techniques)
  end

  let(:techniques) {
    [technique('ring'), technique('crimp'), technique('fold', 'crimp'), technique('loop'), technique('wrap', 'loop'),
      technique('braid')].to_h { |one| [one.key, one] } }

  it 'teaches what others stand on first, and spreads what is new' do
    lessons = [lesson('c', 'ring', 'fold'), lesson('a', 'ring'), lesson('b', 'ring', 'crimp')]
    sequence = described_class.new(lessons, techniques, [])
    expect(sequence.order.map(&:key)).to eq(%w[a b c])
    expect(sequence.wanting(lessons.first, [])).to eq([%w[fold crimp]])
    expect(described_class.new([lessons.first], techniques, %w[ring crimp]).cost).to eq(1)
  end

  # Exhaustive search over all orders of random courses.
  it 'costs no more than the best of all orders' do
    random = Random.new(11)
    12.times do
      lessons = (0...6).map { |i| lesson("p#{i}", *techniques.keys.sample(random.rand(1..4), random: random)) }
      sequence = described_class.new(lessons, techniques, techniques.keys.sample(random.rand(0..2), random: random))
      costs = lessons.permutation.map { |order| sequence.cost_of(order) }
      expect([sequence.cost, sequence.cost_of(sequence.order), sequence.proven?]).to eq([costs.min, costs.min, true])
    end
  end

  it 'orders sixteen with a beam, and does not call that proven' do
    random = Random.new(4)
    lessons = (0...16).map { |i| lesson("p#{i}", *techniques.keys.sample(random.rand(1..3), random: random)) }
    sequence = described_class.new(lessons, techniques, [])
    expect([sequence.order.sort_by(&:key), sequence.proven?]).to eq([lessons.sort_by(&:key), false])
    expect(sequence.cost).to be <= 100.times.map { sequence.cost_of(lessons.shuffle(random: random)) }.min
  end

  it 'dates the evenings, and says what fades until it comes again' do
    lessons = [lesson('a', 'ring'), lesson('b', 'crimp'), lesson('c', 'ring', 'crimp', 'fold')]
    sequence = described_class.new(lessons, techniques, [])
    told = ->(gap) {
      Core::Course::CourseDates.of(lessons, sequence, techniques, Date.new(2027, 1, 7), gap).map { |evening|
        [evening.date, evening.fresh.map(&:key), evening.revise.map(&:key)] }
    }
    expect(told.(7)).to eq([[Date.new(2027, 1, 7), ['ring'], []], [Date.new(2027, 1, 14), ['crimp'], []],
      [Date.new(2027, 1, 21), ['fold'], []]])
    # Half of it is gone after 540 days, so a tenth after 82.
    expect(told.(50).last.last).to eq(['ring'])
  end

  # Exhaustive search over all ways of up to four evenings.
  it 'leads to a goal at the least cost, over projects that teach something it needs' do
    random = Random.new(3)
    12.times do
      lessons = (0...6).map { |i| lesson("p#{i}", *techniques.keys.sample(random.rand(1..3), random: random)) }
      known = techniques.keys.sample(1, random: random)
      judge = described_class.new([], techniques, known)
      goals, others = lessons.partition { |one| %w[p0 p1].include?(one.key) }
      best = Core::Course::WayTo.new(lessons, techniques, known).best(goals, 1..4)
      all = (0..3).flat_map { |before| others.permutation(before).flat_map { |order| goals.map { |goal| [*order, goal] } } }
      cost = ->(way) { judge.cost_of(way) + way.size }
      expect([goals.include?(best.last), cost.(best)]).to eq([true, all.map(&cost).min])
    end
  end

  it 'takes a longer way where one is asked for, none through what teaches nothing new, and none without a goal' do
    lessons = [lesson('goal', 'loop', 'wrap'), lesson('a', 'loop'), lesson('b', 'braid')]
    ways = Core::Course::WayTo.new(lessons, techniques, [])
    expect([1..3, 2..3, 3..3].map { |evenings| ways.best([lessons.first], evenings)&.map(&:key) }).to eq([%w[a goal], %w[a goal], nil])
    expect(Core::Course::WayTo.new(lessons, techniques, %w[loop]).best([lessons.first], 1..3).map(&:key)).to eq(%w[goal])
    expect(ways.best([], 1..3)).to be_nil
  end
end
