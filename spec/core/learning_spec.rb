# frozen_string_literal: true

RSpec.describe Core::Logbook::Learning do
  let(:calibration) { Core::Session::Calibration.new }
  let(:learning) { described_class.new(calibration) }

  def tries(ratio, number, session: 'a', technique: 'x')
    Array.new(number) { Core::Logbook::Try.new(technique: technique, taken: ratio * 3.0, expected: 3.0, session: session) }
  end

  # Conjugate normal model with known variances, in closed form (Gelman et al., Bayesian Data Analysis, 2.5).
  [[1, 1], [6, 1], [6, 3]].each do |number, classes|
    it "weighs #{number} tries in each of #{classes} classes against what was known before, as the closed form does" do
      mean, deviation = Core::Session::Spread.pert(calibration.quick, 1.0, calibration.slow)
      variance = Math.log(1 + ((deviation / mean)**2)) + Math.log(1 + (calibration.between**2))
      weight = classes / ((0.15**2) + (variance / number))
      expected = weight * (Math.log(1.5) + (variance / 2)) / (weight + (1 / (0.3**2)))
      found = learning.lessons((1..classes).flat_map { |k| tries(1.5, number, session: k.to_s) }).first
      expect([found.tries, found.classes, Math.log(found.factor)]).to match([number * classes, classes, be_within(1e-9).of(expected)])
      expect(Math.log(found.high / found.low)).to be_within(1e-9).of(2 * 1.2816 / Math.sqrt(weight + (1 / (0.3**2))))
    end
  end

  it 'moves little for one try, is not pulled by one that lasted for hours, and says nothing of what nobody tried' do
    expect(learning.lessons(tries(2.0, 1)).first.factor).to be < 1.55
    plain, pulled = [tries(1.0, 9), tries(1.0, 9) + tries(40.0, 1)].map { |all| learning.lessons(all).first.factor }
    expect(pulled / plain).to be < 1.12
    expect(learning.lessons([])).to eq([])
  end

  # Hidden studios: what is learnt from simulated evenings against the paces they were made with.
  it 'finds hidden paces from three evenings, nearer than before and mostly within its range' do
    people = (1..8).map { |i| attendee(i, 150 + (i * 6), level: 2 + (i % 2)) }
    hidden = { 'stringing' => 1.5, 'flat_crimp' => 0.7, 'measuring' => 1.3, 'trimming' => 0.8 }
    slow = sample_table.techniques.transform_values { |skill| skill.with(seconds: skill.key == 'stringing' ? 8 : 90,
      demonstration_minutes: 0) }
    table = sample_table.with(techniques: slow)
    tries = (1..3).flat_map do |run|
      inputs = Core::Inputs.new(workshop: workshop.with(key: "class #{run}"), design: bracelet, attendees: people, table: table)
      model = Core::Session::Modelling.new(inputs.plan, calibration).model
      Core::Logbook::Try.of(inputs, Core::Live::Pretended.events(inputs.plan, model, 1_800_000_000, run: run, paces: hidden))
    end
    lessons = learning.lessons(tries).to_h { |lesson| [lesson.technique, lesson] }
    errors = hidden.map { |key, factor| [Math.log(lessons[key].factor / factor).abs, Math.log(factor).abs] }
    expect(errors.sum(&:first)).to be < errors.sum(&:last) / 2
    expect(hidden.count { |key, factor| factor.between?(lessons[key].low * 0.95, lessons[key].high * 1.05) }).to be >= 3
  end
end
