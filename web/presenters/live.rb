# frozen_string_literal: true

require 'securerandom'

module Web
  module Presenters
    # A class as it happens: who needs the instructor, where everybody is, and whether all will finish from here.
    class Live
      include Printing

      # One person's card. step: in words, nil when all is done · share: hundredths of the usual time that are gone · chance: hundredths,
      # nil before it is known
      Card = Core::Value.define(:key, :name, :level, :number, :all, :step, :minutes, :usual, :share, :chance, :hand, :here, :done, :first)
      # One line of who needs the instructor.
      Need = Core::Value.define(:key, :name, :words, :code, :trouble)
      Tap = Core::Value.define(:key, :words)

      UNDOABLE = 20

      attr_reader :unit

      def initialize(result, evening, forecasts, now, unit)
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
        return 'Everybody has finished.' if @evening.working.empty?
        return 'How it will end is being worked out.' if forecast.nil?

        "Everybody finishes in #{hundredths(forecast.chance)} of 100 classes that stand like this; 9 of 10 end by #{@result.workshop.start + forecast.end_at(0.9)}."
      end

      def status
        return :fits if @evening.working.empty?
        return :awaited if forecast.nil?

        Core::Session::Likelihood.status(forecast.chance, @result.workshop.session.target)
      end

      # @return [Array<Need>]
      def needs
        Core::Live::Attention.new(@plan, @evening, @now).needs.map do |need|
          person = @evening.people.fetch(need.person)
          Need.new(key: need.person, name: name(need.person), code: need.code, trouble: person.task.technique.faults.map { |fault| fault_words(fault) },
            words: say("live.#{need.code}", minutes: need.minutes.floor, step: first_sentence(step_words(person.task.step))))
        end
      end

      # @return [Array<Card>] in seating order
      def cards
        @plan.people.select(&:fitted?).map { |one| card(one, @evening.people.fetch(one.attendee.key)) }
      end

      # @return [Array<Tap>] the newest first
      def taps
        @evening.taken.last(UNDOABLE).reverse.map do |event|
          Tap.new(key: event.key, words: [say("taps.#{event.kind}"), (name(event.person) if event.person)].compact.join(': '))
        end
      end

      private

      # What must be told apart at arm's length; the card has the whole.
      def first_sentence(words)
        words[/\A.*?[.](?=\s|\z)/] || words
      end

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
          chance: chance_of(person), hand: !person.hand.nil?, here: person.here, done: person.done?, first: person.place.zero?)
      end

      def chance_of(person)
        hundredths(forecast.chance_of(person.key)) if forecast&.finishes&.key?(person.key) && !person.done?
      end
    end
  end
end
