# frozen_string_literal: true

# Live: whether the chances told in the middle of a class come true, and how quick it is.
#   calibration  200 simulated evenings of the demo's first class, each told at 40, 60 and 80 minutes; of the people told about 80 of 100,
#                75 to 85 should finish in time, and the Brier score (G. Brier, Monthly Weather Review 78, 1950) beat that of the plan
#   speed        a tap to a new chance: 12 people, and 24 people × 60 steps; taps a minute from 8 devices at once
# Run: bundle exec ruby --yjit --yjit-exec-mem-size=16 -I. bench/live.rb [evenings]
require 'rack/mock'
require_relative 'support'
EagerBench.load(:standins, :web)

# Chances as they were told beside what came of it.
module Calibration
  MINUTES = [40, 60, 80].freeze
  RUNS = 200
  START = 1_800_000_000

  module_function

  # @return [Array<(Float, Float, Boolean)>] told by the plan, told from here, and whether that person finished in time; one a telling
  def tellings(plan, model, evenings)
    before = chances(model)
    (0...evenings).flat_map do |run|
      events = Core::Live::SimulatedTaps.events(plan, model, START, run: run)
      # Required steps only: a person at an extra step has finished.
      finished = Core::Session::Simulation.new(model, seed: Core::Live::SimulatedTaps::SEED).watch(run..run).first.finished
      MINUTES.flat_map do |minute|
        here = Core::Live::LiveState.new(plan, events.select { |event| event.at <= START + (minute * 60) && event.kind != :end })
        rest = Core::Live::RemainingModel.new(model, here, START + (minute * 60)).model or next []
        told = chances(rest)
        told.map { |key, chance| [before.fetch(key), chance, finished.fetch(key) <= model.minutes - model.clearing] }
      end
    end
  end

  # @return [Hash{String=>Float}]
  def chances(model)
    forecast = Core::Session::Simulation.new(model).then { |simulation| Core::Session::Forecast.of(simulation, simulation.run(0...RUNS)) }
    model.people.to_h { |person| [person.key, forecast.chance_of(person.key)] }
  end

  def brier(pairs)
    pairs.sum { |chance, came| (chance - (came ? 1 : 0))**2 } / pairs.size
  end
end

if $PROGRAM_NAME == __FILE__
  $stdout.sync = true
  studio = Bench.studio
  result = Bench.results(studio).of(1)
  evenings = (ARGV[0] || 200).to_i
  told = Calibration.tellings(result.plan, result.model, evenings)
  puts "#{evenings} evenings, #{told.size} chances told"
  told.group_by { |_, chance, _| (chance * 10).round }.sort.each do |tenth, same|
    came = same.count(&:last)
    puts format('told %3d of 100: %3d of 100 finished in time (%d)', tenth * 10, came * 100.0 / same.size, same.size)
  end
  around = told.select { |_, chance, _| chance.between?(0.75, 0.85) }
  puts format('told 75 to 85: %.1f of 100 finished', around.count(&:last) * 100.0 / around.size)
  puts format('Brier score from here %.4f, of the plan %.4f', Calibration.brier(told.map { |_, chance, came| [chance, came] }),
    Calibration.brier(told.map { |plan, _, came| [plan, came] }))

  first = lambda do |model|
    Core::Session::Simulation.new(model).then do |simulation|
      Core::Session::Forecast.of(simulation, simulation.run(0...Application::LiveForecasts::STAGES.first))
    end
  end
  half = Core::Live::SimulatedTaps.events(result.plan, result.model,
    Calibration::START).select { |event| event.at <= Calibration::START + 2700 }
  rest = Core::Live::RemainingModel.new(result.model, Core::Live::LiveState.new(result.plan, half), Calibration::START + 2700).model
  puts "a new chance for 12 people        #{Bench.summary(Bench.milliseconds(15) { first.call(rest) })}"
  tools = [4, 4, 3, 6, 5, 4].each_with_index.to_h { |number, i| ["t#{i}", number] }
  large = Core::Session::Model.new(people: Array.new(24) { |p|
    Core::Session::Model::Person.new(key: p.to_s, tasks: Array.new(60) { |s|
      Core::Session::Model::Work.new(minutes: 2.0, tools: { "t#{(s + p) % 6}" => 1 }, help: 0.2, slot: s)
    })
  }, tools: tools, demonstrations: [], helpers: 2, minutes: 240, sigmas: [0.4], between: 0.2)
  puts "a new chance for 24 people × 60   #{Bench.summary(Bench.milliseconds(9) { first.call(large) })}"

  app = Web::App.for_studio(studio, secret: 'x' * 64, runner: Application::Work::Runner.new)
  client = Rack::MockRequest.new(app)
  page = client.get('/classes/1/live', 'HTTP_HOST' => '127.0.0.1')
  cookie = page['set-cookie'][/\A[^;]+/]
  token = page.body[/name="authenticity_token" value="([^"]+)"/, 1]
  tap = lambda do |kind, key, person = nil|
    client.post('/classes/1/live', 'HTTP_HOST' => '127.0.0.1', 'HTTP_COOKIE' => cookie, 'HTTP_X_REDRAW' => '1',
      params: { authenticity_token: token, kind: kind, key: key, person: person }.compact).status
  end
  tap.call('start', 'a' * 12)
  began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  answers = Array.new(8) { |device|
    Thread.new { Array.new(25) { |i| tap.call(i.odd? ? 'helped' : 'hand', format('%06x%06x', device, i), ((device % 12) + 1).to_s) } }
  }.flat_map(&:value)
  seconds = Process.clock_gettime(Process::CLOCK_MONOTONIC) - began
  puts format('8 devices: %d taps in %.1f s, %d a minute, %d not answered 200', answers.size, seconds, answers.size / seconds * 60,
    answers.count { |status| status != 200 })
  exit!
end
