# frozen_string_literal: true

# What an edit costs and what many at once leave behind: the price of writing through to the disk before an answer says "saved" (SQLite's
# synchronous FULL against NORMAL), 96 edits at once of four classes of thirty people, and the memory of uploads of 10 MB.
# Run: bundle exec ruby -I. bench/edits.rb
require_relative 'support'
require_relative 'hostile'
require 'tmpdir'

def edit(studio, id, venue)
  studio.classes.edit(id, studio.classes.find(id).revision, 'x') { |state| state.with(workshop: state.workshop.with(venue: venue)) }
end

def memory
  File.read('/proc/self/status')[/VmRSS:\s+(\d+)/, 1].to_i / 1024
end

folder = Dir.mktmpdir
studio = Bench.studio(File.join(folder, 'studio.sqlite3'))
%w[FULL NORMAL FULL NORMAL].each do |how|
  studio.database.run("PRAGMA synchronous = #{how}")
  number = 0
  puts "an edit, synchronous #{how.ljust(7)} #{Bench.summary(Bench.milliseconds(100) { edit(studio, 1, "Hall #{number += 1}") })}"
end
studio.database.run('PRAGMA synchronous = FULL')

people = Bench.inputs(studio, people: 30).attendees
state = studio.classes.find(1).state.with(attendees: people)
ids = Array.new(4) { studio.classes.create(state) }
runner = Application::Work::Runner.new
app = Web::App.for_studio(studio, secret: 'x' * 64, runner: runner, folder: folder, stages: [60])
before = ids.to_h { |id| [id, studio.classes.find(id).revision] }
# As many at once as the server has threads.
statuses = (0...96).each_slice(Web::Server::THREADS).flat_map do |numbers|
  numbers.map { |i|
    fields = { 'venue' => "Hall #{i}", 'revision' => before[ids[i % 4]].to_s }
    Thread.new { Hostile::Driver.new(app, Random.new(i)).post("/classes/#{ids[i % 4]}/settings", fields) }
  }.map { |thread| thread.value.status }
end
puts "96 edits at once: answers #{statuses.tally}, integrity #{studio.database.fetch('PRAGMA integrity_check').single_value}, #{memory} MB"

list = Rack::Multipart::UploadedFile.new(io: StringIO.new("article,price\n#{"x,1.00\n" * 1_400_000}"), filename: 'prices.csv')
before_upload = memory
5.times { Hostile::Driver.new(app, Random.new(1)).post('/stockroom/prices', 'supplier' => 'post_findings', 'file' => list) }
puts "five uploads of 10 MB: #{before_upload} MB before, #{memory} MB after"
runner.close
children = Hostile::Stops.children(Process.pid)
beside = Dir.children(folder) - %w[studio.sqlite3 studio.sqlite3-wal studio.sqlite3-shm]
puts "left running: #{children.size}; files left beside the studio: #{beside.inspect}"
studio.close
