# frozen_string_literal: true

require 'securerandom'

module Web
  module Presenters
    # A class as it happens: who needs the instructor, where everyone is, and whether all will finish from here.
    class Live
      include Printing

      # One person's card. step: in words, nil when all is done · share: hundredths of the usual time that are gone · chance: hundredths,
      # nil before it is known
      # look: whether the step is a checkpoint · advice: words for what was measured there, nil before
      # faults: words for what goes wrong at the step · optional: whether it may be left out
      Card = Core::Value.define(:key, :name, :level, :number, :all, :step, :minutes, :usual, :share, :chance, :hand, :here, :done, :first,
        :look,
        :advice, :faults, :notes)
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
      Need = Core::Value.define(:key, :name, :words, :code, :faults)
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

      def id
        @result.id
      end

      def title
        @result.workshop.title
      end

      attr_reader :plan, :evening

      def practice?
        @practice
      end

      # @return [Boolean] whether phones are let in from here
      def phones?
        !@phones.nil?
      end

      # @return [PhoneAccess::Door, nil] through which phones come into this class
      def door
        @phones.door if @phones&.door&.class_id == id
      end

      # @return [Integer]
      def phones_in
        @phones.devices
      end

      # @return [String] an SVG that holds the address and the code
      def door_code
        Formats::QrSvg.draw(door.link, title: "Address and code for a phone: #{door.link}")
      end

      def body
        @plan.design.body
      end

      # @return [Boolean] whether those who come are measured for this piece
      def measured?
        body != :own
      end

      # @return [Integer] kits made up for people who come without having signed up
      def kits_over
        @result.workshop.supply.extra_kits
      end

      def state
        return :before if @evening.started.nil?

        @evening.ended ? :after : :under_way
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

      # @return [Array<Need>]
      def needs
        chances = forecast ? forecast.finishes.keys.to_h { |key| [key, forecast.chance_of(key)] } : {}
        attention = Core::Live::Attention.new(@plan, @evening, @now, welcome: @result.inputs.calibration.welcome_minutes, chances: chances)
        attention.needs.map do |need|
          person = @evening.people.fetch(need.person)
          Need.new(key: need.person, name: name(need.person), code: need.code,
            faults: faults(person.task, need.person),
            words: say("live.#{need.code}", minutes: need.minutes.floor, chance: hundredths(chances.fetch(need.person, 1.0)),
              step: step_in_short(person.task.step)))
        end
      end

      # @return [Array<Table>] as people sit in the room
      def tables
        by_key = @plan.people.select(&:fitted?).to_h { |one| [one.attendee.key, one] }
        @plan.room.seats.group_by(&:table).sort.map do |number, seats|
          Table.new(number: number + 1, cards: seats.sort_by(&:seat).filter_map { |seat|
            one = by_key[seat.attendee.key]
            card(one, @evening.people.fetch(one.attendee.key)) if one
          })
        end
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

      # @return [Array<(String, String)>] spares that are held back, by key
      def spares
        @plan.spares.keys.select { |part| @plan.held_back(part).positive? }.map { |part| [part.key, part.name] }
      end

      # @return [Array<String>] spares that were used
      def spares_used
        @evening.people.values.flat_map do |person|
          person.spares.map { |key| "#{@plan.table.parts[key]&.name || key} for #{name(person.key)}" }
        end
      end

      # @return [Array<Tool>] blades and needles first, then what is shared
      def tools
        tools = @plan.tools.sort_by { |need| [need.tool.counted ? 0 : 1, need.tool.name] }.map do |need|
          key = need.tool.key
          all = @evening.tools_out.fetch(key, [need.on_hand, need.needed].min)
          Tool.new(key: key, name: need.tool.name, all: all, handed: @evening.tools_out.key?(key), back: [@evening.tools_in[key], all].min)
        end
        tools.select { |tool| tool.all.positive? || tool.handed }
      end

      # @return [Array<(String, String)>] key and name of those here who have no kit yet
      def without_kit
        @evening.people.values.select { |person| person.here && !person.kit }.map { |person| [person.key, name(person.key)] }
      end

      # @return [String] how many kits were handed out
      def kits_words
        here = @evening.people.values.select(&:here)
        "#{here.count(&:kit)} of #{here.size} kits"
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

      # @return [Array<String>] who takes work home
      def going_home
        @evening.people.values.reject(&:done?).select(&:here).map { |person| name(person.key) }
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

      def name(key)
        @plan.person(key)&.attendee&.name.to_s
      end

      def card(one, person)
        task = person.task
        minutes = person.minutes(@now)
        Card.new(key: person.key, name: one.attendee.name, level: one.attendee.level, number: [person.place + 1, person.tasks.size].min,
          all: person.tasks.size,
          step: task && step_words(task.step), minutes: minutes.floor, usual: task && task.minutes.ceil,
          share: task ? [(minutes / task.minutes * 100).round, 100].min : 100,
          chance: chance_of(person), hand: !person.hand.nil?, here: person.here, done: person.done?, first: person.place.zero?,
          look: task ? task.step.checkpoint && measured? : false, advice: advice(one, person),
          faults: task ? faults(task, person.key) : [], notes: notes(one.attendee))
      end

      # @return [Array<String>] what goes wrong at a step of theirs
      def faults(task, key)
        piece = @plan.person(key)&.piece or return []
        steps = @evening.people.fetch(key).tasks.map(&:step)
        Formats::StepFaults.new(piece, steps).at(task.step, task.technique).map { |fault| fault_words(fault) }
      end

      # @return [String, nil] what to do about the length that was measured
      def advice(one, person)
        measured = person.measured or return
        change = Core::Sizing::SizeAdjustment.advice(one.piece, one.additions(@plan.table), measured)
        return say('live.fits', measured: measured) if change.nil?

        change.offer ? say('live.change', measured: measured, change: try_on_words(change)) : say('live.as_near', measured: measured)
      end

      # @return [String] what to mind, in a word or two
      def notes(attendee)
        attendee.flags.reject { |flag| flag == :other_allergy }.map { |flag| say("flags.#{flag}") }.join(', ')
      end

      def chance_of(person)
        hundredths(forecast.chance_of(person.key)) if forecast&.finishes&.key?(person.key) && !person.done?
      end
    end
  end
end
