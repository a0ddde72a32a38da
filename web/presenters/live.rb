# frozen_string_literal: true

require 'date'
require 'securerandom'

module Web
  module Presenters
    # A class as it happens: who needs the instructor, where everyone is, and whether all will finish from here.
    class Live
      include Printing
      include OfClass
      include Cards
      include Room

      # One person's card. step: in words, nil when all is done · share: hundredths of the usual time that are gone · chance: hundredths,
      # nil before it is known
      # look: whether the step is a checkpoint · advice: words for what was measured there, nil before
      # flat: the length that the step asks for laid flat, nil where it asks for none
      # short: the step in a few words · signs: what goes wrong at the step, by its tap · problem: the one that was seen
      # steps: places of all their steps among the names of steps, before they are tapped
      Card = Core::Value.define(:key, :name, :level, :number, :all, :step, :short, :minutes, :usual, :share, :chance, :hand, :here, :done,
        :first, :look, :used_up, :flat, :advice, :signs, :problem, :notes, :steps)
      # How something shows that went wrong. detail: of its tap · words: what to do about it
      Sign = Core::Value.define(:detail, :sign, :words)
      # Those at one table, in order.
      Table = Core::Value.define(:number, :cards)
      # What could still be done, by the tap that does it. action: on its button · chance: hundredths then, nil before it is known
      Lever = Core::Value.define(:kind, :detail, :words, :action, :chance)
      # What comes next by the clock.
      Next = Core::Value.define(:at, :words, :late)
      # A tool that is handed out and counted in. all: how many are out · handed: whether that was counted
      Tool = Core::Value.define(:key, :name, :all, :handed, :back)
      # Someone whom two taps moved on. tap: key of the second
      Twice = Core::Value.define(:name, :seconds, :tap)
      # One line of who needs the instructor.
      Need = Core::Value.define(:key, :name, :words, :code)
      Tap = Core::Value.define(:key, :words)

      UNDOABLE = 20

      attr_reader :unit, :draft

      # @param draft [Draft, nil] of someone new, as it was refused @param practice [Boolean]
      # @param phones [PhoneAccess, nil] nil on a phone itself
      def initialize(result, evening, forecasts, now, unit, draft: nil, practice: false, phones: nil)
        @draft = draft
        @practice = practice
        @phones = phones
        @result = result
        @plan = result.plan
        @evening = evening
        @forecasts = forecasts
        @now = now
        @unit = unit
      end

      attr_reader :plan, :evening

      def practice?
        @practice
      end

      def body
        @plan.design.body
      end

      # @return [Boolean] whether those who come are measured for this piece
      def measured?
        body != :own
      end

      def state
        return :before if @evening.started.nil?

        @evening.ended ? :after : :under_way
      end

      # @return [String, nil] that it is not planned for today; nil where it is, or is only practised
      def other_day
        planned, today = @result.workshop.date, Time.at(@now).to_date
        say('live.other_day', planned: planned.strftime('%-d %B'), today: today.strftime('%-d %B')) unless practice? || planned == today
      end

      # @return [String] names a tap of its own
      def new_key
        SecureRandom.hex(12)
      end

      def clock
        Core::Measure::ClockTime.new(@result.workshop.start.minutes + @evening.minute(@now).floor)
      end

      # @return [String] what is left of the class
      def left
        minutes = (@result.workshop.minutes - @evening.minute(@now)).round
        minutes.negative? ? "#{-minutes} min over time" : "#{minutes} min left"
      end

      def working_out?
        @forecasts.running?(id)
      end

      # @return [String] whether all will finish from here
      def outlook
        return 'Everyone has finished.' if @evening.working.empty?
        return 'How it will end is being worked out.' if forecast.nil?

        by = @result.workshop.start + forecast.end_at(0.9)
        "#{hundredths(forecast.chance)} in 100 chance that everyone finishes; 9 of 10 classes like this end by #{by}."
      end

      def status
        return :fits if @evening.working.empty?
        return :awaited if forecast.nil?

        Core::Session::Likelihood.status(forecast.chance, @result.workshop.session.target)
      end

      # @return [Array<Lever>]
      def levers
        return [] unless @evening.running?

        Core::Live::LastChanges.of(@evening, @now).map do |lever|
          then_ = @forecasts.with(id, lever)
          Lever.new(kind: lever.kind.to_s, detail: lever.detail, words: lever_words(lever), action: say("live.levers.#{lever.kind}.action"),
            chance: then_ && hundredths(then_.chance))
        end
      end

      # @return [Integer, nil] hundredths
      def chance_now
        forecast && hundredths(forecast.chance)
      end

      # @return [Array<Next>] what comes next by the plan's clock
      def coming
        planned = @result.forecast or return []
        minute = @evening.minute(@now)
        lines = Core::Session::RunSheet.new(@plan, planned, @result.inputs.calibration).lines
        ahead = lines.select { |line| line.minute >= minute && %i[demonstration break clearing end].include?(line.code) }.first(2)
        (ahead + latest_starts(lines, minute)).map { |line| shown(line, minute) } + drying
      end

      # @return [Array<Twice>] whom two taps moved on almost at once: one of them was likely meant for nothing
      def moved_twice
        Core::Live::DoubleTap.of(@evening, @now).map { |one| Twice.new(name: name(one.person), seconds: one.seconds, tap: one.tap) }
      end

      # @return [Array<(String, String)>] key and name of the techniques that can be shown now: those that someone is at or comes to next
      def to_show
        next_up = @evening.working.flat_map { |person| person.left.first(2) }.select { |task| task.demonstration_minutes.positive? }
        unshown = next_up.map(&:technique).uniq.reject { |technique| @evening.shown.include?(technique.key) }
        unshown.map { |technique| [technique.key, technique.name] }
      end

      # @return [String, nil] what is being shown, and for how long
      def showing
        now = @evening.showing or return
        technique = @plan.table.techniques[now.technique]
        "Showing: #{technique ? technique.name : now.technique}, #{[(@now - now.since) / 60, 0].max} min"
      end

      # @return [Array<Tap>] the newest first
      def taps
        @evening.taken.last(UNDOABLE).reverse.map do |event|
          Tap.new(key: event.key, words: [say("taps.#{event.kind}"), (name(event.person) if event.person)].compact.join(': '))
        end
      end

      private

      DRYING_SHOWN = 3

      def drying
        Core::Live::Drying.of(@evening, @now).first(DRYING_SHOWN).map do |piece|
          at = @evening.minute(piece.at)
          Next.new(at: (@result.workshop.start + at.ceil).to_s, words: say('coming.dry', name: name(piece.person)),
            late: at - @evening.minute(@now) < SOON)
        end
      end

      def lever_words(lever)
        what = lever.kind == :show ? lever.technique.name : step_in_short(lever.step)
        say("live.levers.#{lever.kind}.words", what: what, people: count_of(lever.people, 'person', 'people'))
      end

      # Steps that hardly anyone would finish who began them later.
      def latest_starts(lines, minute)
        lines.select { |line| line.latest && line.latest >= minute }.min_by(1, &:latest)
      end

      def shown(line, minute)
        by = line.code == :step
        at = by ? line.latest : line.minute
        words = say("coming.#{line.code}", technique: line.technique ? line.technique.name : '',
          step: line.step ? step_in_short(line.step) : '')
        Next.new(at: (@result.workshop.start + at).to_s, words: words, late: at - minute < SOON)
      end

      # Minutes before something that is shown as close.
      SOON = 5

      def forecast
        @forecasts.known(id)
      end
    end
  end
end
