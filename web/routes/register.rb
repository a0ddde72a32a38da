# frozen_string_literal: true

module Web
  module Routes
    # People across classes: everyone once, taken into a new class, exported or erased; and a class once more.
    module Register
      def self.registered(app)
        app.helpers Knowing
        listing(app)
        choosing(app)
        app.post('/classes/:id/repeat') { redirect to(once { repeated(id) }), 303 }
        app.post('/classes/:id/by-hand') do
          form = Presenters::ByHandForm.new(result(id), params)
          next refuse(id, :by_hand, form.draft) unless form.valid?

          studio.live_events.append_all(id, form.events(result(id).live_events))
          flash('Written down. Send it again to correct it.')
          redirect to("/classes/#{id}/afterwards#afterwards"), 303
        end
        app.post('/classes/:id/note') do
          form = Presenters::NoteForm.new(params, studio.settings.currency)
          next refuse(id, :note, form.draft) unless form.valid?

          change(id, 'note') { |state| form.apply(state) }
        end
      end

      def self.listing(app)
        app.get('/people') { page(:register, title: 'People', register: registered(nil)) }
        app.get('/people/export.json') do
          person = known(text(:name))
          content_type :json
          attachment 'person.json'
          JSON.pretty_generate('person' => Core::Data::Records::ATTENDEE.write(person.attendee.with(key: '0')),
            'classes' => person.visits.map { |visit| { 'title' => visit.title, 'date' => visit.date.iso8601 } })
        end
        app.post('/people/merge') do
          number = settings.people.merge(text(:name), text(:into))
          flash("One person now, in #{count_of(number, 'more class', 'more classes')}. Each class can undo it.")
          redirect to('/people'), 303
        rescue Application::People::NotOne => e
          draft = Presenters::Draft.new(values: { 'name' => text(:name), 'into' => text(:into) },
            errors: { into: Formats::Wording.say("merge_people.#{e.code}", class: e.title) })
          halt 422, page(:register, title: 'People', register: registered(nil, draft))
        end
        erasing(app)
      end

      def self.erasing(app)
        app.post('/people/erase') do
          person = known_people.find { |one| one.name == text(:name) }
          name, number = person ? [person.attendee.name, person.number] : [text(:name), 1]
          done = erasure.call(name, number)
          forget_results
          page(:erased, title: 'Erased', erased: Presenters::Erased.new(text(:name), name, number, done))
        end
        app.post('/people/erase/copies') do
          copies = Array(params['copies']).grep(String)
          number = text(:number).to_i.clamp(1, Core::Setup::Workshop::MOST_PEOPLE)
          next none_chosen(text(:person), number) if copies.empty?

          drop = text(:do) == 'drop'
          drop ? erasure.drop_copies(copies) : erasure.from_copies(text(:person), copies, number)
          left = erasure.copies_with(text(:person)).size
          flash([say("erased.#{drop ? 'dropped' : 'from_copies'}", count: copies.size), say('erased.left', count: left)].join(' '))
          redirect to('/people'), 303
        rescue Store::UnusableDatabase => e
          flash(e.message, kind: :wrong)
          redirect to('/people'), 303
        end
      end

      def self.choosing(app)
        app.get('/classes/:id/people/known') do
          page(:known, title: 'People of earlier classes', register: registered(studio.classes.find(id)))
        end
        app.post('/classes/:id/people/known') do
          names = Array(params['names']).grep(String).first(Core::Setup::Workshop::MOST_PEOPLE)
          chosen = known_people.select { |person| names.include?(person.name) }.map { |person| person.attendee.with(colourway: nil) }
          room = Core::Setup::Workshop::MOST_PEOPLE - studio.classes.find(id).state.attendees.size
          change(id, 'people', adds: true) { |state| state.adding(studio.classes.number(id, chosen.first(room))) }
        end
      end
      private_class_method :listing, :choosing, :erasing

      # What these routes look up and do.
      module Knowing
        # @return [Array<Core::People::Register::Known>]
        def known_people
          settings.people.known
        end

        # @param klass [Store::Classes::Stored, nil] that they are chosen for @param draft [Presenters::Draft, nil] two names, refused
        def registered(klass, draft = nil)
          Presenters::Register.new(known_people, unit, text(:q), text(:page), klass, draft)
        end

        def known(name)
          known_people.find { |person| person.name == name } || raise(Store::NotFound.new(:person, name[0, 80]))
        end

        # The page of an erased person again, with what is missing.
        def none_chosen(name, number)
          done = Application::Erasure::Done.new(classes: 0, mentions: [], copies: erasure.copies_with(name))
          status 422
          page(:erased, title: 'Erased', erased: Presenters::Erased.new(name, name, number, done, none_chosen: true))
        end

        # @return [Application::Erasure] that also looks through the files beside the data
        def erasure
          folders = [brought_files, settings.label_printer_sheets, SignIn.letters(settings.folder)]
          Application::Erasure.new(studio, backups, files: folders)
        end

        # What was worked out or drawn, and still holds the name.
        def forget_results
          [settings.results, settings.people, settings.fragments, settings.drawn].each(&:clear)
        end

        # The same project and people a week later, who now know what they practised. @return [String] its address
        def repeated(id)
          found = result(id)
          raise Store::NotFound.new(:plan, id) if found.plan.nil?

          evening = Core::Live::LiveState.new(found.plan, found.live_events)
          workshop = found.workshop
          state = found.state.with(workshop: workshop.with(date: workshop.date + 7, note: Core::Setup::Note.new),
            attendees: Core::Logbook::ExperienceGained.after(found.plan, evening))
          "/classes/#{studio.classes.create(state)}"
        end
      end
    end
  end
end
