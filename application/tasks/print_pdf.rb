# frozen_string_literal: true

module Application
  module Tasks
    # Prints of a class as PDF.
    #
    # @param kind one of KINDS
    # @param span the ruler all drawings share, in millimetres
    # @param seat Core::Price::Seat or nil
    PrintPdf = Core::Value.define(:kind, :plan, :supply, :market, :seat, :unit, :paper, :grid, :skip, :span) do
      # @return [String] the file's bytes
      def call(report)
        document = case kind
                   when 'handouts' then Formats::Pdf::Handouts.new(plan, span: span, unit: unit,
                     size: paper) { |share| report.call(Work::Progress.new(share: share)) }
                   when 'labels' then Formats::Pdf::Labels.new(plan, grid: Formats::LabelGrid.find(grid),
                     kinds: Core::Supply::Kits.new(plan).letters, unit: unit, skip: skip)
                   when 'cards' then Formats::Pdf::Cards.new(plan, unit: unit, size: paper)
                   else Formats::Pdf::Sheets.new(plan, supply: supply, market: market, seat: seat, unit: unit, size: paper)
                   end
        document.render
      end
    end

    class PrintPdf
      KINDS = %w[handouts sheets labels cards].freeze
    end
  end
end
