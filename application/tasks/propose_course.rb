# frozen_string_literal: true

module Application
  module Tasks
    # Finds evenings that lead a group to a goal and that it can finish: the best way there is simulated evening by evening, and what
    # cannot be taught to this group is left out and another way is looked for.
    #
    # @param inputs Core::Planning::Inputs of the group
    # @param designs [Core::Project::Design] to choose from
    # @param known [technique key] to the group
    # @param goal "project/KEY", or "technique/KEY" for any project that uses it
    # @param dates [Date] as many as there may be evenings
    # @param stock Core::Supply::Stock free for the first
    ProposeCourse = Core::Value.define(:inputs, :designs, :known, :goal, :dates, :market, :stock) do
      # @return [Found]
      def call(report)
        ProposeCourse::Search.new(self).call(report)
      end
    end

    class ProposeCourse
      # @param evenings [Core::Comparison::Suitability] in order, up to the goal; where there is no way, the nearest project alone; or none
      # @param left_out [Core::Comparison::Suitability] of what this group cannot be taught
      # @param nearest [String, nil] name of what is proposed instead of the goal
      Found = Core::Value.define(:evenings, :left_out, nearest: nil)

      # One search; what was simulated once is kept.
      class Search
        TRIES = 16
        # So many of what is near to a goal are tried.
        MOST_NEAR = 6

        # @param task [ProposeCourse]
        def initialize(task)
          @task = task
          @lessons = task.designs.filter_map { |design| Core::Course::Lesson.of(design, task.inputs.table) }
          @goals = goals(*task.goal.split('/', 2))
          @left_out = []
          @least = 1
          @suits = {}
          @groups = { [] => task.inputs }
        end

        # @return [Found]
        def call(report)
          TRIES.times do |i|
            report.call(Work::Progress.new(share: i.fdiv(TRIES)))
            way = next_way
            next give_up if way.nil? && @failing
            break if way.nil?

            evenings = way.each_index.lazy.map { |at| suits(way.first(at + 1)) }
            fails = evenings.find { |one| fails?(one) }
            return Found.new(evenings: evenings.to_a, left_out: @left_out) if fails.nil?

            leave_out(fails, way)
          end
          give_up if @failing
          instead = nearest
          Found.new(evenings: [instead].compact, left_out: @left_out.sort_by { |one| goal?(one) ? 0 : 1 }, nearest: instead&.name)
        end

        private

        # @return [Array<String>] keys of the projects by which the goal is reached
        def goals(kind, key)
          return [key] if kind == 'project'

          @lessons.select { |lesson| lesson.techniques.include?(key) }.map(&:key)
        end

        # Before a goal is given up, longer ways to it are tried: who has practised more is quicker.
        def leave_out(fails, way)
          return @left_out << fails unless goal?(fails)

          @failing = fails
          fails.likely == :unlikely && way.size < @task.dates.size ? @least = way.size + 1 : give_up
        end

        def give_up
          @left_out << @failing
          @failing = nil
          @least = 1
        end

        def next_way
          free = @lessons.reject { |lesson| left_out?(lesson) }
          goals = free.select { |lesson| @failing ? lesson.key == @failing.key : goal?(lesson) }
          Core::Course::WayTo.new(free, @task.inputs.table.techniques, @task.known).best(goals, @least..@task.dates.size)
        end

        # @return [Core::Comparison::Suitability, nil] of the project most like a goal, by the techniques they share, that can be finished
        def nearest
          goals, others = @lessons.partition { |lesson| goal?(lesson) }
          free = others.reject { |lesson| left_out?(lesson) || likeness(lesson, goals).zero? }
          free.max_by(MOST_NEAR) { |lesson| likeness(lesson, goals) }.lazy.map { |lesson| suits([lesson]) }.find { |one| !fails?(one) }
        end

        # @return [Float] share of the techniques of both that both use
        def likeness(lesson, goals)
          goals.map { |goal| (lesson.techniques & goal.techniques).size.fdiv((lesson.techniques | goal.techniques).size) }.max || 0.0
        end

        def left_out?(lesson)
          @left_out.any? { |one| one.key == lesson.key }
        end

        def goal?(one)
          @goals.include?(one.key)
        end

        # A goal that harms someone is wanted all the same: it can be made of something else.
        def fails?(one)
          return one.status == :will_not unless one.reason == :harms && goal?(one)

          one.likely == :unlikely || one.wrong.positive?
        end

        # @param way [Array<Core::Course::Lesson>] @return [Core::Comparison::Suitability] of its last evening
        def suits(way)
          @suits[way.map(&:key)] ||= begin
            group = group_after(way[0...-1])
            evening = group.with(workshop: group.workshop.with(date: @task.dates[way.size - 1]))
            Core::Comparison::Suitability.of(evening, design(way.last), @task.market, @task.stock)
          end
        end

        # @return [Core::Planning::Inputs]
        def group_after(lessons)
          @groups[lessons.map(&:key)] ||= Courses.after(group_after(lessons[0...-1]), design(lessons.last))
        end

        def design(lesson)
          @task.designs.find { |design| design.key == lesson.key }
        end
      end
    end
  end
end
