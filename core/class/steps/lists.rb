# frozen_string_literal: true

module Core
  module Steps
    # What each attendee does of a class's common order: derived from who they are and what was chosen for the class.
    class Lists
      # One thing to do. kind: :step, :practice or :extra · skill: as this attendee works it · reason: why it is here or otherwise, nil
      # for the common way · holding: Holding, the tools
      Item = Value.define(:kind, :step, :skill, reason: nil, holding: Holding::NONE)
      # items: [Item] · spared: [(Making::StepUse, reason)] steps this attendee does not do
      # tools: {tool key => number} held at one moment at the most
      List = Value.define(:items, :spared, :tools)

      # @param table [Catalogue::Table] @param choices [Teaching] @param on [Date]
      def initialize(table, choices, on)
        @table = table
        @choices = choices
        @on = on
        @lists = {}.compare_by_identity
        @holdings = {}
      end

      # @param attendee [People::Attendee] @param steps [Array<Making::StepUse>] in order
      # @return [List] the same for all who are alike in level and experience
      def for(attendee, steps)
        (@lists[steps] ||= {})[[attendee.level, attendee.experience]] ||= build(attendee, steps)
      end

      private

      def build(attendee, steps)
        spared, ways, practised, rows = [], {}, {}, []
        steps.each do |step|
          why = spared(attendee, step)
          next spared << [step, why] if why

          skill, reason = ways[step.technique] ||= worked(attendee, step)
          rows << practice(attendee, skill) unless practised[skill.key]
          practised[skill.key] = true
          rows << [:step, step, skill, reason]
        end
        rows.compact!
        holdings, tools = holdings(rows)
        place = -1
        items = rows.map { |kind, step, skill, reason|
          Item.new(kind: kind, step: step, skill: skill, reason: reason, holding: holdings[place += 1])
        }
        List.new(items: items + extra(attendee, steps), spared: spared, tools: tools)
      end

      # What is done only when there is time holds no tool that others need. Lists of one design mostly differ in numbers, not in their
      # steps.
      # @param rows [Array<(Symbol, Making::StepUse, Skill, Symbol)>] @return [(Array<Holding>, Hash{String=>Integer})] one a row, and
      #   the most of each tool
      def holdings(rows)
        alike = rows.flat_map { |_, step, skill| step.keeps.empty? ? [step.key, skill.key] : [step.key, skill.key, step.keeps] }
        @holdings[alike] ||= Holding.along(rows.map { |_, step, skill| [step, skill.tools] }).then { |all| [all, Holding.most(all)] }
      end

      # @return [Symbol, nil] why the attendee does not do it
      def spared(attendee, step)
        return :prepared if step.preparable && attendee.level <= @choices.prepared.fetch(step.key, 0)

        :shorter if step.optional && attendee.level <= @choices.shorter
      end

      # @return [Array(Skill, Symbol)] the technique it is worked in
      def worked(attendee, step)
        skill = @table.technique(step.technique)
        easier = skill.easier && attendee.level <= @choices.easier.fetch(skill.key, 0) && @table.techniques[skill.easier]
        easier ? [easier, :easier] : [skill, nil]
      end

      # Before a first use, on scrap.
      # @return [(Symbol, Making::StepUse, Skill, Symbol), nil]
      def practice(attendee, skill)
        if !@choices.practice || skill.practice_minutes.zero? || People::Familiarity.of(attendee, skill, @on) >= People::Familiarity::KNOWN
          return
        end

        on_scrap = Making::StepUse.new(key: "practice/#{skill.key}", technique: skill.key, repeats: 1, text: :practice,
          values: { what: skill.practice, technique: skill.name })
        [:practice, on_scrap, skill, skill.level > attendee.level + 1 ? :far_above : :new]
      end

      def extra(attendee, steps)
        return [] if attendee.level < @choices.extra || steps.empty?

        last = steps.last
        [Item.new(kind: :extra,
          step: Making::StepUse.new(key: 'extra', technique: last.technique, repeats: 1, text: :extra,
            values: { what: @choices.extra_text }), skill: @table.technique(last.technique), reason: :fast)]
      end
    end
  end
end
