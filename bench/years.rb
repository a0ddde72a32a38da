# frozen_string_literal: true

# Five years of use: 2,000 classes, 1,500 people, 3,000 parts, 200 projects. How long each page takes, beside the demo's, in the same run.
# Aim: at most twice the demo's.
# Run: bundle exec ruby -I. bench/years.rb [classes]
require 'rack/mock'
require_relative 'support'
EagerBench.load(:standins, :web)

# Fills a studio.
module Years
  PEOPLE = 1500
  PARTS = 3000
  PROJECTS = 200
  TODAY = Date.new(2026, 11, 27)
  COMING = 12

  module_function

  def fill(studio, classes, random = Random.new(1))
    studio.write do
      parts(studio)
      projects = projects(studio)
      (0...classes).each { |i| studio.classes.create(state(i, classes, projects, random)) }
    end
  end

  def parts(studio)
    own = studio.catalogue.table.parts.values.select(&:bead?)
    more = (0...(PARTS - own.size)).map { |i| own[i % own.size].with(key: "more_#{i}", name: "#{own[i % own.size].name}, lot #{i}") }
    studio.catalogue.save(:parts, more)
  end

  def projects(studio)
    own = studio.projects.newest.map(&:design)
    more = (0...(PROJECTS - own.size)).map { |i| own[i % own.size].with(key: "more_#{i}", name: "#{own[i % own.size].name} #{i}") }
    more.map { |design| studio.projects.save(design).id }
  end

  def state(number, classes, projects, random)
    days = number < COMING ? number + 1 : -((number - COMING) * 1826 / classes) - 1
    people = Array.new(12) do
      i = random.rand(PEOPLE)
      Core::People::Attendee.new(key: '0', name: "Person #{i}", level: (i % 5) + 1, measures: { wrist: Bench.mm(140 + (i % 70)) })
    end
    workshop = Core::Setup::Workshop.new(key: 'w', title: "Class #{number}", date: TODAY + days,
      start: Core::Measure::ClockTime.parse('18:30'),
      minutes: 120, tool_sets: 12)
    Store::ClassState.new(workshop: workshop, project_version_id: projects[number % projects.size], attendees: people.uniq(&:name))
  end
end

# @return [Hash{String=>Array<Float>}] milliseconds by page: of the first look, and p95 of later ones, when all work beside the pages is
#   done
def times(studio, pages)
  app = Web::App.for_studio(studio, secret: 'x' * 64, runner: Application::Work::Runner.new, today: -> { Years::TODAY })
  client = Rack::MockRequest.new(app)
  get = ->(page) { client.get(page, 'HTTP_HOST' => '127.0.0.1') }
  first = pages.to_h do |page|
    answer = nil
    time = Bench.milliseconds(1) { answer = get.call(page) }.first
    abort "#{page} answered #{answer.status}" unless answer.status == 200
    [page, time]
  end
  settle(get)
  pages.to_h { |page| [page, [first[page], Bench.milliseconds(20) { get.call(page) }[18]]] }
end

# Until the list of classes waits for nothing.
def settle(get)
  120.times do
    return unless get.call('/').body.match?(/Being worked out|data-poll/)

    sleep 1
  end
end

if $PROGRAM_NAME == __FILE__
  $stdout.sync = true
  pages = ['/', '/classes/held', '/people', '/stockroom', '/projects', '/techniques', '/techniques/learnt', '/classes/new', '/fit-check',
           '/safe-keeping']
  demo = times(Bench.studio(File.join(Dir.mktmpdir, 'demo.sqlite3')), pages)
  path = File.join(Dir.mktmpdir, 'years.sqlite3')
  studio = Bench.studio(path)
  took = Bench.milliseconds(1) { Years.fill(studio, (ARGV[0] || 2000).to_i) }.first
  puts format('filled in %.1f s, %.1f MB', took / 1000, File.size(path) / 1e6)
  newest = studio.classes.coming(Years::TODAY).first.id
  years = times(studio, pages + ["/classes/#{newest}", "/classes/#{newest}/people/known"])
  demo.default = [0.0, 0.0]
  years.each do |page, (first, later)|
    puts format('%-28s first %7.0f ms, then p95 %6.0f ms; demo %6.0f and %5.0f ms', page, first, later, *demo[page])
  end
  exit!
end
