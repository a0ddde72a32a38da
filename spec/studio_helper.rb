# frozen_string_literal: true

require_relative 'spec_helper'
require 'fileutils'
require 'tmpdir'
EagerBench.load(:formats, :store, :application, :demo)

# A studio of its own for each example.
module Studios
  # @return [Store::Studio] in a file of its own, with the library and, when asked, the demo's classes
  def new_studio(path: File.join(Dir.mktmpdir, 'studio.sqlite3'), demo: true)
    FileUtils.cp(Studios.filled(demo), path) unless File.exist?(path)
    Store::Studio.new(path)
  end

  # Work beside the pages is done by one runner for all examples.
  RUNNER = Application::Work::Runner.new
  at_exit { RUNNER.close }
  # Forecasts end after fewer runs, so that the specs do not wait for two cores.
  STAGES = [60, 200].freeze
  # Seconds until what is worked out beside the pages must be there, however busy the machine.
  PATIENCE = 240
  # The day on which the demo's classes are all to come.
  TODAY = Date.new(2026, 11, 27)

  # @return [Application::Results] of a studio, whose forecasts are asked for through #forecasts
  def results_of(studio, today: TODAY)
    @forecasts = Application::Forecasts.new(RUNNER, studio.result_cache, stages: STAGES)
    Application::Results.new(studio, @forecasts, Application::Searches.new(RUNNER), today: -> { today })
  end

  # @return [Core::Planning::Plan]
  def plan_of(id)
    results_of(studio).of(id).plan
  end

  # @return [Core::Supply::ClassSupply, nil]
  def supply_of(id)
    results_of(studio).of(id).supply
  end

  # @return [Core::Planning::Inputs]
  def inputs_of(id)
    results_of(studio).of(id).inputs
  end

  # What is worked out for every project is worked out sooner.
  # @param keys [Array<String>] of the projects that stay, beside those that classes are planned with
  def leave_projects(*keys)
    planned = studio.database[:classes].select(:project_version_id)
    studio.database[:project_versions].exclude(project_key: keys).exclude(id: planned).delete
  end

  # @return [Application::KitStock]
  def kit_stock
    Application::KitStock.new(studio, results_of(studio))
  end

  # @return [Application::ClassResult] of a class whose forecast is done
  def result_of(studio, id = studio.classes.coming(Studios::TODAY).first.id)
    results = results_of(studio)
    @forecasts.ask(id, results.of(id).model)&.wait(Studios::PATIENCE)
    results.of(id)
  end

  # Filled once, then copied.
  # @return [String] the file
  def self.filled(demo)
    (@filled ||= {})[demo] ||= begin
      path = File.join(Dir.mktmpdir, 'studio.sqlite3')
      studio = Store::Studio.new(path)
      Demo::Loading.library(studio)
      Demo::Loading.classes(studio) if demo
      studio.database.run('PRAGMA wal_checkpoint(TRUNCATE)')
      studio.database.disconnect
      path
    end
  end
end

RSpec::Matchers.define_negated_matcher :not_change, :change
RSpec.configure do |config|
  config.include Studios
  # What an example left behind does not hold up the next.
  config.after { Studios::RUNNER.clear }
end
