# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # The steps: their order and why, who differs, who lacks what, and what is prepared.
      class Steps < Section
        include Drawn

        # What differs for one level from the common steps. names: who they are · added, changed, spared: in words
        Difference = Core::Value.define(:level, :names, :minutes, :added, :spared)

        def choices
          workshop.teaching
        end

        def order
          plan.order
        end

        # @return [Array<Integer>]
        def levels
          @levels ||= people.map { |person| person.attendee.level }.uniq.sort
        end

        # @return [Hash{Integer=>String}] up to which level something holds
        def up_to
          Section.up_to(none: 'nobody')
        end

        # @return [Hash{Integer=>String}] from which level on something holds
        def from_level
          { 6 => 'nobody', 1 => 'everyone', **(2..5).to_h { |level| [level, level == 5 ? 'level 5' : "levels #{level} to 5"] } }
        end

        def reason(reason)
          say("reasons.#{reason.code}", step: reason.step ? step_name(reason.step) : '')
        end

        # @return [String] "step 5, stringing", by its place in the class's order
        def step_name(step)
          planned = plan.steps.find { |one| one.step.key == step.key }
          technique = plan.technique_of(step).name
          planned ? say('step_name', number: planned.number, technique: technique.downcase) : technique
        end

        # @return [String, nil] for whom a step is prepared because a later one is, nil where that changes nothing
        def implied(step)
          return unless prepared.implied?(step)

          say('prepared_with_later', levels: Section.up_to(none: 'nobody')[prepared.level(step)])
        end

        def prepared
          @prepared ||= Core::Steps::Prepared.new(order.steps, workshop.teaching.prepared)
        end

        def schools
          Core::Setup::TeachingSettings.field(:school).of
        end

        # @return [Array<String>] what an order set by hand costs beyond the best, and what it saves
        def costs
          order.beyond.select { |_, more| more.positive? }.map { |code, more| say("costs.#{code}", count: more) }
        end

        def gains
          order.beyond.select { |_, more| more.negative? }.map { |code, more| say("costs.#{code}", count: -more) }
        end

        # @return [Array<Core::Catalogue::Technique>] of the class's steps that have an easier way
        def with_easier
          plan.techniques.select { |technique| technique.easier && plan.table.techniques.key?(technique.easier) }
        end

        def technique_name(key)
          plan.table.techniques[key]&.name || key
        end

        # @return [String, nil] the steps that can be left out, in words
        def optional_words
          words = order.steps.select(&:optional).map { |step| step_in_short(step) }
          words.empty? ? nil : words.join(' ')
        end

        # @return [Array<Difference>] a row a list of steps, lowest level first; people of one level whose experience differs are told apart
        def differences
          listed = ->(person) { person.tasks.map { |task| [task.kind, task.step.key, task.step.text, task.technique.key] } }
          fitted.group_by { |person| [person.attendee.level, listed.(person)] }
            .map { |(level, _), same| difference(level, same) }.sort_by(&:level)
        end

        # One step of the chosen person: how its minutes come about. factors: in words, those that are not 1
        Minutes = Core::Value.define(:step, :times, :seconds, :factors, :minutes)

        # @return [Array<Minutes>] empty where nobody is fitted
        def chosen_minutes
          return [] unless chosen&.fitted?

          chosen.tasks.select(&:working).map do |task|
            working = task.working
            Minutes.new(step: step_in_short(task.step), times: working.repeats * plan.design.made, seconds: format('%g', working.seconds),
              factors: factors(working),
              minutes: task.minutes)
          end
        end

        def readiness
          @readiness ||= plan.readiness
        end

        def way(way)
          say("ways.#{way.code}", name: way.name.empty? ? 'the basics' : way.name, minutes: way.minutes)
        end

        # @return [Array<String>] names of projects that ask less of these people
        def gentler
          others = @reading.techniques_by_project.reject { |key, _| key == plan.design.key }
          names = @reading.projects.to_h { |saved| [saved.design.key, saved.design.name] }
          readiness.gentler(others.transform_keys { |key| names.fetch(key) }.reject { |_, keys| keys.empty? }).first(3)
        end

        def preparation
          @preparation ||= Core::Session::Preparation.new(plan, @reading.calibration, short: @reading.supply&.short.to_i,
            today: @reading.today)
        end

        # @return [String] a day of the week and date, and how long before class it is
        def day(date)
          days = (plan.workshop.date - date).to_i
          "#{date.strftime('%A %-d %B')} (#{(days.zero? ? say('days.zero') : say('days', count: days)).sub(/\A./, &:downcase)})"
        end

        def task(task)
          say("preparation.#{task.code}", count: task.people, names: task.names, step: task.step ? step_in_short(task.step) : '')
        end

        # @return [Hash{Date=>Array<Core::Session::Preparation::Task>}]
        def tasks_by_day
          preparation.tasks.group_by(&:on)
        end

        # @return [String, nil] by when it should have been done
        def overdue(task)
          say('preparation.overdue', days: say('days', count: task.days)) if task.late
        end

        def caution_words(cautions)
          cautions.map { |caution| say("cautions.#{caution}") }
        end

        private

        def factors(working)
          %i[effort learning pace light hand].filter_map do |name|
            factor = working.public_send(name)
            "× #{format('%.2f', factor)} #{say("factors.#{name}")}" unless (factor - 1).abs < 0.005
          end
        end

        # @return [Array<String>] steps that others do not work
        def own_steps(person)
          plan.own_steps.select { |_, who| who.include?(person.attendee) }.map { |step, _| "#{step_in_short(step)} (#{say('own_way_of')})" }
        end

        def difference(level, same)
          tasks = same.first.tasks
          Difference.new(level: level, names: same.map { |person| person.attendee.name }, minutes: tasks.sum(&:minutes),
            added: [*own_steps(same.first), *tasks.select(&:reason).map { |task|
              "#{step_in_short(task.step)} (#{say("list_reasons.#{task.reason}")})" }],
            spared: same.first.spared.map { |step, reason| "#{step_in_short(step)} (#{say("list_reasons.#{reason}")})" })
        end
      end
    end
  end
end
