# frozen_string_literal: true

RSpec.describe Core::Materials::Spares do
  # R 4.2.2: for (conf in c(0.9, 0.95, 0.99)) qbinom(conf, n, p)
  {
    [12, 0.02] => [1, 1, 2],
    [100, 0.05] => [8, 9, 11],
    [238, 0.01] => [4, 5, 7],
    [24, 0.1] => [4, 5, 6],
    [960, 0.015] => [19, 21, 24],
    [5000, 0.02] => [113, 117, 124],
    [40, 0.5] => [24, 25, 27]
  }.each do |(uses, probability), quantiles|
    it "asks #{quantiles} spares for #{uses} uses lost with #{probability}, as R does" do
      losses = Core::Materials::Losses.new(probability => uses)
      expect([0.9, 0.95, 0.99].map { |confidence| losses.quantile(confidence) }).to eq(quantiles)
    end
  end

  it 'joins people who lose differently as one binomial where they lose alike' do
    parts = Core::Materials::Losses.new(0.03 => 40, 0.0300000001 => 60)
    whole = Core::Materials::Losses.new(0.03 => 100)
    expect(parts.distribution.first(12).zip(whole.distribution).map { |a, b| (a - b).abs }.max).to be < 1e-6
    expect(parts.distribution.sum).to be_within(1e-9).of(1)
  end

  it 'loses nothing where nothing can be lost' do
    expect(Core::Materials::Losses.new(0.0 => 50, 0.1 => 0).quantile(0.99)).to eq(0)
  end

  describe 'of a class' do
    let(:people) { (1..12).map { |i| attendee(i, 150 + (i * 5), level: 1 + (i % 5)) } }
    let(:spares) { plan_for(bracelet, people).spares }

    it 'needs far fewer in one dish than in every bag, and knows every part' do
      plan = plan_for(bracelet, people)
      expect(spares.keys).to match_array(plan.needs.map(&:part))
      expect(spares.values.map(&:needed)).to match_array(plan.needs.map(&:count))
      expect(spares.values).to all(satisfy { |spare| spare.shared <= spare.bagged })
      expect(spares.values.sum(&:bagged)).to be > 2 * spares.values.sum(&:shared)
    end

    it 'holds back more the surer one wants to be, and for beginners' do
      plan = plan_for(bracelet, people)
      by_confidence = [0.5, 0.9, 0.99].map { |confidence| described_class.of(plan.people, confidence: confidence).values.sum(&:shared) }
      expect(by_confidence).to eq(by_confidence.sort)
      beginners, masters = [1, 5].map { |level| plan_for(bracelet, people.map { |p| p.with(level: level) }).spares.values.sum(&:shared) }
      expect(beginners).to be > masters
    end

    # Beta about what a sample showed (Jeffreys): 3 of 45 will not do. R 4.2.2: qbinom(0.95, 200, 1 - (1 - 0.01) * (1 - 3.5 / 46)) = 24.
    it 'holds back more of a lot of which a sample would not do, and says how many to test' do
      part = sample_table.part('round_8')
      tested = part.with(tested: 45, rejected: 3)
      expect([part.reject_rate, tested.reject_rate]).to match([0.0, be_within(1e-12).of(3.5 / 46)])
      probability = Core::Materials::Loss.probability(tested, 3)
      expect(Core::Materials::Losses.new(probability => 200).quantile(0.95)).to eq(24)
      # The fewest that show one of 5 in 100 nine times in ten: 1 - 0.95^45 = 0.9006, of 44 0.8953 (binomial).
      number = Core::Session::Preparation::SAMPLE
      expect([number, number - 1].map { |many| (1 - (0.95**many)).round(4) }).to eq([0.9006, 0.8953])
      tasks = lambda do |table|
        plan = Core::Planning::Plan.for(workshop: workshop, design: bracelet, attendees: people, table: table)
        Core::Session::Preparation.new(plan, Core::Setup::Calibration.new).tasks
      end
      known = sample_table.parts.transform_values { |one| one.with(tested: 45) }
      expect([sample_table, sample_table.with(parts: known)].map { |table| tasks.(table).any? { |task| task.code == :test_lots } })
        .to eq([true, false])
    end

    # Trying it out: in how many of many classes would all parts have lasted, when a spare can be lost as well?
    it 'lasts as often as it says, all parts taken together' do
      rng = Random.new(8)
      plan = plan_for(bracelet, people)
      used = ->(part, person) { person.needs.find { |need| need.part == part }&.count || 0 }
      chances = ->(part, person) { [Core::Materials::Loss.probability(part, person.attendee.level)] * used.(part, person) }
      uses = plan.needs.to_h { |need| [need.part, plan.people.flat_map { |person| chances.(need.part, person) }] }
      lost = ->(probabilities) { probabilities.sum { |probability| (0..).find { rng.rand >= probability } } }
      lasted = (1..2000).count { uses.all? { |part, probabilities| lost.(probabilities) <= plan.spares[part].shared } }
      expect(lasted / 2000.0).to be_between(0.94, 0.98)
    end

    # Every way to hold one fewer of something is tried: none lasts as often as wished.
    it 'holds no part too many for the chance of the whole class' do
      plan = plan_for(bracelet, people)
      losses = plan.needs.to_h do |need|
        uses = plan.people.group_by { |one| Core::Materials::Loss.probability(need.part, one.attendee.level) }
          .transform_values { |same| same.sum { |one| one.needs.find { |own| own.part == need.part }&.count || 0 } }
        [need.part, Core::Materials::Losses.new(uses)]
      end
      lasts = ->(held) { held.map { |part, number| losses[part].lasts(number) }.reduce(:*) }
      held = plan.spares.transform_values(&:shared)
      fewer = held.select { |_, number| number.positive? }.keys.map { |part| lasts.(held.merge(part => held[part] - 1)) }
      expect([lasts.(held) >= 0.95, fewer.max < 0.95]).to eq([true, true])
      shifts = held.keys.permutation(2).select { |from, _| held[from].positive? }
      better = shifts.count { |from, to| lasts.(held.merge(from => held[from] - 1, to => held[to] + 1)) > lasts.(held) + 1e-12 }
      expect(better).to eq(0)
    end
  end

  # The sum of exact binomial chances in whole numbers, from its definition.
  def at_most(lost, uses, probability)
    (0..lost).sum { |k| (1..k).reduce(1) { |all, i| all * (uses - k + i) / i } * (probability**k) * ((1 - probability)**(uses - k)) }
  end

  [[12, 0.02r, 0.95], [100, 0.05r, 0.99], [238, 0.01r, 0.9], [24, 0.1r, 0.995], [40, 0.5r, 0.95]].each do |uses, probability, confidence|
    it "holds the fewest spares for #{uses} uses that may be lost with #{probability.to_f}, spares lost too" do
      found = Core::Materials::Losses.new(probability.to_f => uses).spares(confidence)
      lasts = ->(spares) { at_most(spares, uses + spares, probability) >= confidence }
      expect([lasts.(found), found.zero? || lasts.(found - 1)]).to eq([true, false])
    end
  end
end
