# frozen_string_literal: true

require 'icalendar'

module Formats
  # A class with its parts as iCalendar (RFC 5545): the class itself, and each demonstration, break and clearing up as an event of its own.
  # Times are local to wherever it is read, as a class is.
  module ClassCalendar
    PARTS = %i[demonstration break clearing].freeze

    module_function

    # @param workshop [Core::Setup::Workshop] @param lines [Array<Core::Session::RunSheet::Line>]
    # @return [String]
    def write(workshop, lines)
      calendar = Icalendar::Calendar.new
      calendar.prodid = '-//Eager Bench//Class//EN'
      calendar.add_event(event(workshop, 0, workshop.minutes, workshop.title, workshop.key))
      lines.select { |line| PARTS.include?(line.code) }.each_with_index do |line, index|
        calendar.add_event(event(workshop, line.minute, part_minutes(workshop, line), "#{workshop.title}: #{words(line)}",
          "#{workshop.key}-#{index}"))
      end
      calendar.to_ical
    end

    def event(workshop, minute, minutes, summary, key)
      Icalendar::Event.new.tap do |event|
        begins = time(workshop, minute)
        event.dtstart = Icalendar::Values::DateTime.new(begins)
        event.dtend = Icalendar::Values::DateTime.new(begins + Rational(minutes.round, 24 * 60))
        event.summary = summary
        event.location = workshop.venue unless workshop.venue.empty?
        event.uid = "#{key}@eager-bench"
        # The same class gives the same file.
        event.dtstamp = Icalendar::Values::DateTime.new(DateTime.new(workshop.date.year, workshop.date.month, workshop.date.day),
          'tzid' => 'UTC')
      end
    end

    def time(workshop, minute)
      date = workshop.date
      DateTime.new(date.year, date.month, date.day) + Rational(workshop.start.minutes + minute.round, 24 * 60)
    end

    def part_minutes(workshop, line)
      line.code == :clearing ? workshop.minutes - line.minute : line.minutes
    end

    def words(line)
      Wording.say("run_sheet.#{line.code}", technique: line.technique&.name.to_s)
    end
    private_class_method :event, :time, :part_minutes, :words
  end
end
