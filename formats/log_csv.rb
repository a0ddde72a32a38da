# frozen_string_literal: true

require 'csv'

module Formats
  # What happened in a class as a table: one row a step and person. Minutes; planned and taken.
  module LogCsv
    HEAD = %w[person step times minutes_planned minutes_taken].freeze

    module_function

    # @param plan [Core::Planning::Plan] @param evening [Core::Live::LiveState] @return [String]
    def write(plan, evening)
      rows = evening.people.values.flat_map { |person|
        person.times.sort.map { |place, seconds|
          task = person.tasks[place]
          [plan.person(person.key).attendee.name, Wording.step(task.step), seconds.size, task.minutes.to_f.round(1),
            (seconds.sum / 60.0).round(1)]
        }
      }
      CSV.generate { |csv| [HEAD, *rows].each { |row| csv << row.map { |cell| SafeCell.call(cell) } } }
    end
  end
end
