# frozen_string_literal: true

# What is learnt from classes whose truth is known: studios with hidden times of techniques, spreads and calls, which teach classes in turn.
#   coverage     how often the range told as 8 of 10 holds the true time of a technique, after 1, 5 and 20 classes; 75 to 85 is the aim
#   error        of techniques' times (logarithm), against what was planned with before; half is the aim
#   chance       of all finishing, told with what was learnt, against the share of evenings of the hidden studio in which they do
#   speed        learning from 200 classes of 12 people and about 15 steps (aim 1 s), one class more (aim 100 ms)
# Run: bundle exec ruby --yjit -I. bench/learning.rb [studios]
require_relative 'support'

module Hidden
  AFTER = [1, 5, 20].freeze
  RUNS = 200
  EVENINGS = (0...40)

  module_function

  # @return [Core::Planning::Inputs] of a class of this project; each class has other people
  def inputs(base, number, random)
    people = base.attendees.first(8).map { |one| one.with(level: random.rand(1..4)) }
    base.with(workshop: base.workshop.with(key: "class #{number}"), attendees: people)
  end

  # @return [Core::Planning::Inputs] planned with what was learnt
  def using(inputs, learnt)
    factors = learnt.times.to_h { |lesson| [lesson.about, lesson.value] }
    techniques = inputs.table.techniques.transform_values { |skill| skill.with(seconds: skill.seconds * factors.fetch(skill.key, 1.0)) }
    calibration = inputs.calibration.with(between: learnt.between&.value || inputs.calibration.between,
      help: learnt.help&.value || inputs.calibration.help)
    inputs.with(table: inputs.table.with(techniques: techniques), calibration: calibration)
  end

  # @return [Float] chance that all finish in time, by the plan
  def told(inputs)
    model = Core::Session::Modelling.new(inputs.plan, inputs.calibration).model
    ends = Core::Session::Simulation.new(model, seed: 5).run(0...RUNS).ends
    ends.count { |minute| minute <= model.minutes }.fdiv(ends.size)
  end

  # The hidden studio's evenings differ by what each has in common too.
  def truth(studio, inputs)
    EVENINGS.sum { |run|
      events = studio.teach(inputs, run: 10_000 + run)
      plan = inputs.plan
      model = Core::Session::Modelling.new(plan, inputs.calibration).model
      last = events.select { |event| event.kind == :next }.map(&:at).max - events.find { |event| event.kind == :start }.at
      (last / 60.0) + model.clearing <= model.minutes ? 1 : 0
    }.fdiv(EVENINGS.size)
  end
end

studio = Bench.studio
base = Bench.results(studio).of(1).inputs
used = base.plan.people.flat_map(&:tasks).map { |task| task.technique.key }.uniq
number = (ARGV[0] || 50).to_i
found = Hash.new { |all, after| all[after] = [] }
chances = Hash.new { |all, after| all[after] = [] }
(1..number).each do |seed|
  hidden = Demo::HiddenStudio.draw(seed, used)
  random = Random.new(seed)
  held = (1..Hidden::AFTER.last).map { |i|
    inputs = Hidden.inputs(base, i, random)
    Core::Logbook::HeldClass.of(inputs, hidden.teach(inputs, run: (seed * 100) + i))
  }
  Hidden::AFTER.each do |after|
    learnt = Core::Logbook::Learnt.of(held.first(after), base.calibration, Core::Logbook::Decay.new(today: nil))
    learnt.times.each do |lesson|
      truth = hidden.paces.fetch(lesson.about)
      found[after] << [truth.between?(lesson.low, lesson.high), Math.log(lesson.value / truth).abs, Math.log(truth).abs]
    end
    found[[after, :between]] << [hidden.between.between?(learnt.between.low, learnt.between.high),
      Math.log(learnt.between.value / hidden.between).abs, Math.log(0.15 / hidden.between).abs]
    found[[after, :help]] << [hidden.help.between?(learnt.help.low, learnt.help.high),
      Math.log(learnt.help.value / hidden.help).abs, Math.log(0.45 / hidden.help).abs] if learnt.help
    next if after == 1

    next_class = Hidden.inputs(base, 99, random)
    next_class = next_class.with(workshop: next_class.workshop.with(minutes: random.rand(100..150)))
    chances[after] << [*[Hidden.using(next_class, learnt), next_class].map { |inputs| Hidden.told(inputs) },
      Hidden.truth(hidden, next_class)]
  end
end
found.each do |after, all|
  puts format('%-16s %4d ranges hold the truth in %3.0f of 100; error %.3f, before any class %.3f', Array(after).join(' '), all.size,
    all.count(&:first) * 100.0 / all.size, all.sum { |one| one[1] } / all.size, all.sum(&:last) / all.size)
end
chances.each do |after, all|
  means = [2, 0, 1].map { |i| all.sum { |one| one[i] } * 100 / all.size }
  off = [0, 1].map { |i| all.sum { |one| (one[i] - one[2]).abs } * 100 / all.size }
  puts format('after %2d: all in time %.1f of 100 in truth, told %.1f with what was learnt, %.1f without; ' \
              'mean difference %.1f and %.1f', after, *means, *off)
end
tries = (1..200).flat_map { |session|
  (1..12).flat_map { |person|
    (1..15).map { |step|
      Core::Logbook::TimeObservation.new(technique: used[step % used.size], session: session.to_s, person: person.to_s,
        log: ((step * person) % 7) / 10.0, variance: 0.05)
    }
  }
}
held = tries.group_by(&:session).map { |key, own| Core::Logbook::HeldClass.new(session: key, date: base.workshop.date, people: 12,
  tries: own) }
fading = Core::Logbook::Decay.new(today: base.workshop.date, half_months: 12)
puts "200 classes: #{Bench.summary(Bench.milliseconds(10) { Core::Logbook::Learnt.of(held, base.calibration, fading) })}"
inputs = Hidden.inputs(base, 1, Random.new(1))
events = Demo::HiddenStudio.draw(1, used).teach(inputs)
puts "one class more: #{Bench.summary(Bench.milliseconds(10) { Core::Logbook::HeldClass.of(inputs, events) })}"
