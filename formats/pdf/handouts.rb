# frozen_string_literal: true

module Formats
  module Pdf
    # A page or two for each attendee, as Handout describes it.
    class Handouts < Paper
      # Pictures stand to the left of a step's words, in so many points; none is drawn larger than a pixel of it is here.
      PICTURES = 150
      PIXEL = 0.5
      INDENT = 14
      # The piece as it is worn, in points.
      WORN = 46
      POINTS_PER_MM = 72 / 25.4
      SVG = { enable_web_requests: false, fallback_font_name: 'Studio' }.freeze
      BAG = 9.5
      # For who sees little, everything is this much larger.
      LARGE = 1.8

      # @param plan [Core::Planning::Plan] @param span [Float] the ruler all drawings share, in millimetres
      # @yieldparam share [Float] how many are done
      def initialize(plan, span:, unit: :mm, size: 'A4', &progress)
        super(title: "#{plan.workshop.title}: handouts", unit: unit, size: size)
        sides = plan.people.each_with_index.map do |person, index|
          progress&.call(index.fdiv(plan.people.size))
          pdf.start_new_page if index.positive?
          first = pdf.page_number
          sheet(Handout.new(plan, person, span: span, unit: unit, lit: false))
          [person.attendee.name, first..pdf.page_number]
        end
        sides.each { |name, pages| foot("#{name} · #{plan.design.name}", pages) }
        line('Nobody is in this class yet.') if plan.people.empty?
      end

      private

      # Loose sides are sorted by it; what holds for all of them stands there too.
      def foot(words, pages)
        pages.each_with_index do |page, i|
          pdf.go_to_page(page)
          pdf.text_box([words, "#{i + 1} of #{pages.size}", @closing].compact.join(' · '), at: [0, -10], width: pdf.bounds.width,
            height: 12, size: SMALL)
        end
      end

      def sheet(handout)
        @large = handout.large?
        @scale = @large ? LARGE : 1.0
        handout.blocks.each { |block| show(block) }
      end

      def show(block)
        case block.kind
        when :worn then worn(block.svg)
        when :title then rich("<b>#{block.text}</b>", size: 20)
        when :heading then heading(block.text, size: 13 * @scale)
        when :drawing then head(block)
        when :ticks then ticks(block.items)
        when :steps then block.items.each_with_index { |step, index| step(step, block.from + index) }
        when :figure then figure(block)
        when :list then block.items.each { |text| indented { rich(text, size: BAG * @scale) } }
        when :important then rich("<b>#{block.text}</b>", size: USUAL * @scale)
        when :small then @closing = block.text
        else rich(block.text, size: USUAL * @scale)
        end
      end

      # The piece itself, at true size where it is so.
      def head(block)
        pdf.move_down(6)
        drawing(block.svg, share: block.wide ? block.wide * POINTS_PER_MM / pdf.bounds.width : 1.0)
        rich(block.caption, size: SMALL)
      end

      # At the right of the name, beside the drawing's own place.
      def worn(svg)
        place = pdf.y
        wide, high = box_of(svg)
        to = WORN * [1, wide / high].min
        pdf.bounding_box([pdf.bounds.width - to, pdf.bounds.top], width: to, height: WORN) { stamped(svg, to) }
        pdf.y = place
      end

      def indented(&inside)
        pdf.indent(INDENT, &inside)
      end

      COLUMN_GAP = 14

      # In two columns where the usual size allows it; what follows begins below the longer one.
      def ticks(texts)
        size = BAG * @scale
        return texts.each { |text| tick(text, size: size) } if @large || texts.size < 2

        wide = (pdf.bounds.width - COLUMN_GAP) / 2
        columns = texts.each_slice((texts.size / 2.0).ceil).to_a
        pdf.start_new_page if pdf.cursor < columns.map { |column| high(boxes(column, size), wide) }.max
        top = pdf.cursor
        ends = columns.each_with_index.map do |column, i|
          below = nil
          pdf.bounding_box([i * (wide + COLUMN_GAP), top], width: wide, height: top) do
            column.each { |text| tick(text, size: size) }
            below = pdf.cursor
          end
          below
        end
        pdf.move_cursor_to([ends.min, 0].max)
      end

      def boxes(texts, size)
        texts.map { |text| Line.new(text: text, size: size, inset: 0, boxed: true) }
      end

      # One line of a step: its text, its size, whether it is set in and has a box to tick.
      Line = Core::Value.define(:text, :size, :inset, boxed: false)

      def step(step, number)
        lines = lines_of(step, number)
        pictures = pictures_of(step)
        if pictures.empty?
          keep(high(lines, pdf.bounds.width)) { lines.each { |line| show_line(line) } }
        else
          beside(pictures, lines)
        end
        true_size(step.close_up) if step.close_up&.true_mm
        pdf.move_down(4)
      end

      def lines_of(step, number)
        text = "#{number}. #{step.text}#{" (#{step.reason})" if step.reason} #{step.minutes}"
        first = step.checkpoint ? "<b>#{text}</b>" : text
        [Line.new(text: first, size: USUAL * @scale, inset: 0, boxed: step.checkpoint),
         *step.notes.map { |note| Line.new(text: note_text(note), size: SMALL * @scale, inset: INDENT) }]
      end

      def show_line(line)
        return tick(line.text, size: line.size) if line.boxed

        pdf.indent(line.inset) { rich(line.text, size: line.size) }
      end

      # @return [Array<(String, Float, Float)>] drawings, how wide and how high each is, in points
      def pictures_of(step)
        enlarged = (step.close_up.svg unless step.close_up.nil? || step.close_up.true_mm)
        [step.picture, enlarged, step.state].compact.map do |svg|
          wide, high = svg[/\A<svg[^>]*>/].then { |tag| %w[width height].map { |side| tag[/ #{side}="([\d.]+)/, 1].to_f } }
          # A technique's pictures have no size of their own: they take all there is.
          to = [wide.zero? ? PICTURES : wide * PIXEL, PICTURES].min * @scale
          wide, high = box_of(svg) if wide.zero?
          [svg, to, to * high / wide]
        end
      end

      def box_of(svg)
        svg[/viewBox="[^"]+"/].scan(/-?[\d.]+/).map(&:to_f).last(2)
      end

      # Pictures to the left of the words; what follows begins below the longer of both.
      def beside(pictures, lines)
        left = PICTURES * @scale
        wide = pdf.bounds.width - left - COLUMN_GAP
        keep([pictures.sum { |_, _, high| high + 3 }, high(lines, wide)].max) do
          top = pdf.cursor
          low = [[0, left, -> { pictures.each { |svg, to, _| picture(svg, to) } }],
                 [left + COLUMN_GAP, wide, -> { lines.each { |line| show_line(line) } }]].map do |x, across, draw|
            below = nil
            pdf.bounding_box([x, top], width: across, height: top) { draw.call.then { below = pdf.cursor } }
            below
          end
          pdf.move_cursor_to([low.min, 0].max)
        end
      end

      def picture(svg, wide)
        stamped(svg, wide)
        pdf.move_down(3)
      end

      # What many sheets show alike is drawn once for the file.
      def stamped(svg, wide)
        high = wide * box_of(svg).reverse.reduce(:/)
        place = pdf.y
        name = (@stamps ||= {})[[svg, wide]] ||= stamp(svg, wide, high)
        pdf.stamp_at(name, [pdf.bounds.absolute_left, place - high])
        pdf.y = place - high
      end

      # It lies in the corner of the paper, wherever it is used.
      def stamp(svg, wide, high)
        "alike-#{@stamps.size}".tap do |name|
          pdf.create_stamp(name) do
            pdf.svg(svg, at: [-pdf.bounds.absolute_left, high - pdf.bounds.absolute_bottom], width: wide, **SVG)
          end
        end
      end

      # What does not fit on the rest of the page begins the next.
      def keep(high)
        pdf.start_new_page if pdf.cursor < high && pdf.cursor < pdf.bounds.top
        yield
      end

      # @return [Float] points that lines of a step take
      def high(lines, wide)
        lines.sum do |line|
          inset = line.boxed ? INDENT : line.inset
          height(line.text, wide - inset, line.size) + 1.5
        end
      end

      # Many sheets say the same.
      def height(text, wide, size)
        @heights ||= {}
        @heights[[text, wide, size]] ||= pdf.height_of_formatted(Prawn::Text::Formatted::Parser.format(text), width: wide, size: size)
      end

      # It stays so in large print too.
      def true_size(picture)
        wide = picture.true_mm * POINTS_PER_MM
        keep(wide * box_of(picture.svg).reverse.reduce(:/)) { picture(picture.svg, [wide, pdf.bounds.width].min) }
      end

      def note_text(note)
        note.kind == :caution ? "<b>Caution:</b> #{note.text}" : note.text
      end

      def figure(block)
        heading(block.text, size: 13 * @scale)
        drawn = block.svg[/\A<svg[^>]* width="([\d.]+)/, 1]
        drawn ? picture(block.svg, [drawn.to_f * PIXEL, pdf.bounds.width].min) : drawing(block.svg)
        rich(block.caption, size: SMALL * @scale)
      end
    end
  end
end
