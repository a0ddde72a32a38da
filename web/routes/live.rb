# frozen_string_literal: true

module Web
  module Routes
    # A class as it happens: each tap is kept as an event, and the page shows how all stand.
    module Live
      def self.registered(app)
        app.helpers Showing
        tapping(app)
        joining(app)
        showing(app)
      end

      def self.tapping(app)
        app.get('/classes/:id/live') { show_live(id) }
        app.post('/classes/:id/live') do
          event = Presenters::LiveTap.new(params, Time.now.to_i, unit).event
          next refuse_tap(id) if event.nil?

          event = event.with(at: live_now(id)) if settings.practice.practice?(id)
          studio.live_events.append(id, event)
          settings.phones.close if event.kind == :end && settings.phones.door&.class_id == id
          redraw? ? show_live(id) : redirect(to("/classes/#{id}/live"), 303)
        end
      end

      # Someone who comes without having signed up, and an evening to practise on.
      def self.joining(app)
        app.post('/classes/:id/live/people') do
          form = Presenters::PersonForm.new(params)
          next refuse_person(id, form.draft) unless form.valid?
          next refuse_person(id, form.full) if studio.classes.find(id).state.attendees.size >= Core::Setup::Workshop::MOST_PEOPLE

          once { joined(id, form) }
          redirect to("/classes/#{id}/live"), 303
        end
        app.post('/classes/:id/practice') { redirect to(once { practised(id) }), 303 }
      end

      def self.showing(app)
        app.get('/classes/:id/screen') { show_screen(id) }
        app.get('/classes/:id/home') do
          found = result(id)
          raise Store::NotFound.new(:plan, id) if found.plan.nil?

          erb(:'pages/home', layout: :print_layout, locals: { title: 'What goes home',
            print: Presenters::Home.new(found, evening(found), unit: unit, person: text(:person)) })
        end
        app.get('/classes/:id/log.csv') do
          found = result(id)
          raise Store::NotFound.new(:log, id) if found.plan.nil?

          attachment "#{Presenters::FileName.of('log', found.workshop)}.csv"
          content_type 'text/csv', charset: 'utf-8'
          Formats::LogCsv.write(found.plan, evening(found))
        end
      end
      private_class_method :tapping, :joining, :showing

      # What these routes show.
      module Showing
        # @return [Integer] seconds, as they are in this class
        def live_now(id)
          settings.practice.now(id, Time.now.to_i)
        end

        def show_live(id, draft: nil)
          live = standing(id, draft: draft)
          show_sections([fresh_section('live', :live, page: live)], title: "Live: #{live.title}", kind: 'wide live')
        end

        # For the room: no names beside what all can see, no notes.
        def show_screen(id)
          screen = Presenters::Screen.new(standing(id))
          show_sections([fresh_section('screen', :screen, page: screen)], title: screen.title, kind: 'wide screen')
        end

        # @return [Presenters::Live]
        def standing(id, draft: nil)
          now = live_now(id)
          settings.practice.bring(id, now)
          found = result(id)
          raise Store::NotFound.new(:plan, id) if found.plan.nil?

          evening = evening(found)
          settings.live_forecasts.ask(id, found.model, evening, now) if evening.running? && found.model.is_a?(Core::Session::Model)
          Presenters::Live.new(found, evening, settings.live_forecasts, now, unit, draft: draft, practice: settings.practice.practice?(id),
            phones: (settings.phones unless phone?))
        end

        def evening(found)
          Core::Live::LiveState.new(found.plan, found.live_events)
        end

        def refuse_tap(id)
          status 422
          measured = text(:kind) == 'measured'
          flash(measured ? 'Write a length from 2 cm to 2 m, such as 171 mm.' :
            'That tap could not be read. Reload the page and tap again.',
            kind: :wrong)
          show_live(id)
        end

        def refuse_person(id, draft)
          status 422
          show_live(id, draft: draft)
        end

        # Gets a seat, and a kit of those for late sign-ups while there is one; is here from now on.
        def joined(id, form)
          attendee = nil
          studio.classes.edit(id, studio.classes.find(id).revision, 'person_added') do |state|
            attendee = studio.classes.number(id, [form.attendee]).first
            state.adding([attendee]).with(workshop: state.workshop.with(supply: one_kit_less(state.workshop.supply)))
          end
          started = evening(result(id)).started
          taps = started ? [['absent', started], ['here', live_now(id)]] : []
          taps.each do |kind, at|
            studio.live_events.append(id, Core::Live::Event.new(key: SecureRandom.hex(12), kind: kind.to_sym, at: at, person: attendee.key))
          end
          "/classes/#{id}/live"
        end

        def one_kit_less(supply)
          supply.with(extra_kits: [supply.extra_kits - 1, 0].max)
        end

        # @return [String] where the practice evening is
        def practised(id)
          found = result(id)
          raise Store::NotFound.new(:plan, id) unless found.model.is_a?(Core::Session::Model)

          workshop = found.workshop.with(title: "Practice: #{found.workshop.title}"[0, 120], note: Core::Setup::Note.new(teaches: false))
          copy = studio.classes.create(found.state.with(workshop: workshop))
          own = result(copy)
          settings.practice.begin(copy, own.plan, own.model, Time.now.to_i, run: copy)
          "/classes/#{copy}/live"
        end
      end
    end
  end
end
