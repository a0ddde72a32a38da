# frozen_string_literal: true

module Web
  module Presenters
    # What a course is to lead to, and the evenings that are proposed for it.
    class CourseGoal
      include Printing

      EVENINGS = (1..8)
      USUAL_EVENINGS = 4

      attr_reader :unit

      # @param result [Application::ClassResult] @param courses [Application::Courses] @param params [Hash] goal, evenings
      def initialize(result, courses, params, unit)
        @result = result
        @courses = courses
        @unit = unit
        @goal = params['goal'].is_a?(String) ? params['goal'] : ''
        @evenings = params['evenings'].is_a?(String) ? params['evenings'].strip[0, 6] : ''
      end

      # @return [Hash{String=>Array<(String, String, Boolean)>}] heading => value, name and whether it is chosen
      def choices
        { 'A piece' => options('project', projects), 'A technique' => options('technique', techniques) }
      end

      # @return [String, nil] what is to be reached, nil where nothing that exists was chosen
      def name
        kind, key = @goal.split('/', 2)
        { 'project' => projects, 'technique' => techniques }.fetch(kind, {})[key]
      end

      def evenings
        @evenings.empty? ? USUAL_EVENINGS.to_s : @evenings
      end

      # @return [String, nil]
      def evenings_error
        return if evenings.match?(/\A\d\z/) && EVENINGS.cover?(evenings.to_i)

        "Give a number of evenings from #{EVENINGS.begin} to #{EVENINGS.end}."
      end

      def asked?
        !name.nil? && evenings_error.nil?
      end

      # @return [Array<Date>] that there may be
      def dates(first, gap_days)
        Array.new(evenings.to_i) { |i| first + (i * gap_days) }
      end

      def ask(dates)
        @courses.propose(@result.id, @goal, dates)
      end

      # @return [Application::Work::Job::State] found: Application::Tasks::ProposeCourse::Found
      def state(dates)
        @courses.proposal(@result.id, @goal, dates)
      end

      # @param found [Application::Tasks::ProposeCourse::Found] @return [String] what came of it
      def verdict(found)
        return say('course.nearest', goal: name, minutes: @result.workshop.minutes, nearest: found.nearest) if found.nearest
        return say('course.led') if found.evenings.any?
        return say('course.no_project', goal: name) if found.left_out.empty?

        say('course.no_way', goal: name, minutes: @result.workshop.minutes)
      end

      # @return [Array<String>] what this group cannot be taught, and why
      def left_out(found)
        found.left_out.map { |one| say('course.left_out', name: one.name, why: why(one)) }
      end

      # @return [Hash{String=>String}] for the page's address
      def query
        { 'goal' => @goal, 'evenings' => evenings }
      end

      private

      def why(one)
        return suits_words(one) unless one.likely == :unlikely && one.chance

        say('course.too_long', chance: hundredths(one.chance), minutes: one.late_end.ceil)
      end

      def projects
        @projects ||= @result.projects.map(&:design).reject(&:test_piece).to_h { |design| [design.key, design.name] }
      end

      def techniques
        @techniques ||= @result.library.table.techniques.transform_values(&:name)
      end

      def options(kind, names)
        names.sort_by(&:last).map { |key, name| ["#{kind}/#{key}", name, "#{kind}/#{key}" == @goal] }
      end
    end
  end
end
