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

          entry = nil
          address = once do
            entry = form.entry(stock_item)
            studio.shelve([entry])
            text(:back).match?(/\A[\w-]+\z/) ? "/stockroom##{text(:back)}" : "#{stock_item.path}/stock"
          end
          entered = "#{stock_item.item.name}: entered. A wrong entry is corrected with “Adjust”."
          flash(entry.quantity.zero? ? 'The count agrees; nothing to enter.' : entered) if entry
          redirect to(address), 303
        rescue Store::Shortfall => e
          halt 422, show_stock(stock_item(form: form.refuse(e)))
        end
      end

      def self.offers(app)
        app.post('/stockroom/:table/:key/offers') do
          form = Presenters::OfferForm.new(stock_item, params)
          halt 422, show_stock(stock_item(offer_form: form)) unless form.valid?

          studio.market.save([form.offer])
          flash("#{stock_item.item.name}: the offer is saved.")
          redirect to("#{stock_item.path}/stock"), 303
        end
        app.post('/stockroom/:table/:key/offers/remove') do
          item = stock_item
          offer = item.offers.find { |known| known.key == text(:offer) }
          studio.market.remove(offer) if offer
          flash("#{item.item.name}: the offer is removed.") if offer
          redirect to("#{item.path}/stock"), 303
        end
      end

      def self.suppliers(app)
        app.get('/stockroom/suppliers') { suppliers_page }
        app.post('/stockroom/suppliers/:key/remove') do
          supplier = library.market.suppliers[params['key']] or raise Store::NotFound.new(:supplier, params['key'])
          removal = Application::Removal.new(studio)
          uses = removal.uses(:suppliers, supplier.key)
          gone = removal.call(:suppliers, supplier.key)
          stays = "#{supplier.name} stays, because of #{uses.map { |use| Formats::Wording.use(use) }.join(' and ')}."
          flash(gone ? "#{supplier.name} is removed." : stays, kind: gone ? :done : :wrong)
          redirect to('/stockroom/suppliers'), 303
        end
        app.post('/stockroom/suppliers') do
          key = studio.market.all.suppliers.key?(text(:key)) ? text(:key) : nil
          form = Presenters::SupplierForm.new(studio, key, params)
          halt 422, suppliers_page(form) unless form.valid?

          once { studio.market.save_supplier(form.supplier) && '/stockroom/suppliers' }
          flash("#{form.supplier.name} is saved.")
          redirect to('/stockroom/suppliers'), 303
        end
      end

      def self.prices(app)
        app.get('/stockroom/prices') { prices_page }
        app.post('/stockroom/prices') do
          supplier = library.market.suppliers[text(:supplier)]
          bytes = uploaded(:file, Showing::MOST_BYTES) || text(:list)
          bytes = File.read(Showing::SAMPLE) if text(:sample) == '1'
          errors = { supplier: ('Choose whose list it is.' if supplier.nil?), list: Showing.list_problem(bytes) }.compact
          halt 422, prices_page(errors: errors) if errors.any?

          task = Application::Tasks::ReadPriceList.new(bytes: bytes.b, table: library.table, market: library.market, supplier: supplier)
          job = settings.runner.submit(task, title: "Reading the prices of #{supplier.name}")
          redirect to("/stockroom/prices/#{job.id}"), 303
        end
        app.get('/stockroom/prices/:job') do
          next show_job(job, goes_to: "/stockroom/prices/#{job.id}") if redraw? || !job.done?

          page(:price_import, title: 'As understood', import: price_import(job), job: job)
        end
        app.post('/stockroom/prices/:job') do
          import = price_import(job)
          offers = import.offers(params['item'].is_a?(Hash) ? params['item'] : {})
          studio.market.save(offers)
          flash("#{count_of(offers.size, 'price')} of #{import.supplier.name} #{offers.size == 1 ? 'is' : 'are'} entered.")
          redirect to('/stockroom/suppliers'), 303
        end
      end

      # What these pages show.
      module Showing
        SAMPLE = File.join(EagerBench::ROOT, 'standins', 'price_list.csv')
        MOST_BYTES = 10_000_000

        # @return [String, nil]
        def self.list_problem(bytes)
          return "That is more than #{MOST_BYTES / 1_000_000} MB. Send the list in parts." if bytes.bytesize > MOST_BYTES

          'Choose a file, or paste the list.' if bytes.b.strip.empty?
        end

        # @param job [Application::Work::Job] @raise [Store::NotFound] when it read no list
        def price_import(job)
          raise Store::NotFound.new(:list, job.id) unless job.result.is_a?(Formats::PriceList)

          Presenters::PriceImport.new(job.result, job.task.supplier, library.table)
        end

        # The stand-in scale weighs what the ledger says is there, with its noise.
        def self.read_scale(item)
          scale = Standins::Scale.new(load_mg: (item.balance * item.mass).round, seed: item.entries.size)
          scale.tare
          scale.readings
        end

        def stock_item(**options)
          Presenters::StockItem.new(studio, library, stock_table, params['key'], **options)
        end

        def show_stock(item)
          page(:stock, title: item.item.name, item: item)
        end

        def suppliers_page(form = nil)
          page(:suppliers, title: 'Suppliers', market: library.market, form: form, currencies: Core::Money::DIGITS.keys)
        end

        def prices_page(errors: {})
          page(:prices, title: 'Import a price list', market: library.market, errors: errors)
        end
      end
      private_class_method :stock, :offers, :suppliers, :prices
    end
  end
end
