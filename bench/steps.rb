# frozen_string_literal: true

# The order of 40 steps for 24 people (aim: under 50 ms), of 200, and the map of techniques with the lists of a class.
# Run: bundle exec ruby --yjit -I. bench/steps.rb
require_relative 'support'

studio = Bench.studio
table = studio.catalogue.table
rng = Random.new(1)
steps = lambda do |number|
  (0...number).map do |i|
    before = (0...i).to_a.sample([i, rng.rand(0..2)].min, random: rng).map { |k| "s#{k}" }
    Core::Making::StepUse.new(key: "s#{i}", technique: table.techniques.keys.sample(random: rng), repeats: rng.rand(1..20), text: :x,
      after: before)
  end
end
people = (1..24).map { |i| Core::People::Attendee.new(key: i.to_s, name: '', level: 1 + (i % 5)) }
run = lambda do |list|
  order = Core::Steps::StepOrder.of(list, table)
  lists = Core::Steps::Lists.new(table, Core::Setup::TeachingSettings.new, Date.new(2026, 12, 3))
  people.each { |attendee| lists.for(attendee, order.steps) }
end
{ 40 => 30, 200 => 3 }.each do |number, times|
  list = steps.call(number)
  puts "order and lists, #{number} steps × 24  #{Bench.summary(Bench.milliseconds(times) { run.call(list) })}"
end
plan = Bench.inputs(studio).plan
puts "who lacks what, room, preparation  #{Bench.summary(Bench.milliseconds(30) {
  [plan.readiness.people, plan.room, Core::Session::Preparation.new(plan, studio.settings.calibration).tasks]
})}"
puts "map of techniques                  #{Bench.summary(Bench.milliseconds(30) {
  Formats::LadderSvg.new(Core::Steps::Ladder.new(table.techniques), {}).to_s
})}"
