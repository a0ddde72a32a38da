# frozen_string_literal: true

module Web
  module Presenters
    # A course of several evenings for the people of a class.
    class Course
      include Printing
      include OfClass

      # One evening as shown. chance: hundredths, nil before it is known · price: Money or nil
      Row = Core::Value.define(:key, :place, :name, :date, :fresh, :wanting, :revise, :chance, :status, :price, :words)
      GAP_DAYS = (1..90)
      USUAL_GAP = 7

      attr_reader :unit, :goal

      # @param courses [Application::Courses] @param params [Hash] projects: [key], gap, first, place: {key => number}, goal, evenings
      def initialize(result, courses, params, unit)
        @result = result
        @goal = CourseGoal.new(result, courses, params, unit)
        @first = params['first'].is_a?(String) ? params['first'].strip[0, 20] : ''
        @courses = courses
        @unit = unit
        @keys = Array(params['projects']).grep(String).first(60)
        @gap = params['gap'].is_a?(String) ? params['gap'].strip[0, 6] : ''
        @places = params['place'].is_a?(Hash) ? params['place'].select { |_, text| text.is_a?(String) && text.match?(/\A\d{1,2}\z/) } : {}
      end

      # @return [Array<(String, String, Boolean)>] key, name and whether it is chosen
      def projects
        designs = @result.projects.map(&:design).reject(&:test_piece)
        designs.map { |design| [design.key, design.name, keys.include?(design.key)] }.sort_by { |_, name, _| name }
      end

      # @return [String] the day of the first evening, as typed
      def first
        @first.empty? ? (@result.workshop.date + gap_days).iso8601 : @first
      end

      def first_error
        'Give a date, such as 2027-01-14.' if first_day.nil?
      end

      # @return [Boolean] whether ways to a goal are asked for, rather than projects chosen by hand
      def to_goal?
        @keys.empty? && goal.asked? && gap_error.nil? && first_error.nil?
      end

      # @return [Boolean] whether projects were chosen by hand
      def by_choice?
        @keys.any?
      end

      def proposal
        @proposal ||= goal.state(goal.dates(first_day, gap_days))
      end

      # Asks for what the page shows: ways to the goal, or the forecast of the evenings that were chosen.
      def ask
        return goal.ask(goal.dates(first_day, gap_days)) if to_goal?

        @courses.ask(id, order, dates) if chosen?
      end

      # @return [Array<String>] what else is on these days
      def taken
        @taken ||= @courses.taken(dates).map(&:state).map(&:workshop).map do |workshop|
          say('course.taken', date: workshop.date.strftime('%a %-d %b %Y'), title: workshop.title)
        end
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
        (lessons.size > 1 || (lessons.any? && to_goal?)) && gap_error.nil? && first_error.nil?
      end

      # @return [String] of this page, as it is
      def address
        places = (to_goal? ? [] : order).each_with_index.to_h { |key, i| [key, (i + 1).to_s] }
        own = to_goal? ? goal.query : { 'projects' => order, 'place' => places }
        "/classes/#{id}/course?#{Rack::Utils.build_nested_query({ **own, 'gap' => gap, 'first' => first })}"
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
        return goal.verdict(proposal.found) if to_goal?
        return say('course.not_taught', count: lessons.size) if !by_hand? && timetable.any? { |evening| evening.wanting.any? }
        return say(sequence.proven? ? 'course.proven' : 'course.good', count: lessons.size) unless by_hand?

        more = sequence.cost_of(lessons_in_order) - sequence.cost
        more.zero? ? say('course.as_good') : say('course.worse')
      end

      # @return [Application::Work::Job::State] of what the page waits for
      def state
        @state ||= to_goal? ? proposal : @courses.state(id, order, dates)
      end

      # @return [Array<Row>]
      def rows
        found = suits.to_h { |one| [one.key, one] }
        timetable.each_with_index.map { |evening, i| row(evening, i + 1, found[evening.lesson.key]) }
      end

      # @return [Core::Money, nil] what all evenings cost one person
      def price
        prices = suits.map(&:seat)
        prices.size == lessons.size && prices.none?(&:nil?) ? prices.reduce(:+) : nil
      end

      private

      # @return [Array<String>] chosen by hand, or proposed
      def keys
        to_goal? ? suits.map(&:key) : @keys
      end

      # @return [Array<Core::Comparison::Suitability>] of the evenings, as far as they are known
      def suits
        (to_goal? ? proposal.found&.evenings : state.found) || []
      end

      def gap_days
        gap_error ? USUAL_GAP : gap.to_i
      end

      # @return [Date, nil]
      def first_day
        date = Contracts::TypedField.date(first)
        date if date && Contracts::TypedField::YEARS.cover?(date.year)
      end

      def lessons
        @lessons ||= @courses.lessons(id, keys)
      end

      def timetable
        @timetable ||= Core::Course::CourseDates.of(lessons_in_order, sequence, @result.library.table.techniques,
          first_day, gap_days)
      end

      def sequence
        @sequence ||= @courses.sequence(id, lessons)
      end

      # Moved by hand where each has a place of its own.
      def lessons_in_order
        return lessons.sort_by { |lesson| keys.index(lesson.key) } if to_goal?
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
