# frozen_string_literal: true

# Shared by the measurements: a class of 24 people, medians, a served application.
require 'eager_bench'
EagerBench.load(:core, :formats, :store, :application, :demo)

module Bench
  module_function

  # @return [Core::Planning::Inputs] the demo's first class, grown to this many people of different sizes
  def inputs(studio, people: 24, project: nil)
    inputs = results(studio).of(studio.classes.find(1).id).inputs
    attendees = (0...people).map do |i|
      inputs.attendees[i % 12].with(key: (i + 1).to_s, name: "Person #{i + 1}",
        measures: { wrist: mm(130 + (i * 5)), neck: mm(330 + (i * 5)), ankle: mm(200 + (i * 5)), length: mm(150 + (i * 3)) },
        colourway: nil)
    end
    inputs.with(attendees: attendees, design: project || inputs.design)
  end

  # @return [Application::Results] that start no work beside themselves
  def results(studio)
    Application::Results.new(studio, Application::Forecasts.new(nil, studio.result_cache), Application::Searches.new(nil))
  end

  def mm(number)
    Core::Measure::Length.mm(number)
  end

  def studio(path = ':memory:')
    studio = Store::Studio.new(path)
    Demo::Loading.library(studio)
    Demo::Loading.classes(studio)
    studio
  end

  # Serves a folder as its users do. @param options [Array<String>] of bin/start
  # @return [(Integer, Integer)] process id and port, as soon as it tells its address
  def serve(folder, *options)
    output = IO.popen([File.join(EagerBench::ROOT, 'bin', 'start'), '--port', '0', '--data', folder, *options])
    [output.pid, output.each_line.find { |line| line.include?('http://') }[/:(\d+)/, 1].to_i]
  end

  # @return [Integer] megabytes of a process that lie in memory
  def megabytes(pid)
    File.read("/proc/#{pid}/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024
  end

  # @return [Array<Float>] sorted milliseconds of each run
  def milliseconds(runs)
    Array.new(runs) do
      started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      yield
      (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started) * 1000
    end.sort
  end

  def summary(sorted)
    format('median %<median>.1f ms, p95 %<p95>.1f ms', median: sorted[sorted.size / 2], p95: sorted[(sorted.size * 0.95).floor])
  end
end
