# frozen_string_literal: true

# A shared studio with eight people signed in, four on one class and four on others, each changing someone's size every few seconds for a
# minute: how long an answer takes, whether an edit is lost; then the memory over 20,000 pages. Aims: p95 under 300 ms, nothing lost, flat.
# Run: bundle exec ruby -I. bench/crowd.rb [seconds] [pages]
require 'bcrypt'
require 'net/http'
require 'tmpdir'
require_relative 'support'
EagerBench.load(:standins, :web)

# Someone at a browser.
class Visitor
  PASSWORD = 'three moons over a hill'

  attr_reader :milliseconds, :statuses, :last

  def initialize(port, number, class_id)
    @http = Net::HTTP.start('127.0.0.1', port, read_timeout: 30)
    @number = number
    @class_id = class_id
    @random = Random.new(number)
    @milliseconds = []
    @statuses = []
    sign_in
  end

  # Each has a person of their own in the class, so that no two change the same place.
  def work(ends)
    until Process.clock_gettime(Process::CLOCK_MONOTONIC) > ends
      size = 150 + @random.rand(60)
      page = get("/classes/#{@class_id}")
      revision = page.body[/name="revision" value="(\d+)"/, 1]
      status = timed { change(size, revision) }
      @last = size if status < 400
      sleep 1 + @random.rand(2.0)
    end
  end

  def person
    (@number % 4) + 1
  end

  def close
    @http.finish
  end

  private

  def sign_in
    page = get('/sign-in')
    post('/sign-in', login: "one#{@number}@example.org", password: PASSWORD, authenticity_token: token(page))
    @token = token(get('/keys'))
  end

  def change(size, revision)
    post("/classes/#{@class_id}/people/#{person}", name: "Person #{person}", measure: "#{size} mm", body: 'wrist', level: '2',
      revision: revision,
      authenticity_token: @token, place: 'plan').code.to_i
  end

  def timed
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    status = yield
    @milliseconds << ((Process.clock_gettime(Process::CLOCK_MONOTONIC) - began) * 1000)
    @statuses << status
    status
  end

  def get(path)
    keep(@http.get(path, 'Cookie' => @cookie.to_s))
  end

  def post(path, fields)
    keep(@http.post(path, URI.encode_www_form(fields), 'Cookie' => @cookie.to_s, 'X-Redraw' => '1'))
  end

  def keep(answer)
    @cookie = answer['set-cookie'][/\A[^;]+/] if answer['set-cookie']
    answer
  end

  def token(page)
    page.body[/name="authenticity_token" value="([^"]+)"/, 1]
  end
end

$stdout.sync = true
seconds, pages = (ARGV.map(&:to_i) + [60, 20_000].drop(ARGV.size)).first(2)
folder = Dir.mktmpdir
path = File.join(folder, 'studio.sqlite3')
studio = Bench.studio(path)
people = Bench.inputs(studio, people: 12).attendees
ids = [1, 1, 1, 1, 2, 3, 4, 5].each_with_index.map { |_, i| i < 4 ? :shared : i }
state = studio.classes.find(1).state.with(attendees: people)
shared = studio.classes.create(state)
ids = ids.map { |one| one == :shared ? shared : studio.classes.create(state) }
hash = BCrypt::Password.create(Visitor::PASSWORD, cost: BCrypt::Engine::MIN_COST)
8.times do |number|
  studio.accounts.add(login: "one#{number}@example.org", name: "One #{number}", role: number.zero? ? :owner : :instructor)
end
studio.database[:accounts].update(password_hash: hash)
studio.close
server, port = Bench.serve(folder, '--shared', '--address', '127.0.0.1')
visitors = ids.each_with_index.map { |id, number| Visitor.new(port, number, id) }
ends = Process.clock_gettime(Process::CLOCK_MONOTONIC) + seconds
visitors.map { |visitor| Thread.new { visitor.work(ends) } }.each(&:join)
all = visitors.flat_map(&:milliseconds).sort
puts "#{all.size} edits by eight in #{seconds} s: #{Bench.summary(all)}, answers #{visitors.flat_map(&:statuses).tally}"
studio = Store::Studio.new(path)
lost = visitors.zip(ids).reject do |visitor, id|
  studio.classes.find(id).state.attendees[visitor.person - 1].measures[:wrist] == Bench.mm(visitor.last)
end
puts "edits lost: #{lost.size}; integrity #{studio.database.fetch('PRAGMA integrity_check').single_value}"
if pages.positive?
  cookie = visitors.first.instance_variable_get(:@cookie)
  figures = [Bench.megabytes(server)]
  4.times do
    Array.new(4) do
      Thread.new do
        Net::HTTP.start('127.0.0.1', port) do |http|
          (pages / 16).times { |i| http.get(%w[/ /classes/1 /projects /stockroom][i % 4], 'Cookie' => cookie) }
        end
      end
    end.each(&:join)
    figures << Bench.megabytes(server)
  end
  puts "memory over #{pages} pages, at the start and after each quarter: #{figures.join(', ')} MB"
end
visitors.each(&:close)
Process.kill(:TERM, server)
