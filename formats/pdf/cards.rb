# frozen_string_literal: true

module Formats
  module Pdf
    # What lies on each person's table while they work, at true size.
    class Cards < Paper
      POINTS_PER_MM = 72 / 25.4
      # Of what is drawn at no size of its own.
      OTHER_MM = 110

      # @param plan [Core::Planning::Plan]
      def initialize(plan, unit: :mm, size: 'A4')
        super(title: "#{plan.workshop.title}: cards", unit: unit, size: size)
        sheets = plan.people.map { |person| [person, TableCards.new(person, unit: unit).cards] }.reject { |_, cards| cards.empty? }
        line(Wording.say('table_cards.none')) if sheets.empty?
        sheets.each_with_index do |(person, cards), index|
          pdf.start_new_page if index.positive?
          rich("<b>#{safe(person.attendee.name)}</b> · #{safe(plan.design.name)}", size: 15)
          cards.each { |card| card(card) }
        end
        number_pages
      end

      private

      def card(card)
        wide = [(card.true_mm || OTHER_MM) * POINTS_PER_MM, pdf.bounds.width].min
        box = card.svg[/viewBox="[^"]+"/].scan(/-?[\d.]+/).map(&:to_f).last(2)
        high = wide * box[1] / box[0]
        pdf.start_new_page if pdf.cursor < [high + 50, pdf.bounds.height].min
        heading(card.title, size: 12)
        rich(safe(card.words), size: SMALL)
        pdf.move_down(4)
        pdf.svg(card.svg, width: wide, enable_web_requests: false, fallback_font_name: 'Studio')
      end
    end
  end
end
