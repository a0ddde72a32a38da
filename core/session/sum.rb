# frozen_string_literal: true

module Core
  module Session
    # The plain sum: welcome, then each step after its demonstration, then clearing up. Nobody waits for a tool or for help.
    module Sum
      module_function

      # @param tasks [Hash{String=>Array<Task>}] by attendee, in order
      # @return [Timetable]
      def timetable(tasks, available_minutes, calibration)
        Timetable.new(rows: tasks.transform_values { |list| row(list, calibration) }, available_minutes: available_minutes)
      end

      def row(tasks, calibration)
        clock = 0.0
        spans = [[:welcome, calibration.welcome_minutes, nil, []],
                 *tasks.flat_map { |task|
                   spans_of(task)
                 },
                 [:clearing, calibration.clearing_minutes, nil, []]]
        spans.map do |kind, length, step, tools|
          segment = Segment.new(kind: kind, from: clock, to: clock + length, step: step, tools: tools)
          clock = segment.to
          segment
        end
      end

      def spans_of(task)
        spans = [[:work, task.minutes, task.step, task.technique.tools]]
        task.demonstration_minutes.positive? ? [[:demonstration, task.demonstration_minutes, task.step, []], *spans] : spans
      end
      private_class_method :row, :spans_of
    end
  end
end
