# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # The evening by the clock.
      class RunSheet < Section
        # More at a step, or at a demonstration, would hide the clock.
        MOST_FAULTS = { true => 1, false => 3 }.freeze

        # One line as shown. about, range, latest: by the clock, '' where not known
        # numbers: see Core::Planning::PlannedStep, of a checkpoint
        Line = Core::Value.define(:code, :about, :words, :range, :latest, :points, :faults, numbers: {}.freeze)

        # @return [Core::Session::Forecast, nil]
        def forecast
          @reading.forecast
        end

        def running?
          @reading.forecasting.running?
        end

        # @return [String, nil] why there is none
        def impossible
          found = @reading.forecasting.found
          say("impossible.#{found.code}", **found.values) if found.is_a?(Core::Session::Impossible)
        end

        def verdict
          @reading.verdicts.find { |one| one.code == :time }
        end

        # @return [Array<Core::Session::RunSheet::Line>]
        def plain_lines
          forecast ? Core::Session::RunSheet.new(plan, forecast, @reading.calibration).lines : []
        end

        # @return [Array<Line>]
        def lines
          plain_lines.map do |line|
            Line.new(code: line.code, about: clock(line.minute), words: words(line),
              range: line.range ? "#{clock(line.range.first)}\u2013#{clock(line.range.last)}" : '',
              latest: line.latest ? clock(line.latest) : '', points: line.technique ? line.technique.points : [],
              faults: faults(line), numbers: numbers(line.step))
          end
        end

        # @return [String, nil] when a step is begun, or a technique shown; nil where that is not known
        def about(step: nil, technique: nil)
          @plain_lines ||= plain_lines
          line = @plain_lines.find { |one| step ? one.step&.key == step.key : one.step.nil? && one.technique == technique }
          line && clock(line.minute)
        end

        # @return [Array<Core::Catalogue::Fault>] what was seen in other classes first, all of it
        def faults(line)
          piece = plan.people.find(&:fitted?)&.piece
          own = piece && line.step ? Formats::StepFaults.new(piece).at(line.step, line.technique) : line.technique&.faults.to_a
          seen, unseen = own.partition { |fault| seen_before(fault).positive? }
          (seen.sort_by { |fault| -seen_before(fault) } + unseen).first([MOST_FAULTS.fetch(!line.step.nil?), seen.size].max)
        end

        # @return [Integer] how often it was tapped in other classes
        def seen_before(fault)
          @reading.seen_signs.fetch(fault.mark, 0)
        end

        # @return [String] the points of a demonstration as sentences
        def in_a_row(points)
          points.map { |point| "#{point.chomp('.')}." }.join(' ')
        end

        def ribbon
          Ribbon.new(@reading, unit).drawing
        end

        def kinds
          Formats::RibbonSvg::KINDS
        end

        def sample(kind)
          Formats::RibbonSvg.sample(kind)
        end

        private

        def numbers(step)
          return {} unless step&.checkpoint

          plan.steps.find { |planned| planned.step.key == step.key }&.numbers || {}
        end

        def clock(minute)
          (workshop.start + minute).to_s
        end

        def words(line)
          text = say("run_sheet.#{line.code}", technique: line.technique ? line.technique.name : '',
            step: line.step ? step_in_short(line.step) : '')
          line.minutes ? "#{text}, #{minutes_text(line.minutes)}" : text
        end
      end
    end
  end
end
