# frozen_string_literal: true

module Web
  module Routes
    # The studio's own parts, lines, tools, techniques and paces.
    module Stockroom
      TABLES = { 'parts' => :parts, 'lines' => :lines, 'tools' => :tools, 'techniques' => :techniques }.freeze

      def self.registered(app)
        app.get('/ladder') { ladder_page(Presenters::CalibrationForm.show(studio.calibration)) }
        app.post('/ladder/paces') do
          form = Presenters::CalibrationForm.new(params, studio.calibration)
          halt 422, ladder_page(form) unless form.valid?

          studio.calibrate(form.calibration)
          tell('The paces are kept. Every class is worked out with them.')
          redirect to('/ladder'), 303
        end
        app.get('/stockroom') { page(:stockroom, title: 'Stockroom', table: studio.catalogue.table, stock: studio.ledger.stock) }
        app.get('/stockroom/:table/new') { stock_page(Presenters::StockForm.show(studio, stock_table, nil)) }
        app.get('/stockroom/:table/:key') { stock_page(Presenters::StockForm.show(studio, stock_table, params['key'])) }
        app.post('/stockroom/:table') { keep(Presenters::StockForm.new(studio, stock_table, nil, params)) }
        app.post('/stockroom/:table/:key') do
          raise Store::NotFound.new(:part, params['key']) unless studio.catalogue.table.public_send(stock_table).key?(params['key'])

          keep(Presenters::StockForm.new(studio, stock_table, params['key'], params))
        end
        app.helpers Keeping
      end

      # Showing and saving one of them.
      module Keeping
        def ladder_page(form)
          page(:ladder, title: 'Ladder', ladder: Presenters::Ladder.new(studio, text(:class)), paces: form)
        end

        def stock_table
          TABLES.fetch(params['table']) { raise Store::NotFound.new(:page, params['table']) }
        end

        def stock_page(form)
          page(:stock_item, title: form.key ? 'Change' : 'New', form: form)
        end

        def keep(form)
          halt 422, stock_page(form) unless form.valid?

          form.save
          tell("#{form.item.name} is in the stockroom.")
          redirect to(form.table_name == :techniques ? '/ladder' : '/stockroom'), 303
        end
      end
    end
  end
end
