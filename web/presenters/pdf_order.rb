# frozen_string_literal: true

module Web
  module Presenters
    # What is asked for as PDF: read from a form, made into a task.
    class PdfOrder
      KINDS = Application::Tasks::PrintPdf::KINDS

      # @param result [Application::ClassResult]
      def initialize(result, params, unit)
        @result = result
        @unit = unit
        @to_printer = params['print_labels'] == '1'
        @kind = @to_printer ? 'labels' : KINDS.find { |kind| kind == params['what'] } || KINDS.first
        @paper = Formats::Pdf::Paper::SIZES.find { |size| size == params['paper'] } || Formats::Pdf::Paper::SIZES.first
        @grid = params['grid'].to_s
        @skip = params['skip'].to_s[/\A\d{1,3}\z/].to_i
      end

      def to_printer?
        @to_printer
      end

      def title
        "#{@kind.capitalize} for #{@result.workshop.title}"
      end

      # @return [String]
      def file_name
        FileName.of(@kind, @result.workshop)
      end

      # @return [Application::Tasks::PrintPdf]
      def task
        Application::Tasks::PrintPdf.new(kind: @kind, plan: @result.plan, supply: @result.supply, market: @result.market,
          seat: @result.seat_costs, unit: @unit, paper: @paper, grid: @grid,
          skip: @skip, span: span)
      end

      private

      def span
        plan = @result.plan
        Sections::Drawn.ruler([plan.sample, *plan.people].select(&:fitted?).map { |person| person.piece.laid_flat.to_mm }.max || 180.0)
      end
    end
  end
end
