# frozen_string_literal: true

RSpec.describe Core::Logbook::LossLearning do
  let(:calibration) { Core::Setup::Calibration.new }

  def lost(number, uses, session: 'a', kind: :crimp)
    Core::Logbook::Lost.new(kind: kind, uses: uses.to_f, lost: number, session: session)
  end

  # Gamma about the rate, Poisson losses: the mean moves from the value from memory to what was lost (Gelman et al., chapter 2).
  { [0, 60] => 0.025, [6, 60] => 0.075, [60, 540] => 0.105 }.each do |(number, uses), rate|
    it "makes #{rate} of #{number} lost in #{uses} uses" do
      found = described_class.new.lessons([lost(number, uses / 2), lost(0, uses - (uses / 2), session: 'b')]).first
      expect([found.value, found.seen, found.classes]).to match([be_within(1e-9).of(rate), number, 2])
      expect(found.low).to be < rate
      expect(found.high).to be > rate
    end
  end

  # R 4.2.2: qgamma(c(0.1, 0.9), k)
  ranges = { 1.5 => [0.2921872, 3.125694], 3.5 => [1.416553, 6.008518], 8.0 => [4.656118, 11.77091], 20.0 => [14.52526, 25.90253] }
  ranges.each do |shape, quantiles|
    it "knows the gamma distribution's range of shape #{shape}" do
      found = [-1.2816, 1.2816].map { |normal| Core::Logbook::Gamma.quantile(shape, normal) }
      expect(found).to match(quantiles.map { |quantile| be_within(0.03).of(quantile) })
    end
  end

  it 'covers hidden rates about 8 times in 10, and comes nearer with every class' do
    random = Random.new(5)
    usual = Core::Materials::Loss.usual(:crimp)
    poisson = ->(mean) { (0..).find { (mean -= -Math.log(1 - random.rand)).negative? } }
    hidden = Array.new(400) { poisson.(usual * described_class::BEFORE * 10) / (described_class::BEFORE * 10) }
    errors = hidden.map do |rate|
      found = described_class.new.lessons(Array.new(5) { |i| lost(poisson.(rate * 30), 30, session: i.to_s) }).first
      [(found.value - rate).abs, rate.between?(found.low, found.high)]
    end
    expect(errors.count(&:last).fdiv(400)).to be_between(0.75, 0.97)
    more = hidden.sum { |rate| (described_class.new.lessons([lost(poisson.(rate * 1500), 1500)]).first.value - rate).abs }
    expect(more).to be < errors.sum(&:first)
  end

  it 'counts what was used and lost from the taps: not of those who were away, not in a class where nobody wrote it down' do
    people = (1..6).map { |key| attendee(key, 160 + key, level: 3) }
    inputs = Core::Planning::Inputs.new(workshop: workshop, design: bracelet, attendees: people, table: sample_table)
    model = Core::Session::Modelling.new(inputs.plan, calibration).model
    quiet = Core::Live::SimulatedTaps.events(inputs.plan, model, 1_800_000_000)
    lost = ->(taps) { Core::Logbook::Lost.of(Core::Logbook::PartsUsed.new(inputs.plan, Core::Live::LiveState.new(inputs.plan, taps)), 'a') }
    expect(lost.(quiet)).to eq([])
    events = Core::Live::SimulatedTaps.events(inputs.plan, model, 1_800_000_000, losses: { 'crimp' => 0.5 })
    found = lost.(events).to_h { |one| [one.kind, one] }
    crimps = inputs.plan.needs.find { |need| need.part.kind == :crimp }.count
    expect([found[:crimp].uses, found[:crimp].lost]).to eq([crimps, events.count { |event| event.kind == :spare }])
    expect(found[:bead].lost).to eq(0)
    away = [events.first.with(key: 'away', kind: :absent, person: '1'), *events]
    expect(lost.(away).find { |one| one.kind == :crimp }.uses).to be < crimps
  end

  it 'changes the spares of the next plan, once it is used' do
    plan = ->(losses) do
      people = (1..8).map { |key| attendee(key, 170) }
      Core::Planning::Plan.for(workshop: workshop, design: bracelet, attendees: people, table: sample_table,
        calibration: calibration.with(losses: losses))
    end
    crimps = ->(one) { one.spares.find { |part, _| part.kind == :crimp }.last.shared }
    expect(crimps.(plan.('crimp' => 0.3))).to be > crimps.(plan.({}))
    expect(crimps.(plan.('crimp' => 0.0))).to eq(0)
  end

  # By hand: 60 uses at 5 % before; 40 uses of half weight with 8 lost are 20 uses and 4 lost: (3 + 4) / (60 + 20).
  it 'counts a class that has faded for its share' do
    tally = Core::Logbook::Lost.new(kind: :crimp, uses: 40.0, lost: 8, session: 'a', weight: 0.5)
    expect(described_class.new.lessons([tally]).first.value).to be_within(1e-9).of(7 / 80.0)
  end

  # The binomial of very many uses, whose chance of losing none is below the smallest float: its mean is n·p, its chances add up to 1.
  it 'knows the chances of very many uses' do
    chances = Core::Materials::Losses.binomial(8000, 0.1)
    mean = chances.each_with_index.sum { |chance, lost| chance * lost }
    expect([chances.sum, mean]).to match([be_within(1e-6).of(1), be_within(1e-3).of(800)])
  end
end
