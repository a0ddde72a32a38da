# frozen_string_literal: true

# How long bin/start takes warm, from the command to the first 200. Aim: under 3 s.
# Run: bundle exec ruby -I. bench/start.rb
require 'net/http'
require 'tmpdir'
require_relative 'support'

data = Dir.mktmpdir
times = Array.new(5) do
  pid = nil
  elapsed = Bench.milliseconds(1) do
    pid, port = Bench.serve(data)
    Net::HTTP.get_response(URI("http://127.0.0.1:#{port}/")).is_a?(Net::HTTPOK) or raise 'no 200'
  end
  Process.kill(:TERM, pid)
  Process.wait(pid)
  elapsed.first
end
puts "warm start to first 200: #{Bench.summary(times.drop(1).sort)}"
