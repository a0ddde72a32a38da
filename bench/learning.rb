# frozen_string_literal: true

# What is learnt from classes whose truth is known: studios with hidden times of techniques, whose classes bench/evening_reference.py plays
# and taps, with late and forgotten taps where asked for.
#   coverage     how often the range told as 8 of 10 holds the true time of a technique, after 1, 2 and 5 classes; 75 to 85 is the aim
#   bias, error  of techniques' times, as logarithms, and the error of what was planned with before
#   speed        learning from 200 classes of 12 people and about 15 steps (aim 1 s), one class more (aim 100 ms)
# Run: bundle exec ruby --yjit -I. bench/learning.rb [studios] [forgotten] [late] [spread of techniques, 0 for none]
require_relative 'support'
require_relative 'evenings'

# A studio whose true times are known: the same in all its classes, other people in each.
class KnownStudio
  AFTER = [1, 2, 5].freeze
  PEOPLE = 8
  BETWEEN = 0.15

  # @param base [Core::Planning::Inputs] @param truth [Hash] see Bench::Evenings::TRUTH
  def initialize(base, seed, truth)
    @seed = seed
    @truth = truth
    random = Random.new(seed)
    # Who comes late is not known to the taps.
    @base = base.with(workshop: base.workshop.with(session: base.workshop.session.with(late: 0)))
    @classes = (1..AFTER.last).map { |number| inputs(number, random) }
    @plans = @classes.map(&:plan)
    @paces = techniques.to_h { |key| [key, Math.exp(truth[:techniques] * Core::Session::Spread.normal(random.rand(0.001..0.999)))] }
  end

  attr_reader :paces

  # @return [Hash{Integer=>Core::Logbook::Learnt}] after so many classes
  def learnt
    AFTER.to_h { |after| [after, Core::Logbook::Learnt.of(held.first(after), @base.calibration, Core::Logbook::Decay.new(today: nil))] }
  end

  def held
    @held ||= @classes.zip(evenings).map { |inputs, evening| Core::Logbook::HeldClass.of(inputs, evening.events) }
  end

  # @return [(Core::Planning::Inputs, Array<Core::Live::Event>)] of the first class
  def first
    [@classes.first, evenings.first.events]
  end

  private

  def inputs(number, random)
    people = @base.attendees.first(PEOPLE).map { |one| one.with(level: random.rand(1..4)) }
    @base.with(workshop: @base.workshop.with(key: "class #{number}"), attendees: people)
  end

  def techniques
    @plans.flat_map { |plan| plan.people.flat_map(&:tasks) }.map { |task| task.technique.key }.uniq.sort
  end

  def evenings
    @evenings ||= Bench::Evenings.play(@plans.each_with_index.map { |plan, i|
      model = Core::Session::Modelling.new(plan, @classes[i].calibration).model
      Bench::Evenings.told(plan, model, seed: (@seed * 100) + i, paces: @paces, **@truth)
    })
  end
end

$stdout.sync = true
studio = Bench.studio
base = Bench.results(studio).of(1).inputs
studios = (ARGV[0] || 50).to_i
truth = { techniques: (ARGV[3] || 0.3).to_f, between: KnownStudio::BETWEEN, forgotten: (ARGV[1] || 0).to_f, late: (ARGV[2] || 0).to_f }
puts "#{studios} studios, #{truth}"
found = (1..studios).flat_map { |seed|
  hidden = KnownStudio.new(base, seed, truth)
  hidden.learnt.flat_map { |after, learnt| learnt.times.map { |lesson| [after, lesson, hidden.paces.fetch(lesson.about)] } }
}
row = lambda do |name, same|
  off = same.map { |_, lesson, pace| Math.log(lesson.value / pace) }
  puts format('%-20s %4d ranges hold the truth in %3.0f of 100; bias %+.3f, error %.3f, before any class %.3f', name, same.size,
    same.count { |_, lesson, pace| pace.between?(lesson.low, lesson.high) } * 100.0 / same.size, off.sum / off.size,
    off.sum(&:abs) / off.size, same.sum { |_, _, pace| Math.log(pace).abs } / same.size)
end
found.group_by(&:first).each { |after, same| row.call("after #{after}", same) }
found.select { |after,| after == KnownStudio::AFTER.last }.group_by { |_, lesson,| lesson.about }.each { |about, same| row.call(about,
  same) }

tries = (1..200).flat_map { |session|
  (1..12).flat_map { |person|
    (1..15).map { |step|
      Core::Logbook::TimeObservation.new(technique: "technique #{step % 8}", session: session.to_s, person: person.to_s, planned: 4.0,
        minutes: 4.0 * Math.exp(((step * person) % 7) / 10.0), variance: 0.8)
    }
  }
}
held = tries.group_by(&:session).map { |key, own| Core::Logbook::HeldClass.new(session: key, date: base.workshop.date, people: 12,
  tries: own,
  times: Core::Logbook::TimesOfClass.new(own, 0.02).said) }
fading = Core::Logbook::Decay.new(today: base.workshop.date, half_months: 12)
puts "200 classes: #{Bench.summary(Bench.milliseconds(5) { Core::Logbook::Learnt.of(held, base.calibration, fading) })}"
inputs, events = KnownStudio.new(base, 1, truth).first
puts "one class more: #{Bench.summary(Bench.milliseconds(10) { Core::Logbook::HeldClass.of(inputs, events) })}"
