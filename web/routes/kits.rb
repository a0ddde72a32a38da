# frozen_string_literal: true

module Web
  module Routes
    # From a class's plan to its kits: the order, packing, and what is printed as PDF.
    module Kits
      def self.registered(app)
        app.helpers Showing
        order(app)
        missing_prices(app)
        packing(app)
        taking(app)
        pdf(app)
      end

      def self.order(app)
        app.get('/classes/:id/order.csv') do
          supply = result(id).supply or raise Store::NotFound.new(:order, id)
          supplier = library.market.suppliers.key?(text(:supplier)) ? text(:supplier) : nil
          attachment "#{Presenters::FileName.of(['order', supplier].compact.join('-'), result(id).workshop)}.csv"
          content_type 'text/csv', charset: 'utf-8'
          Formats::OrderCsv.write(supply.order, library.market, supplier: supplier, table: library.table)
        end
        app.post('/classes/:id/order') do
          placed = []
          address = once do
            placed = settings.kits.order(id, text(:supplier))
            kits_address(id, 'materials')
          end
          flash("#{count_of(placed.size, 'thing')} from #{supplier_name} #{placed.size == 1 ? 'is' : 'are'} on order.") if placed.any?
          redirect to(address), 303
        end
        app.post('/classes/:id/order/cancel') do
          studio.orders.cancel(id, text(:supplier))
          flash("What had not come from #{supplier_name} is off the order.")
          redirect to(kits_address(id, 'materials')), 303
        end
        app.post('/classes/:id/receive') do
          form = Presenters::ArrivalForm.new(studio.orders.of(id).select { |ordered| ordered.supplier == text(:supplier) }, params,
            library.market.currency)
          unless form.valid?
            status 422
            next show_class(id, drafts: { arrival: form.draft })
          end
          came = 0
          address = once do
            came = settings.kits.receive(id, form.counts, form.paid)
            kits_address(id, 'materials')
          end
          tell_arrival(came) if came.positive?
          redirect to(address), 303
        end
        app.post('/classes/:id/reserve-first') do
          studio.classes.reserve_first(id)
          flash("“#{studio.classes.title(id)}” now takes from the stock first.")
          redirect to(kits_address(id, 'materials')), 303
        end
      end

      def self.missing_prices(app)
        app.get('/classes/:id/missing-prices') { missing_prices_page(missing_prices_form) }
        app.post('/classes/:id/missing-prices') do
          form = missing_prices_form
          halt 422, missing_prices_page(form, asked: true) unless form.valid?

          studio.market.save(form.offers)
          flash("#{count_of(form.offers.size, 'price')} #{form.offers.size == 1 ? 'is' : 'are'} entered.")
          redirect to(kits_address(id, 'cost')), 303
        end
      end

      def self.packing(app)
        app.get('/classes/:id/packing') { redirect to(kits_address(id, 'packing')), 301 }
        app.post('/classes/:id/packing') do
          bags = class_page(id).presenter('packing').then { |packing| packing.plan ? packing.bags : [] }
          bag = bags.find { |known| known.key == text(:kit) }
          items = bag ? bag.items.select { |item| text(:item).empty? || item.key == text(:item) } : []
          studio.packing.mark(id, items.to_h { |item| [[bag.key, item.key], text(:packed) == '1' ? item.count : 0] }) if items.any?
          redraw? ? show_class(id) : redirect(to(kits_address(id, bag ? "kit-#{bag.key}" : 'packing')), 303)
        end
      end

      def self.taking(app)
        app.post('/classes/:id/take') do
          taken = settings.kits.take(id)
          done = 'The kits have left the stock. What is left of each reel is back on the shelf. “Put the kits back” undoes this.'
          flash(taken ? done : 'The kits have left the stock already.')
          redirect to(kits_address(id, 'packing')), 303
        rescue Store::Shortfall => e
          why = "#{e.held} on the shelf, #{-e.entry.quantity} in the kits"
          flash("Not taken: #{stock_name(e.entry)} would go below zero (#{why}). Receive or count it first.", kind: :wrong)
          redirect to(kits_address(id, 'packing')), 303
        end
        app.post('/classes/:id/put-back') do
          settings.kits.put_back(id)
          flash('The kits are back in the stock.')
          redirect to(kits_address(id, 'packing')), 303
        rescue Store::Shortfall => e
          flash("Not put back: an offcut of #{stock_name(e.entry)} from these kits is no longer on the shelf. " \
                'Count what is there in the stockroom first.', kind: :wrong)
          redirect to(kits_address(id, 'packing')), 303
        end
      end

      def self.pdf(app)
        app.post('/classes/:id/pdf') do
          found = result(id)
          raise Store::NotFound.new(:print, id) if found.plan.nil?

          order = Presenters::PdfOrder.new(found, params, unit)
          job = settings.runner.submit(order.task, title: order.title)
          keep_file(job, order, class_address(id))
          redirect to("/jobs/#{job.id}"), 303
        end
      end

      # What these routes tell.
      module Showing
        # @param came [Integer] things
        def tell_arrival(came)
          flash("#{count_of(came, 'thing')} from #{supplier_name} #{came == 1 ? 'is' : 'are'} on the shelf, for this class. " \
                'This cannot be undone; a wrong number is corrected in the stockroom with “Adjust”.')
        end

        # Of what the price of a seat leaves out.
        def missing_prices_form
          items = result(id).seat_costs&.unpriced.to_a.map do |item|
            Presenters::StockItem.new(studio, library, item.is_a?(Core::Catalogue::Line) ? :lines : :parts, item.key)
          end
          Presenters::MissingPricesForm.new(items, library.market, params)
        end

        def missing_prices_page(form, asked: false)
          page(:missing_prices, title: result(id).workshop.title, id: id, form: form, asked: asked)
        end

        def kits_address(id, anchor)
          "/classes/#{id}/kits##{anchor}"
        end

        def supplier_name
          library.market.suppliers[text(:supplier)]&.name.to_s
        end

        def stock_name(entry)
          item = library.table.public_send(entry.kind == :part ? :parts : :lines)[entry.item]
          name = item&.name || entry.item
          entry.length ? "#{name}, #{length(entry.length)}" : name
        end
      end
      private_class_method :order, :missing_prices, :packing, :taking, :pdf
    end
  end
end
