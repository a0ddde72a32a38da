# frozen_string_literal: true

module Core
  module Steps
    # The plain sum: welcome, then each step after its demonstration, then clearing up. Nobody waits for a tool or for help, only for what
    # dries.
    module Sum
      module_function

      # @param tasks [Hash{String=>Array<Task>}] by attendee, in order
      # @return [Timetable]
      def timetable(tasks, available_minutes, calibration)
        lists = tool_lists
        Timetable.new(rows: tasks.transform_values { |list| row(list, calibration, lists) }, available_minutes: available_minutes)
      end

      # People hold the same tools at the same steps. @return [Hash{Hash=>Array<String>}] numbers of tools to each as often as it is held
      def tool_lists
        Hash.new { |lists, tools| lists[tools] = tools.each_with_object([]) { |(tool, number), list| list.fill(tool, list.size, number) } }
          .compare_by_identity
      end

      def row(tasks, calibration, lists)
        row = Row.new(lists)
        row.add(:welcome, calibration.welcome_minutes)
        tasks.each { |task| row.add_task(task) }
        row.add(:clearing, calibration.clearing_minutes)
        row.segments
      end

      # @param tasks [Array<Task>] of one attendee, in order @return [Float] minutes of waiting until something is dry
      def drying(tasks)
        row = Row.new(tool_lists)
        tasks.each { |task| row.add_task(task) }
        row.segments.select { |segment| segment.kind == :drying }.sum(&:minutes)
      end

      # One attendee's segments as they are added.
      class Row
        NO_TOOLS = [].freeze

        attr_reader :segments

        # @param lists [Hash] see Sum.tool_lists
        def initialize(lists)
          @lists = lists
          @segments = []
          @clock = 0.0
          @dry_at = {}
        end

        def add(kind, minutes, step = nil, tools = nil)
          return unless minutes.positive?

          @segments << Segment.new(kind: kind, from: @clock, to: @clock + minutes, step: step, tools: tools ? @lists[tools] : NO_TOOLS)
          @clock += minutes
        end

        # The piece waits while it dries, the hands do not: only what needs it dry waits.
        def add_task(task)
          add(:demonstration, task.demonstration_minutes, task.step, task.holding.kept) if task.demonstration_minutes.positive?
          dry = @dry_at.empty? ? nil : task.step.after.filter_map { |key| @dry_at[key] }.max
          add(:drying, dry - @clock, task.step, task.holding.kept) if dry
          add(:work, task.minutes, task.step, task.holding.held)
          @dry_at[task.step.key] = @clock + task.step.waits if task.step.waits.positive?
        end
      end
      private_class_method :row, :tool_lists
    end
  end
end
