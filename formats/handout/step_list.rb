# frozen_string_literal: true

module Formats
  class Handout
    # The steps of one attendee's sheet, each with its notes and pictures.
    class StepList
      # One step.
      #
      # @param reason why it differs from the common way, nil where it does not
      # @param notes [Note]
      # @param pictures how many the drawing of its technique shows side by side
      # @param state drawing of the piece after it, nil where there is none
      # @param close_up [CloseUp::Picture, nil] what it makes, enlarged or at true size
      Step = Core::Value.define(:text, :checkpoint, :reason, :minutes, :notes, picture: nil, pictures: 1, close_up: nil, state: nil) do
        def pictured?
          [picture, close_up, state].any?
        end

        # @return [Array<String>] its numbers as they stand in it, for who does not read the language
        def numbers
          text.gsub(/<[^>]+>/, '').scan(NUMBER).uniq
        end
      end
      NUMBER = /\d[\d.,\u2212]*(?:\s?(?:mm|cm|in|min|×)\b|\s?×)?/
      # @param kind :order, :reach, :left_hand, :caution or :fault
      Note = Core::Value.define(:kind, :text)
      # More at one step would fill the sheet.
      MOST_FAULTS = 2

      # @param person [Core::Planning::PersonPlan]
      def initialize(person, unit)
        @person = person
        @unit = unit
      end

      # @return [Array<Step>]
      def steps
        @person.tasks.map { |task| step(task) }
      end

      private

      def step(task)
        picture = picture(task)
        Step.new(text: Markup.safe(Wording.step(task.step, unit: @unit)), checkpoint: task.step.checkpoint,
          minutes: Wording.minutes(task.minutes),
          reason: task.reason && Markup.safe(Wording.say("list_reasons.#{task.reason}")), notes: notes(task), picture: picture&.to_s,
          pictures: picture&.number || 1, close_up: close_up(task.step), state: state(task.step))
      end

      def notes(task)
        left = task.left_hand(@person.attendee)
        cautions = cautions_at(task).map { |caution| Wording.say("cautions.#{caution}") }
        [*(Note.new(kind: :order, text: Markup.safe(ItemNames.order(task.step.order))) if task.step.order.uniq.size > 1),
         *reach(task.step),
         *(Note.new(kind: :left_hand, text: Markup.safe(Wording.say('handout.left_hand', text: left))) unless left.empty?),
         *cautions.map { |words| Note.new(kind: :caution, text: Markup.safe(words)) },
         *faults(task).map { |fault| Note.new(kind: :fault, text: Markup.safe(Wording.fault(fault))) }]
      end

      # How much of a cut must be left on the way, to be held against it.
      # @return [Array<Note>]
      def reach(step)
        component, key = step.key.split('/')
        cuts = @person.piece.work_ups[component]&.cuts.to_a.select { |cut| cut.worked&.step == key }
        cuts.uniq(&:line).map do |cut|
          told = cut.worked.on_the_way.map { |done|
            Wording.say("reach.#{cut.worked.unit}", unit: @unit, number: done, left: cut.left_after(done))
          }
          key = cut.worked.ends > 1 ? 'reach.line_ends' : 'reach.line'
          Note.new(kind: :reach, text: Markup.safe(Wording.say(key, line: cut.line, told: told.join(', '))))
        end
      end

      # Each is told once, at the first step that it is for.
      def cautions_at(task)
        @cautioned ||= @person.tasks.each_with_object({}) { |one, first| cautions_of(one).each { |caution| first[caution] ||= one } }
        cautions_of(task).select { |caution| @cautioned[caution].equal?(task) }
      end

      def cautions_of(task)
        (task.technique.cautions + task.step.cautions).uniq
      end

      # Those of its technique at its first step alone.
      def faults(task)
        @step_faults ||= StepFaults.new(@person.piece, @person.tasks.map(&:step))
        @step_faults.at(task.step, (task.technique if @person.first_of_technique?(task))).first(MOST_FAULTS)
      end

      # How a technique goes, drawn at its first step; mirrored for a left-hander.
      def picture(task)
        return unless @person.first_of_technique?(task) && TechniqueSvg.drawn?(task.technique.key)

        TechniqueSvg.new(task.technique, mirrored: @person.attendee.left_handed?)
      end

      def close_up(step)
        CloseUp.of(step, title: Wording.step(step, unit: @unit), left_handed: @person.attendee.left_handed?)
      end

      # The piece as it is after a step, where the construction can draw it.
      def state(step)
        @work_state ||= Core::Sizing::WorkState.new(@person.piece, @person.tasks.map(&:step))
        moment = @work_state.after(step)
        moment && StateSvg.new(moment, title: "After: #{Wording.step(step, unit: @unit)}").to_s
      end
    end
  end
end
