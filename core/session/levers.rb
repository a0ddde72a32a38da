# frozen_string_literal: true

module Core
  module Session
    # The changes that could improve a class, as far as its plan leaves room for them.
    class Levers
      CODES = %i[more_tool assistant prepare easier shorter demonstrations stagger drop_extra longer fewer].freeze
      STAGGERS = [10, 20].freeze
      LONGER = [15, 30].freeze
      FEWER = 2

      # @param plan [Plan] @param calibration [Calibration] @param seat [Integer] minor units of a seat's price, 0 when not known
      def initialize(plan, calibration, seat: 0)
        @plan = plan
        @workshop = plan.workshop
        @session = plan.workshop.session
        @teaching = plan.workshop.teaching
        @people = plan.people.select(&:fitted?)
        @times = StepTime.new(calibration, on: plan.workshop.date)
        @seat = seat
      end

      # @return [Array<Lever>]
      def all
        return [] if @people.empty?

        tools + [assistant].compact + prepared + easier + shorter + demonstrations + stagger + extra + longer + fewer
      end

      private

      def levels
        (@people.map { |person| person.attendee.level }.uniq.sort - [5]).then { |found| [*found.first(2), 5] }
      end

      def tools
        @plan.tools.reject { |need| (need.on_hand + need.brought) >= most_held(need) }.flat_map do |need|
          have = need.on_hand + need.brought
          [need.each, need.needed - have, need.at_once - have].select(&:positive?).uniq.map do |count|
            Lever.new(code: :more_tool, values: { tool: need.tool.key, name: need.tool.name, count: count }, cost: count * @session.tool_hire)
          end
        end
      end

      def most_held(need)
        @people.sum { |person| person.tools.fetch(need.tool.key, 0) }
      end

      def assistant
        return if @session.assistants >= Choices::ASSISTANTS.end

        Lever.new(code: :assistant, values: { number: @session.assistants + 1 }, cost: (Rational(@session.assistant_hour * @workshop.minutes, 60)).ceil)
      end

      def prepared
        @plan.order.steps.select(&:preparable).flat_map do |step|
          levels.reject { |level| level <= @teaching.prepared.fetch(step.key, 0) }.filter_map do |level|
            number = @people.count { |person| person.attendee.level <= level }
            minutes = @times.minutes(step, @plan.technique_of(step), Technique::Preparation::INSTRUCTOR) * @plan.design.made * number
            Lever.new(code: :prepare, values: { step: step.key, level: level, work: step }, preparation: minutes) if number.positive?
          end
        end
      end

      def easier
        skills = @plan.order.steps.map { |step| @plan.technique_of(step) }.uniq.select { |skill| skill.easier && @plan.table.techniques.key?(skill.easier) }
        skills.flat_map do |skill|
          levels.reject { |level| level <= @teaching.easier.fetch(skill.key, 0) }
                .map { |level| Lever.new(code: :easier, values: { technique: skill.key, name: skill.name, to: @plan.table.technique(skill.easier).name, level: level }) }
        end
      end

      def shorter
        return [] if @plan.order.steps.none?(&:optional)

        levels.reject { |level| level <= @teaching.shorter }.map { |level| Lever.new(code: :shorter, values: { level: level }, missed: optional_minutes(level)) }
      end

      def optional_minutes(level)
        @people.select { |person| person.attendee.level <= level }.sum { |person| person.tasks.select { |task| task.step.optional }.sum(&:minutes) }
      end

      def demonstrations
        (Choices::DEMONSTRATIONS - [@session.demonstrations]).map { |mode| Lever.new(code: :demonstrations, values: { mode: mode }) }
      end

      def stagger
        @people.size < 4 ? [] : (STAGGERS - [@session.stagger]).map { |minutes| Lever.new(code: :stagger, values: { minutes: minutes }) }
      end

      def extra
        @people.any? { |person| person.tasks.any? { |task| task.kind == :extra } } ? [Lever.new(code: :drop_extra, missed: @people.flat_map(&:tasks).select { |task| task.kind == :extra }.sum(&:minutes))] : []
      end

      def longer
        LONGER.select { |minutes| @workshop.minutes + minutes <= Workshop::MINUTES.end }
              .map { |minutes| Lever.new(code: :longer, values: { minutes: minutes }, cost: Rational(@workshop.supply.hour * minutes, 60).ceil) }
      end

      def fewer
        @people.size > FEWER + 1 ? [Lever.new(code: :fewer, values: { count: FEWER }, cost: @seat * FEWER, by_itself: false)] : []
      end
    end
  end
end
