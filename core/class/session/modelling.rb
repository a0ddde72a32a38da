# frozen_string_literal: true

module Core
  module Session
    # Makes a model of a class's plan.
    class Modelling
      # Who knows a technique less calls for help more; nobody is quite without questions (from memory).
      HELP_LEAST = 0.03
      # What is shown long before it is done is half forgotten (from memory).
      FORGOTTEN = 1.3
      # Shown alone, at the place, it is shorter (from memory).
      ALONE = 0.5
      MOST_HELP = 0.9
      # Beyond this multiple of its usual time a person is stuck and always calls (from memory).
      STUCK = 1.9

      # @param plan [Plan] @param calibration [Calibration]
      def initialize(plan, calibration)
        @plan = plan
        @workshop = plan.workshop
        @choices = @workshop.session
        @calibration = calibration
        @people = plan.people.select(&:fitted?)
      end

      # @return [Model, Impossible]
      def model
        impossible || built
      end

      private

      def impossible
        return Impossible.new(code: :no_people) if @people.empty?

        none = @plan.tools.find { |need| tool_count(need).zero? }
        return Impossible.new(code: :no_tool, values: { tool: none.tool.name, count: none.needed }) if none

        endless = @people.flat_map(&:tasks).find { |task| !task.minutes.to_f.positive? }
        return Impossible.new(code: :no_minutes, values: { technique: endless.technique.name }) if endless

        Impossible.new(code: :too_short, values: { minutes: begins.round }) if begins >= @workshop.minutes
      end

      def built
        mean, deviation = Spread.pert(@calibration.quick, 1.0, @calibration.slow)
        @mean = mean
        Model.new(people: @people.each_with_index.map { |person, index|
          person(person, index)
        }, tools: scarce, demonstrations: demonstrations, helpers: 1 + @choices.assistants,
          minutes: @workshop.minutes, sigmas: [Spread.sigma(mean, deviation), 0.0], between: Spread.sigma(1.0, @calibration.between),
          **what_all_share, help_minutes: @calibration.help_minutes,
          clearing: @calibration.clearing_minutes.to_f, pauses: pauses, late_share: @choices.late / 100.0,
          late_minutes: @choices.late_minutes.to_f, stuck: STUCK / mean, **habits)
      end

      # Of techniques whose times may be off, each alone, the whole work feels the less the more there are.
      def what_all_share
        minutes = Hash.new(0.0)
        @people.flat_map(&:tasks).each { |task| minutes[task.technique.key] += task.minutes.to_f }
        whole = minutes.values.sum
        techniques = minutes.values.sum { |own| (@calibration.doubt * own / whole)**2 }
        { evening: @calibration.evening, doubt: @calibration.doubt, together: Math.sqrt((@calibration.evening**2) + techniques) }
      end

      # What people do beside their work, each unless it is switched off for the class.
      def habits
        {
          walking: @choices.walks ? @calibration.walking_minutes.to_f : 0.0,
          neighbours: @choices.neighbours ? @calibration.neighbours : 0.0,
          fatigue: @choices.tires ? @calibration.fatigue : 0.0, tires_after: @calibration.tires_after.to_f,
          assistant_pace: @calibration.assistant_pace, put_down: @choices.own_piece ? @calibration.put_down.to_f : 0.0
        }
      end

      def person(person, index)
        seen = {}
        tasks = person.tasks.map do |task|
          times = seen[task.technique.key] = seen.fetch(task.technique.key, -1) + 1
          work(person, task, times)
        end
        Model::Person.new(key: person.attendee.key, tasks: tasks, begins: begins + (index.odd? ? @choices.stagger : 0))
      end

      # @return [Float] minute from which people can work
      def begins
        @calibration.welcome_minutes.to_f + (@choices.demonstrations == :at_start ? shown.sum { |key|
          @plan.table.technique(key).demonstration_minutes
        } : 0)
      end

      def work(person, task, times)
        own = task.kind == :step
        Model::Work.new(minutes: task.minutes * (own ? @mean : 1), sigma: own ? 0 : 1, check: task.step.checkpoint, slot: task.step.key,
          tools: task.holding.held, takes: task.holding.takes, gives: task.holding.gives,
          dries: task.step.waits.to_f, needs_dry: task.step.after & drying,
          help: own ? help(person.attendee, task.technique, times) : 0.0, optional: task.kind == :extra, label: task.step.key,
          demonstration: times.zero? && task.kind != :extra && watches?(person.attendee,
            task.technique) ? shown.index(task.technique.key) : nil)
      end

      # @return [Array<String>] keys of the steps after which something dries
      def drying
        @drying ||= @people.flat_map(&:tasks).map(&:step).select { |step| step.waits.positive? }.map(&:key).uniq
      end

      # Less likely each time it is done again.
      def help(attendee, technique, times)
        unknown = 1 - familiarity(attendee, technique)
        chance = (HELP_LEAST + (@calibration.help * unknown)) / (1 + times)
        [chance * (@choices.demonstrations == :at_start ? FORGOTTEN : 1), MOST_HELP].min
      end

      def familiarity(attendee, technique)
        @familiarity ||= {}.compare_by_identity
        (@familiarity[attendee] ||= {})[technique.key] ||= People::Familiarity.of(attendee, technique, @workshop.date)
      end

      # @return [Array<String>] techniques that are demonstrated, in the order of the work
      def shown
        @shown ||= @people.flat_map { |person|
          person.tasks.reject { |task|
            task.kind == :extra
          }.map(&:technique)
        }.uniq.select { |technique| technique.demonstration_minutes.positive? }.map(&:key)
      end

      def watches?(attendee, technique)
        case @choices.demonstrations
        when :at_start then false
        when :carry_on then familiarity(attendee, technique) < People::Familiarity::SURE
        else true
        end
      end

      def demonstrations
        return [] if @choices.demonstrations == :at_start

        shown.map do |key|
          technique = @plan.table.technique(key)
          watching = @people.count { |person|
            person.tasks.any? { |task|
              task.kind != :extra && task.technique.key == key
            } && watches?(person.attendee, technique)
          }
          quorum = @choices.demonstrations == :carry_on ? (watching / 2.0).ceil : watching
          Model::Demonstration.new(minutes: technique.demonstration_minutes.to_f, quorum: [quorum, 1].max,
            alone: technique.demonstration_minutes * ALONE, label: key)
        end
      end

      # Only those that can be waited for: fewer than all could hold at once.
      def scarce
        @plan.tools.select { |need|
          tool_count(need) < @people.sum { |person|
            person.tools.fetch(need.tool.key, 0)
          }
        }.to_h { |need| [need.tool.key, [tool_count(need), need.each].max] }
      end

      def tool_count(need)
        need.on_hand + need.brought
      end

      def pauses
        @choices.break_at.positive? && @choices.break_minutes.positive? ? [Model::Pause.new(from: @choices.break_at.to_f,
          minutes: @choices.break_minutes.to_f)] : []
      end
    end
  end
end
