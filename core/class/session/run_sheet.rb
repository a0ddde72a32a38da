# frozen_string_literal: true

module Core
  module Session
    # The plan by the clock, from a forecast: when to begin each demonstration, by when each step must be begun, when to call time.
    class RunSheet
      # One line.
      #
      # @param minute when
      # @param code :welcome, :demonstration, :step, :break, :time_out, :clearing or :end
      # @param step nil where it is about none
      # @param latest minute after which starting means finishing late; nil where there is none
      # @param range [early, late] of when
      Line = Value.define(:minute, :code, step: nil, technique: nil, latest: nil, range: nil, minutes: nil)

      # Starting by the latest start means finishing in time in this share of runs.
      SURE = 0.8

      # @param plan [Plan] @param forecast [Forecast] @param calibration [Calibration]
      def initialize(plan, forecast, calibration)
        @plan = plan
        @forecast = forecast
        @calibration = calibration
        @end = plan.workshop.minutes - calibration.clearing_minutes
      end

      # @return [Array<Line>] by the clock
      def lines
        first = [Line.new(minute: 0.0, code: :welcome, minutes: @calibration.welcome_minutes.to_f)]
        (first + pauses + demonstrations + steps + time_out + [Line.new(minute: @end.to_f, code: :clearing),
                                                               Line.new(minute: @plan.workshop.minutes.to_f, code: :end)])
          .each_with_index.sort_by { |line, index|
          [line.minute, index]
        }.map(&:first)
      end

      private

      def pauses
        session = @plan.workshop.session
        session.break_at.positive? && session.break_minutes.positive? ? [Line.new(minute: session.break_at.to_f, code: :break,
          minutes: session.break_minutes.to_f)] : []
      end

      def demonstrations
        return at_start if @plan.workshop.session.demonstrations == :at_start

        @forecast.watched.flat_map { |run| run.shown.to_a }.group_by(&:first).map do |key, pairs|
          technique = @plan.table.technique(key)
          minutes = pairs.map(&:last).sort
          Line.new(minute: middle(minutes), code: :demonstration, technique: technique, minutes: technique.demonstration_minutes.to_f,
            range: [Quantile.of(minutes, 0.1), Quantile.of(minutes, 0.9)])
        end
      end

      def at_start
        minute = @calibration.welcome_minutes.to_f
        shown = @plan.techniques.select { |technique| technique.demonstration_minutes.positive? }
        shown.map do |technique|
          line = Line.new(minute: minute, code: :demonstration, technique: technique, minutes: technique.demonstration_minutes.to_f)
          minute += technique.demonstration_minutes
          line
        end
      end

      def steps
        @plan.all_steps.uniq(&:key).filter_map do |step|
          begun = starts(step.key)
          next if begun.empty?

          minutes = begun.map(&:first).sort
          Line.new(minute: middle(minutes), code: :step, step: step, range: [Quantile.of(minutes, 0.1), Quantile.of(minutes, 0.9)],
            latest: latest(begun))
        end
      end

      # @return [Array<(Float, Float)>] in each watched run and for each person, when the step was begun and how long until all was done
      def starts(key)
        @forecast.watched.flat_map { |run|
          run.begun.filter_map { |person, tasks|
            (at = tasks[key]) && [at, run.finished.fetch(person) - at]
          }
        }
      end

      def latest(begun)
        [@end - Quantile.of(begun.map(&:last).sort, SURE), 0.0].max
      end

      # From when on nobody should begin what is optional.
      def time_out
        optional = @plan.people.select(&:fitted?).flat_map(&:tasks).select { |task| task.step.optional || task.kind == :extra }
        return [] if optional.empty?

        longest = optional.group_by { |task| task.step.key }.map { |_, tasks|
          [tasks.first.step,
           tasks.map { |task|
             task.minutes.to_f
           }.max]
        }
        longest.map { |step, minutes| Line.new(minute: [@end - minutes, 0.0].max, code: :time_out, step: step) }
      end

      def middle(sorted)
        Quantile.of(sorted, 0.5)
      end
    end
  end
end
