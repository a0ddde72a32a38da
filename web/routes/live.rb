# frozen_string_literal: true

module Web
  module Routes
    # A class as it happens: each tap is kept as an event, and the page shows how all stand.
    module Live
      def self.registered(app)
        app.helpers Showing
        app.get('/classes/:id/live') { show_live(id) }
        app.post('/classes/:id/live') do
          event = Presenters::LiveTap.new(params, Time.now.to_i).event
          next refuse_tap(id) if event.nil?

          studio.live_events.append(id, event)
          redraw? ? show_live(id) : redirect(to("/classes/#{id}/live"), 303)
        end
        app.get('/classes/:id/log.csv') do
          found = result(id)
          raise Store::NotFound.new(:log, id) if found.plan.nil?

          attachment "log-class-#{id}.csv"
          content_type 'text/csv', charset: 'utf-8'
          Formats::LogCsv.write(found.plan, evening(found))
        end
      end

      # What these routes show.
      module Showing
        def show_live(id)
          found = result(id)
          raise Store::NotFound.new(:plan, id) if found.plan.nil?

          now = Time.now.to_i
          standing = evening(found)
          settings.live_forecasts.ask(id, found.model, standing, now) if standing.running? && found.model.is_a?(Core::Session::Model)
          live = Presenters::Live.new(found, standing, settings.live_forecasts, now, unit)
          sections = [fresh_section('live', :live, page: live)]
          show_sections(sections, title: "Live: #{live.title}", kind: 'wide live')
        end

        def evening(found)
          Core::Live::Evening.of(found.plan, found.live_events)
        end

        def refuse_tap(id)
          status 422
          tell('That tap could not be read. Reload the page and tap again.', kind: :wrong)
          redraw? ? show_live(id) : redirect(to("/classes/#{id}/live"), 303)
        end
      end
    end
  end
end
