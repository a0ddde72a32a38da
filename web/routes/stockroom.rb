# frozen_string_literal: true

module Web
  module Routes
    # The studio's own parts, lines, tools, techniques and paces.
    module Stockroom
      TABLES = { 'parts' => :parts, 'lines' => :lines, 'tools' => :tools, 'techniques' => :techniques }.freeze

      def self.registered(app)
        app.get('/ladder') { redirect to("/techniques#{"?#{request.query_string}" unless request.query_string.empty?}"), 301 }
        app.get('/techniques') { techniques_page(Presenters::CalibrationForm.show(library.calibration)) }
        app.post('/techniques/paces') do
          form = Presenters::CalibrationForm.new(params, library.calibration)
          halt 422, techniques_page(form) unless form.valid?

          studio.calibrate(form.calibration)
          flash('The paces are saved. Every class is worked out with them. To undo this, set the old numbers again.')
          redirect to('/techniques'), 303
        end
        app.get('/stockroom') { page(:stockroom, title: 'Stockroom', list: stock_list) }
        app.get('/stockroom/metals') { page(:metals, title: 'Metals and allergies', form: Presenters::MetalsForm.show(library.table)) }
        app.post('/stockroom/metals') do
          studio.catalogue.save_alloys(Presenters::MetalsForm.new(library.table, params).alloys)
          flash('Saved. Allergy checks now use these metals.')
          redirect to('/stockroom/metals'), 303
        end
        app.get('/stockroom/:table/new') { stock_page(Presenters::StockForm.show(studio, stock_table, nil)) }
        app.get('/stockroom/:table/:key') { stock_page(Presenters::StockForm.show(studio, stock_table, params['key'])) }
        app.post('/stockroom/:table') { keep(Presenters::StockForm.new(studio, stock_table, nil, params)) }
        app.post('/stockroom/:table/:key') do
          raise Store::NotFound.new(:part, params['key']) unless library.table.public_send(stock_table).key?(params['key'])

          keep(Presenters::StockForm.new(studio, stock_table, params['key'], params))
        end
        app.post('/stockroom/:table/:key/remove') { removed(stock_table, params['key']) }
        app.post('/stockroom/:table/:key/hide') do
          found = item_of(stock_table, params['key'])
          studio.catalogue.hide(stock_table, params['key'], text(:away) == '1')
          hidden = "#{found.name} is hidden: what uses it keeps it; it is offered for nothing new."
          flash(text(:away) == '1' ? hidden : "#{found.name} is offered again.")
          redirect to("/stockroom/#{stock_table}/#{params['key']}"), 303
        end
        app.helpers Keeping
      end

      # Showing and saving one of them.
      module Keeping
        def techniques_page(form)
          ladder = Presenters::Ladder.new(moment.coming, library, text(:class), text(:to))
          page(:techniques, title: 'Techniques', ladder: ladder, paces: form)
        end

        # Its rows are kept until anything of the studio changes.
        def stock_list
          fresh = -> { Presenters::StockList.new(library, studio.ledger.stock, params, unit).all }
          rows = settings.drawn.fetch([:stock, unit], moment.revision, &fresh)
          Presenters::StockList.new(library, studio.ledger.stock, params, unit, rows)
        end

        def stock_table
          TABLES.fetch(params['table']) { raise Store::NotFound.new(:page, params['table']) }
        end

        def stock_page(form)
          use = form.key && Presenters::StockUse.new(studio, form.table_name, form.key)
          page(:stock_item, title: form.key ? 'Change' : 'New', form: form, use: use)
        end

        # @raise [Store::NotFound]
        def item_of(table, key)
          library.table.public_send(table)[key] || raise(Store::NotFound.new(:part, key))
        end

        def removed(table, key)
          found = item_of(table, key)
          gone = Application::Removal.new(studio).call(table, key)
          flash(gone ? "#{found.name} is removed." : "#{found.name} is in use and stays.", kind: gone ? :done : :wrong)
          back = table == :techniques ? '/techniques' : '/stockroom'
          redirect to(gone ? back : "/stockroom/#{table}/#{key}"), 303
        end

        def keep(form)
          halt 422, stock_page(form) unless form.valid?

          address = form.table_name == :techniques ? '/techniques' : '/stockroom'
          once do
            form.save
            address
          end
          flash("#{form.item.name} is saved.")
          redirect to(address), 303
        end
      end
    end
  end
end
