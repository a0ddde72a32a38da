# frozen_string_literal: true

# Live: whether the chances told in the middle of a class come true, and how quick it is.
#   calibration  evenings of three of the demo's classes with a truth of their own, played by bench/evening_reference.py and tapped; each
#                told at a quarter, a half and three quarters of its time. Told and came should differ by 5 points at most; Brier score
#                (G. Brier, Monthly Weather Review 78, 1950) at most 0.19, 0.13 and 0.08; named last rightly in 50, 65 and 80 of 100
#   speed        a tap to a new chance: 12 people, and 24 people × 60 steps; taps a minute from 8 devices at once
# Run: bundle exec ruby --yjit --yjit-exec-mem-size=16 -I. bench/live.rb [evenings of a class] [forgotten] [late]
require 'rack/mock'
require_relative 'support'
require_relative 'evenings'
EagerBench.load(:standins, :web)

# Chances as they were told beside what came of it.
module Calibration
  SHARES = [0.25, 0.5, 0.75].freeze
  RUNS = 150
  CLASSES = [1, 2, 4].freeze
  # So many of all people are in time: what is certain tells nothing.
  IN_TIME = 0.55

  # told: [[chance, whether they came in time]] · last: whether the one named last was
  Told = Struct.new(:told, :last)

  module_function

  # @param result [Object] planned class with a plan and a model @param truth [Hash] see Bench::Evenings::TRUTH
  # @return [Hash{Float=>Told}] by the share of the time that has passed
  def of(result, evenings, truth)
    model = scarce(result.model)
    beside = Core::Session::BesideWork.watched(Core::Session::Simulation.new(model))
    played = Bench::Evenings.play((1..evenings).map { |seed| Bench::Evenings.told(result.plan, model, seed: seed, **truth) })
    SHARES.to_h do |share|
      all = played.filter_map { |evening| telling(result.plan, model, beside, evening, model.minutes * share) }
      [share, Told.new(all.flat_map(&:first), all.map(&:last))]
    end
  end

  # @return [Core::Session::Model] with so much time that about half of the people finish
  def scarce(model)
    finishes = forecast(model).finishes.values.flatten.sort
    model.with(minutes: finishes[(finishes.size * IN_TIME).to_i].round)
  end

  def telling(plan, model, beside, evening, minute)
    now = Bench::Evenings::START + (minute * 60)
    here = Core::Live::LiveState.new(plan, evening.events.select { |event| event.at <= now && event.kind != :end })
    rest = Core::Live::RemainingModel.new(model, here, now, beside).model or return
    told = forecast(rest)
    limit = model.minutes - model.clearing
    [rest.people.map { |person| [told.chance_of(person.key), evening.finished.fetch(person.key) <= limit] },
     told.most_often_last == evening.finished.max_by(&:last).first]
  end

  def forecast(model)
    Core::Session::Simulation.new(model).then { |simulation| Core::Session::Forecast.of(simulation, simulation.run(0...RUNS)) }
  end

  def brier(told)
    told.sum { |chance, came| (chance - (came ? 1 : 0))**2 } / told.size
  end
end

if $PROGRAM_NAME == __FILE__
  $stdout.sync = true
  studio = Bench.studio
  results = Bench.results(studio)
  result = results.of(1)
  evenings = (ARGV[0] || 70).to_i
  truth = { forgotten: (ARGV[1] || 0).to_f, late: (ARGV[2] || 0).to_f }
  classes = Calibration::CLASSES.map { |id| Calibration.of(results.of(id), evenings, truth) }
  puts "#{evenings} evenings of each of #{classes.size} classes, #{truth}"
  Calibration::SHARES.each do |share|
    told = classes.flat_map { |one| one.fetch(share).told }
    last = classes.flat_map { |one| one.fetch(share).last }
    puts format('at %.2f: told %.1f of 100, came %.1f; Brier score %.3f; the right one named last in %.0f of 100', share,
      told.sum(&:first) * 100 / told.size, told.count(&:last) * 100.0 / told.size, Calibration.brier(told),
      last.count(true) * 100.0 / last.size)
  end

  first = lambda do |model|
    Core::Session::Simulation.new(model).then do |simulation|
      Core::Session::Forecast.of(simulation, simulation.run(0...Application::LiveForecasts::STAGES.first))
    end
  end
  half = Core::Live::SimulatedTaps.events(result.plan, result.model, Bench::Evenings::START)
    .select { |event| event.at <= Bench::Evenings::START + 2700 }
  here = Core::Live::LiveState.new(result.plan, half)
  beside = Core::Session::BesideWork.watched(Core::Session::Simulation.new(result.model))
  rest = Core::Live::RemainingModel.new(result.model, here, Bench::Evenings::START + 2700, beside).model
  puts "what is left, by 12 people's taps  #{Bench.summary(Bench.milliseconds(15) {
    Core::Live::RemainingModel.new(result.model, here, Bench::Evenings::START + 2700, beside).model
  })}"
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
