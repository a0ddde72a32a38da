# frozen_string_literal: true

module Formats
  module Pdf
    # Bag labels on a sheet of labels, one for each kit: a name and the bag's letter. What is private about people stands on the
    # instructor's sheet.
    class Labels < Paper
      POINTS = 72 / 25.4
      PADDING = 2.2
      SIZES = [11, 9.5, 8.5, 7.5, 6.5, 5.5].freeze

      # @param plan [Core::Planning::Plan] @param grid [LabelGrid] @param kinds [Hash{String=>String}] kit key => letter of kits that are
      #   alike
      # @param skip [Integer] labels already gone from the first sheet
      def initialize(plan, grid:, kinds:, unit: :mm, skip: 0)
        super(title: "#{plan.workshop.title}: labels", unit: unit, size: grid.paper, margin: 0)
        @plan = plan
        @kinds = kinds
        plan.kits.each_with_index do |person, index|
          sheet, place = (index + (skip % grid.each_sheet)).divmod(grid.each_sheet)
          pdf.start_new_page while pdf.page_count <= sheet
          label(person, grid, place)
        end
      end

      private

      def label(person, grid, place)
        left, top = grid.place(place)
        lines = lines_of(person)
        width = (grid.width - (2 * PADDING)) * POINTS
        height = (grid.height - (2 * PADDING)) * POINTS
        pdf.bounding_box([(left + PADDING) * POINTS, pdf.bounds.height - ((top + PADDING) * POINTS)], width: width, height: height) do
          size = SIZES.find { |points| fits?(lines, points, width, height) } || SIZES.last
          pdf.text_box(lines.join("\n"), at: [0, height], width: width, height: height, size: size, inline_format: true,
            overflow: :truncate)
        end
      end

      def fits?(lines, points, width, height)
        box = Prawn::Text::Formatted::Box.new(Prawn::Text::Formatted::Parser.format(lines.join("\n")), document: pdf, at: [0, height],
          width: width, height: height, size: points)
        box.render(dry_run: true).empty?
      end

      def lines_of(person)
        attendee = person.attendee
        head = "<b>#{safe(attendee.name)}</b>#{" · #{safe(attendee.colourway)}" if attendee.colourway}"
        return [head, safe(Wording.unfitted(person.piece, unit: unit))] unless person.fitted?

        [head, "<b>Kit #{@kinds[attendee.key]}</b> · #{safe(@plan.design.name)}"]
      end
    end
  end
end
