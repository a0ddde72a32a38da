# frozen_string_literal: true

module Web
  module Routes
    # From a class's plan to its kits: the order, packing, and what is printed as PDF.
    module Kits
      def self.registered(app)
        app.helpers Helpers
        order(app)
        receiving(app)
        packing(app)
        pdf(app)
      end

      def self.order(app)
        app.get('/classes/:id/order.csv') do
          supply = studio.supply(studio.classes.find(id).id) or raise Store::NotFound.new(:order, id)
          market = studio.market.all
          supplier = market.suppliers.key?(text(:supplier)) ? text(:supplier) : nil
          attachment "order-#{id}#{"-#{supplier}" if supplier}.csv"
          content_type 'text/csv', charset: 'utf-8'
          Formats::OrderCsv.write(supply.order, market, supplier: supplier)
        end
      end

      def self.receiving(app)
        app.post('/classes/:id/receive') do
          supply = studio.supply(studio.classes.find(id).id)
          bought = supply&.order&.by_supplier&.fetch(text(:supplier), nil) || []
          studio.ledger.post(Core::Supply::Receiving.entries(bought, note: studio.market.all.suppliers[text(:supplier)]&.name.to_s))
          tell("#{bought.size} #{bought.size == 1 ? 'thing' : 'things'} from #{studio.market.all.suppliers[text(:supplier)]&.name} on the shelf.") if bought.any?
          redirect to("/classes/#{id}#materials"), 303
        end
      end

      def self.packing(app)
        app.get('/classes/:id/packing') { show_packing(id) }
        app.post('/classes/:id/packing') do
          packing = packing_of(id)
          kit = packing.kits.find { |known| known.key == text(:kit) }
          items = kit ? kit.items.map(&:key) & (text(:item).empty? ? kit.items.map(&:key) : [text(:item)]) : []
          studio.packing.mark(id, items.map { |item| [kit.key, item] }, text(:packed) == '1')
          redraw? ? show_packing(id) : redirect(to("/classes/#{id}/packing##{"kit-#{kit.key}" if kit}"), 303)
        end
        app.post('/classes/:id/take') do
          studio.take_kits(id)
          tell('The kits have left the stock; what is left of each bar is back on the shelf.')
          redirect to("/classes/#{id}/packing"), 303
        rescue Store::Shortfall => e
          tell("Not taken: #{stock_name(e.entry)} would go below zero (#{e.held} on the shelf, #{-e.entry.quantity} in the kits). Receive or count it first.", kind: :wrong)
          redirect to("/classes/#{id}/packing"), 303
        end
        app.post('/classes/:id/put-back') do
          studio.put_back(id)
          tell('The kits are back in the stock.')
          redirect to("/classes/#{id}/packing"), 303
        rescue Store::Shortfall => e
          tell("Not put back: an offcut of #{stock_name(e.entry)} from these kits is no longer on the shelf.", kind: :wrong)
          redirect to("/classes/#{id}/packing"), 303
        end
      end

      def self.pdf(app)
        app.post('/classes/:id/pdf') do
          print = Presenters::PdfPrint.new(settings.label_printer, class_page(id), params)
          job = settings.jobs.start(print.title) { |running| print.render { |share| running.reached(share) } }
          redirect to(job.path), 303
        end
      end

      # Showing the packing list.
      module Helpers
        def packing_of(id)
          stored = studio.classes.find(id)
          Presenters::Packing.new(studio, studio.plan(stored), stored.id)
        end

        def show_packing(id)
          packing = packing_of(id)
          section = settings.fragments.section('packing', nil) { partial(:packing, packing: packing) }
          return chunks([section]) if redraw?

          head, tail = page(:packing, title: "Packing: #{packing.plan.workshop.title}").split(Web::Helpers::CONTENT)
          [head, *chunks([section]), tail]
        end

        def stock_name(entry)
          item = studio.catalogue.table.public_send(entry.kind == :part ? :parts : :lines)[entry.item]
          entry.length ? "#{item.name}, #{length(entry.length)}" : item.name
        end
      end
      private_class_method :order, :receiving, :packing, :pdf
    end
  end
end
