# frozen_string_literal: true

require_relative '../studio_helper'
require_relative '../support/figures'

# What made-up classes teach, and how it fades: TimesOfClass, TimeLearning, SpreadLearning, HelpLearning, VisitLearning, LossLearning,
# LearnedValue,
# Outliers, Gamma,
# Decay,
# TrackRecord; and courses: Sequence, CourseDates.
RSpec.describe Core::Logbook do
  let(:calibration) { Core::Setup::Calibration.new }

  # Made-up observations: their ratios and losses from one row of figures.
  def held(number)
    tries = %w[stringing flat_crimp ring].product((1..6).to_a).map.with_index do |(technique, person), i|
      described_class::TimeObservation.new(technique: technique, session: "s#{number}", person: "p#{person}",
        planned: 4.0, minutes: 4.0 * Math.exp(Math.sin((i * 1.7) + number) * 0.4), variance: 0.6 + (0.2 * (i % 3)), by_others: i.even?)
    end
    described_class::HeldClass.new(session: "s#{number}", date: Date.new(2026, number, 3), people: 6, tries: tries,
      times: described_class::TimesOfClass.new(tries, 0.02).said,
      told: 0.5 + (0.04 * number),
      lost: [described_class::Lost.new(kind: :crimp, uses: 24.0, lost: number % 4, session: "s#{number}")],
      visits: [described_class::Visits.new(number: 1 + (number % 3), minutes: number * 1.5, session: "s#{number}")],
      calls: [described_class::Calls.new(expected: 3.0, called: number % 5, session: "s#{number}")],
      came_out: [described_class::LengthObservation.new(project: 'x', by: number - 3.5, session: "s#{number}")], came_true: number.even?,
      teaches: true)
  end

  it 'learns as when it was last looked at' do
    classes = (1..9).map { |number| held(number) }
    tries = classes.flat_map(&:tries)
    found = { times: described_class::TimeLearning.new(calibration).lessons(classes.flat_map(&:times)),
      between: described_class::SpreadLearning
        .new(calibration).lesson(tries), losses: described_class::LossLearning.new.lessons(classes.flat_map(&:lost)),
      visits: described_class::VisitLearning.new(calibration).lesson(classes.flat_map(&:visits)),
        help: described_class::HelpLearning.new(calibration).lesson(classes.flat_map(&:calls)),
      learnt: [nil, 6].to_h { |months| [months.to_s, described_class::Learnt.of(classes, calibration,
        described_class::Decay.new(today: Date.new(2026, 12, 1), half_months: months))] },
      record: described_class::TrackRecord.of(classes).then { |one| [one.size, one.rows, one.brier] } }
    expect(Figures.differ('logbook', found.transform_keys(&:to_s))).to eq([])
  end
end
