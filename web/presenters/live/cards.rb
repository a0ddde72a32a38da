# frozen_string_literal: true

module Web
  module Presenters
    class Live
      # Everyone at their tables, each with their step, and what helps them there.
      module Cards
        # Taps that a page names.
        NEWEST = 20

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

        # @return [Array<String>] what all their steps are called, once each
        def step_names
          @step_names ||= @evening.people.values.flat_map { |person| person.tasks.map { |task| short_name(task) } }.uniq
        end

        # @return [Array<String>] keys of taps that the cards already show: a device may not have had its answer yet
        def newest_taps
          @evening.taken.last(NEWEST).map(&:key)
        end

        # @return [Array<Need>]
        def needs
          chances = forecast ? forecast.finishes.keys.to_h { |key| [key, forecast.chance_of(key)] } : {}
          attention = Core::Live::Attention.new(@plan, @evening, @now, welcome: @result.inputs.calibration.welcome_minutes,
            chances: chances)
          attention.needs.map do |need|
            person = @evening.people.fetch(need.person)
            Need.new(key: need.person, name: name(need.person), code: need.code,
              words: say("live.#{need.code}", minutes: need.minutes.floor, chance: hundredths(chances.fetch(need.person, 1.0)),
                step: step_in_short(person.task.step)))
          end
        end

        private

        def card(one, person)
          task = person.task
          minutes = person.minutes(@now)
          Card.new(key: person.key, name: one.attendee.name, level: one.attendee.level, number: [person.place + 1, person.tasks.size].min,
            all: person.tasks.size,
            step: task && step_words(task.step), short: task && short_name(task), steps: person.tasks.map { |one_task| place_of(one_task) },
            minutes: minutes.floor, usual: task && task.minutes.ceil,
            share: task ? [(minutes / task.minutes * 100).round, 100].min : 100,
            chance: chance_of(person), hand: !person.hand.nil?, here: person.here, done: person.done?, first: person.place.zero?,
            look: task ? task.step.checkpoint && measured? : false, used_up: used_up?(one), advice: advice(one, person),
            flat: flat(one, task),
            signs: task ? signs(task, person.key) : [], problem: problem(person), notes: notes(one.attendee))
        end

        # @return [Boolean] whether a line of theirs is used up little by little
        def used_up?(one)
          one.piece.work_ups.each_value.any? { |made| made.cuts.any?(&:worked) }
        end

        # A step in as few words as its technique has.
        def short_name(task)
          task.kind == :practice ? "Practise: #{task.technique.name}" : task.technique.name
        end

        def place_of(task)
          step_names.index(short_name(task))
        end

        # @return [Array<Sign>] what goes wrong at a step of theirs, by how it shows
        def signs(task, key)
          faults_at(task, key).map { |fault| Sign.new(detail: fault.mark, sign: fault.sign, words: problem_words(fault)) }
        end

        def problem_words(fault)
          cause = fault.cause.empty? ? '' : say('live.cause', cause: fault.cause)
          [cause, fault_words(fault.with(sign: say('live.do')))].reject(&:empty?).join(' ')
        end

        # @return [Sign, nil] the one that was seen at their step
        def problem(person)
          person.task && person.problem && signs(person.task, person.key).find { |sign| sign.detail == person.problem }
        end

        def faults_at(task, key)
          piece = @plan.person(key)&.piece or return []
          steps = @evening.people.fetch(key).tasks.map(&:step)
          Formats::StepFaults.new(piece, steps).at(task.step, task.technique)
        end

        def flat(one, task)
          asked = Core::Live::LiveState.flat_length(task)
          length(asked) if asked && one.piece.round
        end

        # @return [String, nil] what to do about the length that was measured
        def advice(one, person)
          measured = person.measured or return
          change = Core::Sizing::SizeAdjustment.advice(one.piece, one.additions(@plan.table), measured)
          told = Formats::Wording.size(measured, round: one.piece.round, unit: unit)
          return say('live.fits', measured: told) if change.nil?

          change.offer ? say('live.change', measured: told, change: try_on_words(change)) : say('live.as_near', measured: told)
        end

        # @return [String] what to mind, in a word or two
        def notes(attendee)
          attendee.flags.reject { |flag| flag == :other_allergy }.map { |flag| say("flags.#{flag}") }.join(', ')
        end

        def chance_of(person)
          hundredths(forecast.chance_of(person.key)) if forecast&.finishes&.key?(person.key) && !person.done?
        end

        def name(key)
          @plan.person(key)&.attendee&.name.to_s
        end
      end
    end
  end
end
