# frozen_string_literal: true

# Evenings with a truth that is not the product's own simulator's: classes are handed to bench/evening_reference.py, which plays them in
# SimPy and says what was tapped.
require 'json'
require 'open3'

module Bench
  module Evenings
    START = 1_800_000_000
    PYTHON = '/usr/bin/python3'

    # techniques, evening, between: spreads of logarithms of the truth · forgotten: share of taps · late, late_minutes: share, mean delay
    TRUTH = { techniques: 0.2, evening: 0.1, between: 0.22, forgotten: 0.0, late: 0.0, late_minutes: 2.5, calls: false }.freeze
    # What came of an evening. paces: {technique => factor} · evening: factor · people: {person => factor} ·
    # finished: {person => minute} · events: [Core::Live::Event]
    Evening = Struct.new(:paces, :evening, :people, :finished, :events)

    module_function

    # @param classes [Array<Hash>] see .told @return [Array<Evening>]
    def play(classes)
      output, status = Open3.capture2(PYTHON, File.join(__dir__, 'evening_reference.py'), stdin_data: classes.map(&:to_json).join("\n"))
      abort 'bench/evening_reference.py failed' unless status.success?
      output.each_line.map { |line| came(JSON.parse(line)) }
    end

    # @param plan [Core::Planning::Plan] @param model [Core::Session::Model] of it @param truth [Hash] over TRUTH
    # @return [Hash] of one class, as the reference reads it
    def told(plan, model, seed:, **truth)
      techniques = plan.people.flat_map(&:tasks).to_h { |task| [task.step.key, task.technique.key] }
      { seed: seed, keys: techniques.values.uniq.sort, tools: model.tools, helpers: model.helpers, sigmas: model.sigmas, stuck: model.stuck,
        help_minutes: model.help_minutes, check_minutes: model.check_minutes, walking: model.walking, fatigue: model.fatigue,
        tires_after: model.tires_after, demonstrations: model.demonstrations.map(&:to_h),
        people: model.people.map { |person| { key: person.key, begins: person.begins, tasks: person.tasks.map { |task| work(task,
          techniques) } } } }
        .merge(TRUTH, truth)
    end

    def work(task, techniques)
      { minutes: task.minutes, sigma: task.sigma, technique: techniques[task.label], takes: task.takes || task.tools,
        gives: task.gives || task.tools, demonstration: task.demonstration, help: task.help, check: task.check, optional: task.optional }
    end

    def came(told)
      last = told['taps'].map(&:first).max
      rows = [[0.0, 'start', nil], *told['taps'], [last + 1, 'end', nil]]
      events = rows.each_with_index.map do |(minute, kind, person), i|
        Core::Live::Event.new(key: format('%024x', i), kind: kind.to_sym, at: START + (minute * 60).round, person: person)
      end
      Evening.new(told['paces'], told['evening'], told['people'], told['finished'], events)
    end
  end
end
