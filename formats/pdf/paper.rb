# frozen_string_literal: true

require 'prawn'
require 'prawn/table'
require 'prawn-svg'

# The studio's own typeface is used throughout; the built-in one is never asked for more than it has.
Prawn::Fonts::AFM.hide_m17n_warning = true

module Formats
  module Pdf
    # A document on A4 or Letter with the studio's typeface, black on white: what every print of ours begins with.
    class Paper
      FONTS = File.join(EagerBench::ROOT, 'formats', 'fonts')
      FACE = 'atkinson-hyperlegible-next'
      SIZES = %w[A4 LETTER].freeze
      SMALL = 8.5
      USUAL = 10
      RULE = 'aaaaaa'
      # The side of a box to tick, at the usual size of text.
      BOX = 8

      # @param unit [Symbol] of lengths @param size [String] one of SIZES @param margin [Numeric, Array] in points
      def initialize(title:, unit: :mm, size: 'A4', margin: 36)
        @unit = unit
        @pdf = Prawn::Document.new(page_size: size, margin: margin, compress: true, info: { Title: title, Creator: 'Eager Bench' })
        { 'latin' => :Studio, 'latin-ext' => :StudioMore }.each do |script, name|
          @pdf.font_families.update(name.to_s => { normal: face(script, 400), bold: face(script, 700) })
        end
        @pdf.font('Studio')
        @pdf.fallback_fonts(['StudioMore'])
        @pdf.font_size(USUAL)
      end

      # @return [String] the file's bytes
      def render
        # Pages are compressed by themselves; what they share is not.
        @pdf.state.store.each { |one| one.stream.compress! if one.data.is_a?(Hash) && one.data[:Subtype] == :Form }
        @pdf.render
      end

      private

      attr_reader :pdf, :unit

      def length(value)
        LengthPrint.call(value, unit)
      end

      def face(script, weight)
        File.join(FONTS, "#{FACE}-#{script}-#{weight}-normal.ttf")
      end

      def heading(text, size: 13)
        pdf.move_down(8)
        pdf.text(text, style: :bold, size: size)
        pdf.move_down(3)
      end

      def line(text, **options)
        pdf.text(text, **options)
      end

      # Text with <b> around what stands out; what people typed must be escaped with #safe.
      def rich(text, **options)
        pdf.text(text, inline_format: true, **options)
      end

      def safe(text)
        Markup.safe(text)
      end

      # A box to tick, with its text beside it; both move on together to the next column or page.
      def tick(text, **options)
        pdf.move_down(1.5)
        top = pdf.cursor
        pdf.indent(14) { rich(text, **options) }
        top = pdf.bounds.top if pdf.cursor > top
        side = BOX * (options[:size] || USUAL) / USUAL
        pdf.line_width(0.7)
        pdf.stroke_rectangle([pdf.bounds.left, top - 1.5], side, side)
      end

      # @param rows [Array<Array<String>>] the first holds the headings @param right [Array<Integer>] columns of figures
      def table(rows, right: [], widths: nil)
        return if rows.size < 2

        pdf.table(rows, header: true, width: pdf.bounds.width,
          cell_style: { size: SMALL, padding: [2, 4], borders: [:bottom], border_width: 0.4, border_color: RULE },
          **(widths ? { column_widths: widths } : {})) do |table|
          table.row(0).font_style = :bold
          right.each { |column| table.column(column).align = :right }
        end
      end

      # @param share [Float] of the page's width
      def drawing(svg, share: 1.0)
        pdf.svg(svg, width: pdf.bounds.width * share, enable_web_requests: false, fallback_font_name: 'Studio')
      end

      def number_pages
        pdf.number_pages('<page> of <total>', at: [pdf.bounds.right - 60, -10], width: 60, align: :right, size: SMALL)
      end
    end
  end
end
