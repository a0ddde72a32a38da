# frozen_string_literal: true

# The session model against the same model in SimPy, in one run: 12 people × 25 steps, 6 kinds of tools, one instructor with random calls
# for help, lognormal times, about 400 events a run. Aims: at least 10 times SimPy on one core, 18 times on two; 500 runs of a class under
# 300 ms; a first answer for 24 people × 60 steps under 500 ms; a search over 30 levers under 5 s.
# Needs python3-simpy3. Run: bundle exec ruby --yjit --yjit-exec-mem-size=16 -I. bench/session.rb
require_relative 'support'

S = Core::Session
RUNS = 2000
TOOLS = [4, 4, 3, 6, 5, 4].freeze
people = (0...12).map { |p| S::Model::Person.new(key: p.to_s,
  tasks: (0...25).map { |s| S::Model::Work.new(minutes: 1.0 + (((p * 7) + (s * 3)) % 11 / 5.0),
    tools: { "t#{(s + p) % 6}" => 1 }, help: 0.2, slot: s) }) }
model = S::Model.new(people: people, tools: TOOLS.each_with_index.to_h { |number, i|
  ["t#{i}", number]
}, demonstrations: [], helpers: 1, minutes: 120, sigmas: [0.4], between: 0.2)

def seconds
  started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  yield
  Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
end

simulation = S::Simulation.new(model)
simulation.run(0...500)
pairs = (1..9).map do |round|
  reference = `/usr/bin/python3 #{File.join(__dir__, 'session_reference.py')} 300 #{round}`.split.map(&:to_f)
  results = nil
  one = RUNS / seconds { results = simulation.run(0...RUNS) }
  two = 2 * RUNS / seconds { [0...RUNS, RUNS...(2 * RUNS)].each { |range| fork { simulation.run(range) } } && Process.waitall }
  { simpy: reference.first, mean: reference[1], late: reference[3], one: one, two: two, results: results }
end
middle = ->(&of) { pairs.map(&of).sort[pairs.size / 2] }
puts format('SimPy                    %.0f runs a second (median of %d)', middle.call { |pair| pair[:simpy] }, pairs.size)
puts format('ours, one core           %.0f runs a second, %.1f times SimPy', middle.call { |pair| pair[:one] }, middle.call { |pair|
  pair[:one] / pair[:simpy]
})
puts format('ours, two cores          %.0f runs a second, %.1f times SimPy', middle.call { |pair| pair[:two] }, middle.call { |pair|
  pair[:two] / pair[:simpy]
})
ends = pairs.first[:results].ends.sort
puts format('mean of the last         %.2f, SimPy %.2f (nine times 300 runs)', ends.sum / RUNS, pairs.sum { |pair|
  pair[:mean]
} / pairs.size)
puts format('95 %% of them             %.2f, SimPy %.2f', ends[(0.95 * RUNS).to_i], pairs.sum { |pair| pair[:late] } / pairs.size)

studio = Bench.studio
result = Bench.results(studio).of(studio.classes.find(1).id)
plan = result.plan
calibration = result.library.calibration
class_model = S::Modelling.new(plan, calibration).model
puts "500 runs of the demo's class of twelve         #{Bench.summary(Bench.milliseconds(7) {
  S::Simulation.new(class_model).run(0...500)
})}"
puts "its first answer (60 runs, 6 watched)         #{Bench.summary(Bench.milliseconds(9) {
  S::Simulation.new(S::Modelling.new(plan,
    calibration).model).then { |sim|
    S::Forecast.of(sim, sim.run(0...60), watched: sim.watch(0...6))
  }
})}"
large = S::Model.new(people: (0...24).map { |p|
  S::Model::Person.new(key: p.to_s, tasks: (0...60).map { |s|
    S::Model::Work.new(minutes: 2.0, tools: { "t#{(s + p) % 6}" => 1 }, help: 0.2, slot: s)
  })
},
  tools: TOOLS.each_with_index.to_h { |number, i|
    ["t#{i}", number]
  }, demonstrations: [], helpers: 2, minutes: 240, sigmas: [0.4], between: 0.2)
puts "first answer, 24 people × 60 steps            #{Bench.summary(Bench.milliseconds(7) {
  S::Simulation.new(large).then { |sim|
    S::Forecast.of(sim,
      sim.run(0...S::Refinement.stages(large).first), watched: sim.watch(0...S::Refinement::FIRST_WATCHED))
  }
})}"
found = nil
search = Application::Tasks::SearchLevers.new(inputs: result.inputs, target: 0.9, seat: 1600)
took = Array.new(3) { seconds { found = search.call(->(_) {}) } }
puts format('search over %d levers, %d changes tried on one core  %.1f s (median of 3)', found.singles.size, found.trials, took.sort[1])
