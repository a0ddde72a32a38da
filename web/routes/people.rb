# frozen_string_literal: true

module Web
  module Routes
    # The people of a class: pasted or loaded as a list, one by one, or several at once.
    module People
      def self.registered(app)
        list(app)
        several(app)
        one(app)
      end

      def self.list(app)
        app.get('/classes/:id/people/paste') { page(:paste, title: 'Paste a list',
          list: Presenters::PeopleList.new(studio.classes.find(id), params)) }
        app.post('/classes/:id/people/paste') do
          list = Presenters::PeopleList.new(studio.classes.find(id), params)
          status 422 if list.problem
          next page(:paste, title: 'Paste a list', list: list) unless list.confirmed?

          change(id, 'people', adds: true) { |state| state.adding(studio.classes.number(id, list.attendees)) }
        end
      end

      def self.several(app)
        app.post('/classes/:id/people/assumed-size') do
          form = Presenters::AssumedSizeForm.new(params, built(id).design.body)
          next refuse(id, :assumed, form.draft) unless form.valid?

          change(id, 'assumed_size') { |state| state.with(workshop: state.workshop.with(assumed_size: form.size)) }
        end
        app.post('/classes/:id/people/several') do
          form = Presenters::SeveralForm.new(params, built(id).design)
          next refuse(id, :several, form.draft) unless form.valid?

          change(id, 'several') { |state| form.apply(state) }
        end
      end

      def self.one(app)
        app.post('/classes/:id/people') do
          form = Presenters::PersonForm.new(params)
          next refuse(id, :new_person, form.draft) unless form.valid?
          next refuse(id, :new_person, form.full) if studio.classes.find(id).state.attendees.size >= Core::Setup::Workshop::MOST_PEOPLE

          change(id, 'person_added', adds: true) { |state| state.adding(studio.classes.number(id, [form.attendee])) }
        end
        app.post('/classes/:id/people/:key') do
          form = Presenters::PersonForm.new(params)
          next refuse(id, params['key'], form.draft) unless form.valid?

          change(id, 'person') { |state| state.replacing(form.apply(state.attendee(params['key']))) }
        end
        app.post('/classes/:id/people/:key/more') do
          form = Presenters::PersonMoreForm.new(studio, params)
          next refuse(id, "more-#{params['key']}", form.draft) unless form.valid?

          change(id, 'person_more') { |state| state.replacing(form.apply(state.attendee(params['key']))) }
        end
        app.post('/classes/:id/people/:key/needs') do
          form = Presenters::NeedsForm.new(params)
          next refuse(id, "needs-#{params['key']}", form.draft) unless form.valid?

          change(id, 'person_needs') { |state| state.replacing(form.apply(state.attendee(params['key']))) }
        end
        app.post('/classes/:id/people/:key/remove') { change(id, 'person_removed') { |state| state.without(params['key']) } }
        app.post('/classes/:id/people/:key/erase') do
          name = studio.classes.taken_out(id)[params['key']] or raise Store::NotFound.new(:person, params['key'])
          studio.classes.erase(id, params['key'])
          erasure.finish([name])
          forget_results
          flash("#{name} is erased from every state of this class. This cannot be undone.")
          redirect to(class_address(id)), 303
        end
      end
      private_class_method :list, :several, :one
    end
  end
end
