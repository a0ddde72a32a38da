# frozen_string_literal: true

# The class page for 24 people, served by bin/start, against a bare Sinatra page of the same people, in the same run: 8 connections, five
# threads each; the first five seconds after a cold start, an edit, and the memory the server has then. wrk puts in what a stall kept it
# from asking (it corrects for coordinated omission).
# Needs wrk (apt-get install wrk). Run: bundle exec ruby -I. bench/page.rb
require 'erb'
require 'net/http'
require 'puma'
require 'sinatra/base'
require 'tmpdir'
require_relative 'support'
EagerBench.load(:standins, :web)

SECONDS = 5
SCRIPT = File.join(Dir.mktmpdir, 'p95.lua')
File.write(SCRIPT,
  'done = function(s, l, r) io.write(string.format("p50 %.1f p95 %.1f errors %d\n",
  l:percentile(50) / 1000, l:percentile(95) / 1000, s.errors.status)) end')

# The same people as rows of a table, read with Sequel on every request.
class Bare < Sinatra::Base
  set :host_authorization, { permitted_hosts: [] }
  set :show_exceptions, false
  get('/') do
    erb '<table><% settings.rows.order(:key).each do |r| %><tr><td><%= r[:name] %></td><td><%= r[:wrist_nm] %></td>' \
        '<td><%= r[:level] %></td><td><%= r[:notes] %></td><td><%= r[:colourway] %></td></tr><% end %></table>'
  end
end

# @return [Sequel::Dataset] the people in a table of their own
def rows(path, people)
  database = Store::Database.open(path)
  database.create_table(:people) { String :key; String :name; Integer :wrist_nm; Integer :level; String :notes; String :colourway }
  people.each { |one|
    database[:people].insert(key: one.key, name: one.name, wrist_nm: one.measures[:wrist].nm, level: one.level, notes: one.notes,
      colourway: one.colourway)
  }
  database[:people]
end

def serve
  reader, writer = IO.pipe
  pid = fork do
    server = Puma::Server.new(yield, nil, min_threads: 5, max_threads: 5)
    writer.puts server.add_tcp_listener('127.0.0.1', 0).addr[1]
    server.run.join
  end
  [pid, reader.gets.to_i]
end

# @return [Float] p95 in milliseconds
def measure(name, port, path, seconds: SECONDS, warm: true)
  address = "http://127.0.0.1:#{port}#{path}"
  2.times { `wrk -t1 -c8 -d1s #{address}` } if warm
  figures = `wrk -t1 -c8 -d#{seconds}s -s #{SCRIPT} #{address}`[/p50.*/]
  puts "#{name.ljust(34)} #{figures}"
  figures[/p95 ([\d.]+)/, 1].to_f
end

# @return [Array<Float>] sorted milliseconds that one person's size takes to be saved and the page's changes to come back
def edits(port, number)
  Net::HTTP.start('127.0.0.1', port) do |http|
    page = http.get('/classes/1')
    token = page.body[/name="authenticity_token" value="([^"]+)"/, 1]
    headers = { 'Cookie' => page['set-cookie'][/\A[^;]+/], 'X-Redraw' => '1' }
    i = -1
    Bench.milliseconds(number) do
      i += 1
      fields = {
        authenticity_token: token,
        name: 'Person 1',
        measure: "#{150 + (i % 40)} mm",
        body: 'wrist',
        level: '1',
        revision: (i + 2).to_s
      }
      answer = http.post('/classes/1/people/1', URI.encode_www_form(fields), headers)
      abort "an edit answered #{answer.code}" unless answer.code.to_i < 400
    end
  end
end

folder = Dir.mktmpdir
path = File.join(folder, 'studio.sqlite3')
studio = Bench.studio(path)
people = Bench.inputs(studio).attendees
studio.classes.edit(1, studio.classes.find(1).revision, 'bench') { |state| state.with(attendees: people) }
studio.result_cache.settle
studio.close
bare = serve { Bare.tap { |app| app.set(:rows, rows(File.join(folder, 'rows.sqlite3'), people)) } }
plain = measure('bare page', bare[1], '/')
page = Bench.serve(folder)
cold = measure('class page, first five seconds', page[1], '/classes/1', warm: false)
ratios = Array.new(3) {
  [measure('bare page', bare[1], '/'), measure('class page, 24 people', page[1], '/classes/1')].then { |a, b|
    b / a
  }
}
puts format('p95 of the class page: cold %<cold>.2f, warm %<warm>.2f times the bare page (median of three)', cold: cold / plain,
  warm: ratios.sort[1])
puts "an edit: #{Bench.summary(edits(page[1], 60))}"
{ 'bare page' => bare, 'bin/start' => page }.each do |name, (pid, _)|
  puts "resident memory of #{name}: #{Bench.megabytes(pid)} MB"
  Process.kill(:TERM, pid)
end
