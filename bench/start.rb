# frozen_string_literal: true

# How long bin/start takes warm, from the command to the first 200. Aim: under 3 s.
# Run: bundle exec ruby -I. bench/start.rb
require 'net/http'
require 'tmpdir'
require_relative 'support'

data = Dir.mktmpdir
times = Array.new(5) do
  output = nil
  elapsed = Bench.milliseconds(1) do
    output = IO.popen([File.join(EagerBench::ROOT, 'bin', 'start'), '--port', '0', '--data', data])
    line = output.each_line.find { |text| text.include?('http://') }
    Net::HTTP.get_response(URI(line[%r{http://\S+}])).is_a?(Net::HTTPOK) or raise 'no 200'
  end
  Process.kill(:TERM, output.pid)
  output.close
  elapsed.first
end
puts "warm start to first 200: #{Bench.summary(times.drop(1).sort)}"
