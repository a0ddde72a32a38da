# frozen_string_literal: true

module Web
  module Presenters
    # What is printed of a class as PDF.
    class PdfPrint
      KINDS = %w[handouts sheets labels].freeze
      # name: of the file · bytes: the PDF · printed: where the label printer put it, nil when it was not sent there
      File = Core::Value.define(:name, :bytes, printed: nil)

      # @param printer [#print] of labels
      def initialize(printer, page, params)
        @printer = printer
        @page = page
        @plan = page.plan
        @what = params['print_labels'] == '1' ? 'labels' : KINDS.find { |kind| kind == params['what'] } || KINDS.first
        @to_printer = params['print_labels'] == '1'
        @paper = Formats::Pdf::Paper::SIZES.find { |size| size == params['paper'] } || Formats::Pdf::Paper::SIZES.first
        @grid = Formats::LabelGrid.find(params['grid'])
        @skip = params['skip'].to_s[/\A\d{1,3}\z/].to_i
      end

      def title
        "#{@what.capitalize} for #{@plan.workshop.title}"
      end

      # @yieldparam share [Float] @return [File]
      def render(&progress)
        bytes = send(@what, progress).render
        name = "#{@what}-#{@page.id}"
        File.new(name: "#{name}.pdf", bytes: bytes, printed: (@printer.print(bytes, name) if @to_printer))
      end

      private

      def handouts(progress)
        Formats::Pdf::Handouts.new(@plan, tools: ->(person) { @page.tool_names(person) }, span: @page.span, unit: @page.unit, size: @paper, &progress)
      end

      def labels(_)
        Formats::Pdf::Labels.new(@plan, grid: @grid, kinds: Core::Supply::Kits.new(@plan).letters, unit: @page.unit, skip: @skip)
      end

      def sheets(_)
        supplies = @page.supplies
        Formats::Pdf::Sheets.new(@plan, supply: supplies.supply, market: supplies.market, seat: supplies.seat, unit: @page.unit, size: @paper)
      end
    end
  end
end
