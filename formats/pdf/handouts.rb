# frozen_string_literal: true

module Formats
  module Pdf
    # A page or two for each attendee, as Handout describes it.
    class Handouts < Paper
      # Of the page's width, for one picture of a technique, and for an end enlarged.
      PICTURE_SHARE = 0.14
      CLOSE_UP_SHARE = 0.5
      STATE_SHARE = 0.45
      INDENT = 14
      POINTS_PER_MM = 72 / 25.4
      BAG = 9.5
      # For who sees little, everything is this much larger.
      LARGE = 1.8

      # @param plan [Core::Planning::Plan] @param span [Float] the ruler all drawings share, in millimetres
      # @yieldparam share [Float] how many are done
      def initialize(plan, span:, unit: :mm, size: 'A4', &progress)
        super(title: "#{plan.workshop.title}: handouts", unit: unit, size: size)
        plan.people.each_with_index do |person, index|
          progress&.call(index.fdiv(plan.people.size))
          pdf.start_new_page if index.positive?
          sheet(Handout.new(plan, person, span: span, unit: unit))
        end
        line('Nobody is in this class yet.') if plan.people.empty?
      end

      private

      def sheet(handout)
        @large = handout.large?
        @scale = @large ? LARGE : 1.0
        handout.blocks.each { |block| show(block) }
      end

      def show(block)
        case block.kind
        when :title then rich("<b>#{block.text}</b>", size: 20)
        when :heading then heading(block.text, size: 13 * @scale)
        when :drawing then pdf.move_down(6) && drawing(block.svg)
        when :ticks then ticks(block.items)
        when :steps then block.items.each_with_index { |step, index| step(step, block.from + index) }
        when :figure then figure(block)
        when :list then block.items.each { |text| indented { rich(text, size: BAG * @scale) } }
        when :important then rich("<b>#{block.text}</b>", size: USUAL * @scale)
        when :small then pdf.move_down(4) && rich(block.text, size: SMALL * @scale)
        else rich(block.text, size: USUAL * @scale)
        end
      end

      def indented(&inside)
        pdf.indent(INDENT, &inside)
      end

      # In two columns where the usual size allows it.
      def ticks(texts)
        columns = @large ? 1 : 2
        high = ((((texts.size + columns - 1) / columns) * 15) + 4) * @scale
        pdf.column_box([0, pdf.cursor], columns: columns, width: pdf.bounds.width, height: [pdf.cursor, high].min) do
          texts.each { |text| tick(text, size: BAG * @scale) }
        end
      end

      def step(step, number)
        text = "#{number}. #{step.text}#{" (#{step.reason})" if step.reason} #{step.minutes}"
        step.checkpoint ? tick("<b>#{text}</b>", size: USUAL * @scale) : rich(text, size: USUAL * @scale)
        step.notes.each { |note| indented { rich(note_text(note), size: SMALL * @scale) } }
        drawing(step.picture, share: [step.pictures * PICTURE_SHARE * @scale, 1.0].min) if step.picture
        close_up(step.close_up) if step.close_up
        drawing(step.state, share: STATE_SHARE) if step.state
        pdf.move_down(2)
      end

      # What is at true size stays so, in large print too.
      def close_up(picture)
        true_share = picture.true_mm && (picture.true_mm * POINTS_PER_MM / pdf.bounds.width)
        drawing(picture.svg, share: [true_share || (CLOSE_UP_SHARE * @scale), 1.0].min)
      end

      def note_text(note)
        note.kind == :caution ? "<b>Caution:</b> #{note.text}" : note.text
      end

      def figure(block)
        heading(block.text, size: 13 * @scale)
        drawing(block.svg)
        rich(block.caption, size: SMALL * @scale)
      end
    end
  end
end
