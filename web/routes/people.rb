# frozen_string_literal: true

module Web
  module Routes
    # The people of a class: pasted or loaded as a list, or one by one.
    module People
      def self.registered(app)
        list(app)
        one(app)
      end

      def self.list(app)
        app.get('/classes/:id/people/paste') { page(:paste, title: 'Paste a list', list: Presenters::PeopleList.new(studio, id, params)) }
        app.post('/classes/:id/people/paste') do
          list = Presenters::PeopleList.new(studio, id, params)
          next page(:paste, title: 'Paste a list', list: list) unless list.confirmed?

          change(id, 'people') { |state| state.adding(studio.classes.number(id, list.attendees)) }
        end
      end

      def self.one(app)
        app.post('/classes/:id/people') do
          form = Presenters::PersonForm.new(params)
          next refuse(id, :new_person, form.draft) unless form.valid?
          next refuse(id, :new_person, form.full) if studio.classes.find(id).state.attendees.size >= Core::Workshop::MOST_PEOPLE

          change(id, 'person_added') { |state| state.adding(studio.classes.number(id, [form.attendee])) }
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
        app.post('/classes/:id/people/:key/remove') { change(id, 'person_removed') { |state| state.without(params['key']) } }
      end
      private_class_method :list, :one
    end
  end
end
