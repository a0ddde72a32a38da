# frozen_string_literal: true

module Formats
  module Pdf
    # The instructor's sheets of a class: kits, what to order, what to cut, tools and steps.
    class Sheets < Paper
      # @param supply [Core::Supply::ClassSupply, nil] nil when the kits have left the stock
      # @param market [Core::Supply::Market] @param seat [Core::Price::Seat, nil]
      def initialize(plan, supply:, market:, seat:, unit: :mm, size: 'A4')
        super(title: "#{plan.workshop.title}: sheets", unit: unit, size: size)
        @plan = plan
        @supply = supply
        @market = market
        @seat = seat
        head
        order if supply
        cuts if supply
        kits
        tools
        steps
        pdf.move_down(8)
        line('Prepared with care; local rules and licensed practice come first.', size: SMALL)
        number_pages
      end

      private

      def head
        workshop = @plan.workshop
        line(workshop.title, size: 18, style: :bold)
        time = "#{workshop.date.strftime('%A %-d %B %Y')}, #{workshop.start}–#{workshop.ends}"
        line([@plan.design.name, time, workshop.venue, "#{@plan.people.size} people"].reject(&:empty?).join(' · '))
        rich("A seat: <b>#{@seat.price}</b>") if @seat&.price
      end

      def order
        heading('To order')
        order = @supply.order
        return line('Nothing: the stock covers it.') if order.purchases.empty? && order.unoffered.empty?

        order.by_supplier.each do |key, purchases|
          rows = purchases.map { |bought|
            name = [bought.item.name, OfferText.others(bought.also, @plan.table)].join(' ').strip
            [bought.number.to_s, OfferText.content(bought.offer, unit), name, bought.offer.price.to_s, bought.cost.to_s]
          }
          rich("<b>#{safe(@market.suppliers.fetch(key).name)}</b>, delivery #{order.delivery.fetch(key)}, together #{order.total_of(key)}")
          table([['Packs', 'Pack of', 'Item', 'Price', 'Cost'], *rows], right: [0, 3, 4])
          pdf.move_down(6)
        end
        order.unoffered.each { |item, count| rich("<b>#{count}</b> × #{safe(item.name)}: no price for it") }
        rich("Goods and delivery: <b>#{order.total}</b>")
      end

      def cuts
        heading('To cut')
        @supply.lines.each do |line|
          rich("<b>#{safe(line.line.name)}</b>")
          line.cuts.bars.each_with_index do |bar, index|
            from = bar.fresh? ? "new reel of #{OfferText.reel(bar.length)}" : "#{length(bar.length)} on hand"
            line("#{index + 1}. #{from}, #{length(bar.left)} left", size: SMALL)
            drawing(ReelSvg.new(bar.pieces, bar.length, unit: unit, title: from).to_s)
          end
          line.cuts.too_long.each { |piece| rich("<b>#{safe(piece.owner)}: #{length(piece.length)} is longer than any reel</b>") }
        end
      end

      def kits
        heading('Kits')
        kits = Core::Supply::Kits.new(@plan).all
        rows = kits.map do |kit|
          contents = kit.items.map { |item| item.length ? "#{item.count} × #{length(item.length)}" : "#{item.count} #{item.item.mark}" }
          [kit.letter, kit.person.attendee.name, kit.person.attendee.colourway.to_s, contents.join('   '), notes(kit.person.attendee)]
        end
        table([%w[Kit For Colourway Holds Notes], *rows], widths: { 0 => 28, 1 => 90, 2 => 62 })
        line("Spares: #{@plan.spares.values.map { |s|
          [s.held(@plan.workshop.supply.spares), s.part.mark]
        }.reject { |n, _| n.zero? }.map { |n, mark| "#{n} #{mark}" }.join('   ')},
          #{Wording.say("settings.materials.spares_ways.#{@plan.workshop.supply.spares}")}", size: SMALL)
        line(@plan.needs.map { |need| "#{need.part.mark}: #{need.part.name}" }.join('   '), size: SMALL)
      end

      def notes(attendee)
        [*attendee.flags.map { |flag| Wording.say("flags.#{flag}") }, attendee.notes].reject(&:empty?).join(', ')
      end

      def tools
        heading('Tools')
        table([['Tool', 'Used by', 'Needed', 'Brought', 'In the sets', 'Missing'],
               *@plan.tools.map { |need|
                 [need.tool.name, need.users, need.needed, need.brought, need.on_hand, need.missing].map(&:to_s)
               }], right: (1..5).to_a)
      end

      def steps
        heading('Steps')
        rows = @plan.steps.map { |step|
          [step.number.to_s, Wording.step(step.step, unit: unit), step.technique.level.to_s, step.tools.map(&:name).join(', ')]
        }
        table([['', 'Step', 'Level', 'Tools'], *rows], right: [0, 2], widths: { 0 => 22, 2 => 38, 3 => 130 })
      end
    end
  end
end
