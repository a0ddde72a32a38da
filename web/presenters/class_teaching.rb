# frozen_string_literal: true

module Web
  module Presenters
    # The steps of one class as its page shows them: the order and why, who differs, who lacks what, and what is prepared.
    class ClassTeaching
      # One level's list, told by somebody of that level. items: [Session::Task] · spared: [(StepUse, reason)]
      Level = Core::Value.define(:level, :names, :items, :spared)

      def initialize(studio, plan, unit, short)
        @studio = studio
        @plan = plan
        @unit = unit
        @short = short
      end

      def choices
        @plan.workshop.teaching
      end

      def order
        @plan.order
      end

      def readiness
        @readiness ||= @plan.readiness
      end

      def preparation
        @preparation ||= Core::Technique::Preparation.new(@plan, @studio.calibration, short: @short)
      end

      # @return [Array<Level>] for the levels present, lowest first; people of one level whose experience differs are told apart
      def levels
        @plan.people.select(&:fitted?).group_by { |person| [person.attendee.level, person.tasks.map { |task| [task.kind, task.step.key, task.technique.key] }] }
             .map { |(level, _), same| Level.new(level: level, names: same.map { |person| person.attendee.name }, items: same.first.tasks, spared: same.first.spared) }.sort_by(&:level)
      end

      def reason(reason)
        Formats::Wording.say("reasons.#{reason.code}", unit: @unit, step: reason.step ? words(reason.step) : '')
      end

      def words(step)
        Formats::Wording.step(step, unit: @unit)
      end

      # @return [Array<String>] what a hand-made order costs beyond the best
      def costs
        order.beyond.select { |_, more| more.positive? }.map { |code, more| Formats::Wording.say("costs.#{code}", count: more) }
      end

      # @return [Array<String>] what it gains, for what it costs
      def gains
        order.beyond.select { |_, more| more.negative? }.map { |code, more| Formats::Wording.say("costs.#{code}", count: -more) }
      end

      # @return [Array<Core::Technique::Skill>] of the class's steps that have an easier school
      def with_easier
        order.steps.map { |step| @plan.technique_of(step) }.uniq.select { |skill| skill.easier && @studio.catalogue.table.techniques.key?(skill.easier) }
      end

      def technique_name(key)
        @studio.catalogue.table.techniques[key]&.name || key
      end

      def way(way)
        Formats::Wording.say("ways.#{way.code}", name: way.name.empty? ? 'the basics' : way.name, minutes: way.minutes)
      end

      # @return [Array<String>] names of projects that ask less of these people
      def gentler
        designs = @studio.projects.newest.reject { |saved| saved.design.key == @plan.design.key }.to_h { |saved| [saved.design.name, @studio.techniques(saved)] }
        readiness.gentler(designs.reject { |_, keys| keys.empty? }).first(3)
      end

      def day(days)
        return Formats::Wording.say('days.zero') if days.zero?

        Formats::Wording.say('days', count: days)
      end

      def task(task)
        Formats::Wording.say("preparation.#{task.code}", count: task.people, names: task.names, step: task.step ? words(task.step) : '')
      end

      # @return [Hash{Integer=>Array}] preparation by days before class
      def tasks_by_day
        preparation.tasks.group_by(&:days)
      end

      def tool_ways(need)
        skills = order.steps.map { |step| @plan.technique_of(step) }.uniq
        need.ways(skills, @studio.catalogue.table).map { |code, values| Formats::Wording.say("tool_ways.#{code}", **values) }
      end

      def room_drawing
        Formats::RoomSvg.new(@plan.room, title: 'Where everybody sits, and what stands between them').to_s
      end

      def room
        @room ||= @plan.room
      end

      def seating_reason(code)
        Formats::Wording.say("seating.#{code}")
      end

      # @return [Array<Core::Technique::ToolNeed>] blades and needles, counted out and in
      def counted
        @plan.tools.select { |need| need.tool.counted }
      end

      # The piece as it is after a step, where the construction can draw it.
      # @return [String, nil]
      def state_after(person, step, span)
        added = person.tasks.map(&:step).take_while { |other| other.key != step.key }.push(step).flat_map(&:adds)
        return if step.adds.empty?

        claimed = person.tasks.flat_map { |task| task.step.adds }
        shapes = person.piece.layout.select { |shape| added.include?(shape.role) || !claimed.include?(shape.role) }
        Formats::PieceSvg.new(shapes, title: "After: #{words(step)}", span_mm: span, unit: @unit, ruler: false, labels: false).to_s
      end
    end
  end
end
