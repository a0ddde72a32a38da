# frozen_string_literal: true

require 'date'

module Web
  module Presenters
    # A course of several evenings for the people of a class.
    class Course
      include Printing

      # One evening as shown. chance: hundredths, nil before it is known · price: Money or nil
      Row = Core::Value.define(:key, :place, :name, :date, :fresh, :wanting, :revise, :chance, :status, :price, :words)
      GAP_DAYS = (1..90)
      USUAL_GAP = 7

      attr_reader :unit

      # @param courses [Application::Courses] @param params [Hash] projects: [key], gap, place: {key => number}
      def initialize(result, courses, params, unit)
        @result = result
        @courses = courses
        @unit = unit
        @keys = Array(params['projects']).grep(String).first(60)
        @gap = params['gap'].is_a?(String) ? params['gap'].strip[0, 6] : ''
        @places = params['place'].is_a?(Hash) ? params['place'].select { |_, text| text.is_a?(String) && text.match?(/\A\d{1,2}\z/) } : {}
      end

      def id
        @result.id
      end

      def title
        @result.workshop.title
      end

      # @return [Array<(String, String, Boolean)>] key, name and whether it is chosen
      def projects
        projects = @result.projects.map { |saved| [saved.design.key, saved.design.name, @keys.include?(saved.design.key)] }
        projects.sort_by { |_, name, _| name }
      end

      def gap
        @gap.empty? ? USUAL_GAP.to_s : @gap
      end

      def gap_error
        "Give a number of days from #{GAP_DAYS.begin} to #{GAP_DAYS.end}." unless gap.match?(/\A\d{1,2}\z/) && GAP_DAYS.cover?(gap.to_i)
      end

      def most
        Application::Courses::LESSONS
      end

      def chosen?
        lessons.size > 1 && gap_error.nil?
      end

      # @return [String] of this page, as it is
      def address
        places = order.each_with_index.to_h { |key, i| [key, (i + 1).to_s] }
        "/classes/#{id}/course?#{Rack::Utils.build_nested_query('projects' => order, 'gap' => gap, 'place' => places)}"
      end

      # @return [Array<String>] project keys in the order shown
      def order
        lessons_in_order.map(&:key)
      end

      # @return [Array<Date>]
      def dates
        timetable.map(&:date)
      end

      def by_hand?
        lessons_in_order != sequence.order
      end

      # @return [String] how good the order is
      def verdict
        return say(sequence.proven? ? 'course.proven' : 'course.good', count: lessons.size) unless by_hand?

        more = sequence.cost_of(lessons_in_order) - sequence.cost
        more.zero? ? say('course.as_good') : say('course.worse')
      end

      def state
        @state ||= @courses.state(id, order, dates)
      end

      # @return [Array<Row>]
      def rows
        found = (state.found || []).to_h { |one| [one.key, one] }
        timetable.each_with_index.map { |evening, i| row(evening, i + 1, found[evening.lesson.key]) }
      end

      # @return [Core::Money, nil] what all evenings cost one person
      def price
        prices = (state.found || []).map(&:seat)
        prices.size == lessons.size && prices.none?(&:nil?) ? prices.reduce(:+) : nil
      end

      private

      def lessons
        @lessons ||= @courses.lessons(id, @keys)
      end

      def timetable
        @timetable ||= Core::Course::CourseDates.of(lessons_in_order, sequence, @result.library.table.techniques,
          @result.workshop.date, gap.to_i)
      end

      def sequence
        @sequence ||= @courses.sequence(id, lessons)
      end

      # Moved by hand where each has a place of its own.
      def lessons_in_order
        return sequence.order unless @places.keys.sort == lessons.map(&:key).sort

        best = sequence.order
        best.sort_by { |lesson| [@places[lesson.key].to_i, best.index(lesson)] }
      end

      def row(evening, place, suits)
        Row.new(key: evening.lesson.key, place: place, name: evening.lesson.name, date: evening.date.strftime('%a %-d %b %Y'),
          fresh: evening.fresh.map(&:name).join(', '), revise: evening.revise.map(&:name).join(', '),
          wanting: evening.wanting.map { |technique, on| say('course.wanting', technique: technique.name, on: on ? on.name : '') },
          chance: suits&.chance && hundredths(suits.chance), status: suits ? suits.status : :awaited, price: suits&.seat,
          words: suits ? suits_words(suits) : '')
      end
    end
  end
end
