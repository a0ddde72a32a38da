# frozen_string_literal: true

# The class page for 24 people against a bare Sinatra page of the same table, in the same run: 8 connections, five threads each.
# Needs wrk (apt-get install wrk). Run: bundle exec ruby --yjit --yjit-exec-mem-size=16 -I. bench/page.rb
require 'erb'
require 'puma'
require 'sinatra/base'
require 'tmpdir'
require_relative 'support'
EagerBench.load(:standins, :web)

SECONDS = 5
SCRIPT = File.join(Dir.mktmpdir, 'p95.lua')
File.write(SCRIPT, 'done = function(s, l, r) io.write(string.format("p50 %.1f p95 %.1f errors %d\n", l:percentile(50) / 1000, l:percentile(95) / 1000, s.errors.status)) end')

# The same people as rows, read with Sequel on every request.
class Bare < Sinatra::Base
  set :host_authorization, { permitted_hosts: [] }
  set :show_exceptions, false
  get('/') { erb '<table><% settings.studio.database[:attendees].where(class_id: 1).order(:key).each do |r| %><tr><td><%= r[:name] %></td><td><%= r[:wrist_nm] %></td><td><%= r[:level] %></td><td><%= r[:mind] %></td><td><%= r[:colourway] %></td></tr><% end %></table>' }
end

def serve(app)
  reader, writer = IO.pipe
  pid = fork do
    server = Puma::Server.new(app, nil, min_threads: 5, max_threads: 5)
    writer.puts server.add_tcp_listener('127.0.0.1', 0).addr[1]
    server.run.join
  end
  [pid, reader.gets.to_i]
end

def measure(name, port, path)
  address = "http://127.0.0.1:#{port}#{path}"
  2.times { `wrk -t1 -c8 -d1s #{address}` }
  figures = `wrk -t1 -c8 -d#{SECONDS}s -s #{SCRIPT} #{address}`[/p50.*/]
  puts "#{name.ljust(30)} #{figures}"
  figures[/p95 ([\d.]+)/, 1].to_f
end

studio = Bench.studio(File.join(Dir.mktmpdir, 'studio.sqlite3'))
inputs = Bench.inputs(studio)
studio.classes.edit(1, studio.classes.find(1).revision, 'bench') { |state| state.with(attendees: inputs.attendees) }
studio.database.disconnect
Bare.set :studio, studio
servers = [[Bare, '/'], [Web::App.for_studio(studio, secret: 'x' * 64), '/classes/1']].map { |app, path| [*serve(app), path] }
sleep 1
ratios = Array.new(3) do
  bare, page = [['bare page', *servers[0]], ['class page, 24 people', *servers[1]]].map { |name, _, port, path| measure(name, port, path) }
  page / bare
end
puts format('p95 of the class page is %.2f times the bare page (median of three)', ratios.sort[1])
servers.each do |pid, *|
  puts "resident memory of worker #{pid}: #{File.read("/proc/#{pid}/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024} MB"
  Process.kill(:TERM, pid)
end
