# frozen_string_literal: true

module Core
  module Steps
    # What each attendee does of a class's common order: derived from who they are and what was chosen for the class.
    class Lists
      # One thing to do.
      #
      # @param kind :step, :practice or :extra
      # @param technique as this attendee works it
      # @param reason why it is here or otherwise, nil for the common way
      # @param holding Holding, the tools
      Item = Value.define(:kind, :step, :technique, reason: nil, holding: Holding::NONE)
      # @param items [Item]
      # @param spared [(Making::StepUse, reason)] steps this attendee does not do
      # @param tools {tool key => number} held at one moment at the most
      List = Value.define(:items, :spared, :tools)

      # @param table [Catalogue::Table] @param choices [TeachingSettings] @param on [Date]
      def initialize(table, choices, on)
        @table = table
        @choices = choices
        @on = on
        @lists = {}.compare_by_identity
        @holdings = {}
        @prepared = {}.compare_by_identity
      end

      # @param attendee [People::Attendee] @param steps [Array<Making::StepUse>] in order
      # @return [List] the same for all who are alike in level and experience
      def for(attendee, steps)
        (@lists[steps] ||= {})[[attendee.level, attendee.experience]] ||= build(attendee, steps)
      end

      private

      def build(attendee, steps)
        spared, ways, practised, rows = [], {}, {}, []
        prepared = @prepared[steps] ||= Prepared.new(steps, @choices.prepared)
        steps.each do |step|
          why = spared(attendee, step, prepared)
          next spared << [step, why] if why

          technique, reason = ways[step.technique] ||= worked(attendee, step)
          rows << practice(attendee, technique) unless practised[technique.key]
          practised[technique.key] = true
          rows << [:step, step, technique, reason]
        end
        rows.compact!
        holdings, tools = holdings(rows)
        place = -1
        items = rows.map { |kind, step, technique, reason|
          Item.new(kind: kind, step: step, technique: technique, reason: reason, holding: holdings[place += 1])
        }
        List.new(items: items + extra(attendee, steps), spared: spared, tools: tools)
      end

      # What is done only when there is time holds no tool that others need. Lists of one design mostly differ in numbers, not in their
      # steps.
      # @param rows [Array<(Symbol, Making::StepUse, Technique, Symbol)>] @return [(Array<Holding>, Hash{String=>Integer})] one a row, and
      #   the most of each tool
      def holdings(rows)
        alike = rows.flat_map { |_, step, technique| step.keeps.empty? ? [step.key, technique.key] : [step.key, technique.key, step.keeps] }
        @holdings[alike] ||= Holding.along(rows.map { |_, step, technique|
 [step, technique.tools] }).then { |all| [all, Holding.most(all)] }
      end

      # @return [Symbol, nil] why the attendee does not do it
      def spared(attendee, step, prepared)
        return :prepared if attendee.level <= prepared.level(step)

        :shorter if step.optional && attendee.level <= @choices.shorter
      end

      # @return [Array(Technique, Symbol)] the technique it is worked in
      def worked(attendee, step)
        technique = @table.technique(step.technique)
        easier = technique.easier && attendee.level <= @choices.easier.fetch(technique.key, 0) && @table.techniques[technique.easier]
        easier ? [easier, :easier] : [technique, nil]
      end

      # Before a first use, on scrap.
      # @return [(Symbol, Making::StepUse, Technique, Symbol), nil]
      def known?(attendee, technique)
        People::Familiarity.of(attendee, technique, @on) >= People::Familiarity::KNOWN
      end

      def practice(attendee, technique)
        return if !@choices.practice || technique.practice_minutes.zero? || known?(attendee, technique)

        on_scrap = Making::StepUse.new(key: "practice/#{technique.key}", technique: technique.key, repeats: 1, text: :practice,
          values: { what: technique.practice, technique: technique.name })
        [:practice, on_scrap, technique, technique.level > attendee.level + 1 ? :far_above : :new]
      end

      def extra(attendee, steps)
        return [] if attendee.level < @choices.extra || steps.empty?

        last = steps.last
        [Item.new(kind: :extra,
          step: Making::StepUse.new(key: 'extra', technique: last.technique, repeats: 1, text: :extra,
            values: { what: @choices.extra_text }), technique: @table.technique(last.technique), reason: :fast)]
      end
    end
  end
end
