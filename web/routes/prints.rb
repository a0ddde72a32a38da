# frozen_string_literal: true

module Web
  module Routes
    # Pages that are made for paper.
    module Prints
      SHEETS = { 'print' => 'Plan', 'handouts' => 'Handouts', 'wordless' => 'Handouts without words', 'labels' => 'Labels',
                 'true-size' => 'At true size', 'cards' => 'Cards for the table', 'board' => 'Steps for the wall',
                 'notes' => 'Notes for the instructor' }.freeze

      def self.registered(app)
        SHEETS.each do |sheet, title|
          app.get("/classes/:id/#{sheet}") do
            wait_for_forecast(id) if sheet == 'print'
            show_print(id, sheet.tr('-', '_').to_sym, title)
          end
        end
        app.helpers Showing
      end

      # What all of them share.
      module Showing
        def show_print(id, sheet, title)
          found = result(id)
          raise Store::NotFound.new(:print, id) if found.plan.nil?

          erb(:"pages/#{sheet}", layout: :print_layout,
            locals: { title: title, print: Presenters::Print.new(found, unit: unit, seat: text(:seat), large: text(:large) == '1') })
        end
      end
    end
  end
end
