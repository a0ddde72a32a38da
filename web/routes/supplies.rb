# frozen_string_literal: true

module Web
  module Routes
    # The stock with its ledger, suppliers, their offers and their price lists.
    module Supplies
      def self.registered(app)
        app.helpers Showing
        suppliers(app)
        prices(app)
        stock(app)
        offers(app)
      end

      def self.stock(app)
        app.get('/stockroom/:table/:key/stock') do
          item = stock_item
          item = stock_item(readings: Showing.read_scale(item)) if text(:scale) == '1' && item.mass
          show_stock(item)
        end
        app.post('/stockroom/:table/:key/stock') do
          form = Presenters::EntryForm.new(stock_item, params)
          halt 422, show_stock(stock_item(form: form)) unless form.valid?

          entry = form.entry
          studio.ledger.post([entry])
          tell(entry.quantity.zero? ? 'The count agrees; nothing to enter.' : "#{stock_item.item.name}: entered.")
          redirect to("#{stock_item.path}/stock"), 303
        rescue Store::Shortfall => e
          halt 422, show_stock(stock_item(form: form.refuse(e)))
        end
      end

      def self.offers(app)
        app.post('/stockroom/:table/:key/offers') do
          form = Presenters::OfferForm.new(stock_item, params)
          halt 422, show_stock(stock_item(offer_form: form)) unless form.valid?

          studio.market.save([form.offer])
          tell("#{stock_item.item.name}: the offer is entered.")
          redirect to("#{stock_item.path}/stock"), 303
        end
        app.post('/stockroom/:table/:key/offers/remove') do
          item = stock_item
          offer = item.offers[Integer(text(:offer), 10, exception: false) || item.offers.size]
          studio.market.remove(offer) if offer
          redirect to("#{item.path}/stock"), 303
        end
      end

      def self.suppliers(app)
        app.get('/stockroom/suppliers') { suppliers_page }
        app.post('/stockroom/suppliers') do
          key = studio.market.all.suppliers.key?(text(:key)) ? text(:key) : nil
          form = Presenters::SupplierForm.new(studio, key, params)
          halt 422, suppliers_page(form) unless form.valid?

          studio.market.save_supplier(form.supplier)
          tell("#{form.supplier.name} is entered.")
          redirect to('/stockroom/suppliers'), 303
        end
      end

      def self.prices(app)
        app.get('/stockroom/prices') { prices_page }
        app.post('/stockroom/prices') do
          supplier = studio.market.all.suppliers[text(:supplier)]
          upload = params['file']
          bytes = upload.is_a?(Hash) && upload['tempfile'] ? upload['tempfile'].read : text(:list)
          bytes = File.read(Showing::SAMPLE) if text(:sample) == '1'
          errors = { supplier: ('Choose whose list it is.' if supplier.nil?), list: ('Choose a file, or paste the list.' if bytes.strip.empty?) }.compact
          halt 422, prices_page(errors: errors) if errors.any?

          market = studio.market.all
          table = studio.catalogue.table
          job = settings.jobs.start("Reading the prices of #{supplier.name}", shown_under: '/stockroom/prices') do |running|
            Presenters::PriceImport.new(Formats::PriceList.new(bytes, table, market, supplier.key) { |share| running.reached(share) }, supplier, table)
          end
          redirect to(job.path), 303
        end
        app.get('/stockroom/prices/:job') do
          job = settings.jobs.find(params['job'])
          next show_job(job) if redraw? || !job.done?
          raise Store::NotFound.new(:list, job.id) unless job.result.is_a?(Presenters::PriceImport)

          page(:price_import, title: 'As understood', import: job.result, job: job)
        end
        app.post('/stockroom/prices/:job') do
          job = settings.jobs.find(params['job'])
          raise Store::NotFound.new(:list, job.id) unless job.result.is_a?(Presenters::PriceImport)

          offers = job.result.offers(params['item'].is_a?(Hash) ? params['item'] : {})
          studio.market.save(offers)
          tell("#{offers.size} prices of #{job.result.supplier.name} are entered.")
          redirect to('/stockroom/suppliers'), 303
        end
      end

      # What these pages show.
      module Showing
        SAMPLE = File.join(EagerBench::ROOT, 'standins', 'price_list.csv')

        # The stand-in scale weighs what the ledger says is there, with its noise.
        def self.read_scale(item)
          scale = Standins::Scale.new(load_mg: (item.balance * item.mass).round, seed: item.entries.size)
          scale.tare
          scale.readings
        end

        def stock_item(**options)
          Presenters::StockItem.new(studio, stock_table, params['key'], **options)
        end

        def show_stock(item)
          page(:stock, title: item.item.name, item: item)
        end

        def suppliers_page(form = nil)
          page(:suppliers, title: 'Suppliers', market: studio.market.all, form: form)
        end

        def prices_page(errors: {})
          page(:prices, title: 'Load a price list', market: studio.market.all, errors: errors)
        end
      end
      private_class_method :stock, :offers, :suppliers, :prices
    end
  end
end
