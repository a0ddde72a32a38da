# frozen_string_literal: true

module Web
  module Routes
    # Inviting people to a class, and what they answer. The page of an invitation needs no account, see
    # Guests.
    module Invitations
      def self.registered(app)
        asking(app)
        settling(app)
        answering(app)
        app.helpers Showing
      end

      def self.asking(app)
        app.get('/classes/:id/invitation') { show_invitation(invitation_page(id)) }
        app.get('/classes/:id/invitation/sheet') do
          built(id)
          print = Presenters::Print.new(result(id), unit: unit, seat: '')
          erb(:'pages/invitation_sheet', layout: :print_layout,
            locals: { title: 'Before the class', print: print, page: invitation_page(id) })
        end
        app.post('/classes/:id/invitation') do
          form = invitation_page(id, asked: true)
          next status(422) && show_invitation(form) unless form.valid?

          closes_on = Contracts::TypedField.date(form.value(:closes_on))
          studio.invitations.open(id, closes_on: closes_on, seats: form.value(:seats).to_i, words: form.value(:words))
          to_invitation(id, say_plain('invitation.opened'))
        end
        app.post('/classes/:id/invitation/close') do
          studio.invitations.close(id)
          to_invitation(id, say_plain('invitation.closed'))
        end
        app.post('/classes/:id/invitation/reminders') do
          letters = invitation_page(id).reminders
          mailbox = SignIn.mailbox(settings.folder)
          letters.each { |to, words| mailbox.deliver(to: to, subject: say_plain('invitation.subject'), text: words) }
          to_invitation(id, say_plain('invitation.reminded', count: letters.size))
        end
      end

      def self.settling(app)
        app.post('/classes/:id/invitation/:answer/accept') do
          given = studio.invitations.one(id, answer_id)
          if studio.classes.find(id).state.attendees.size >= Core::Setup::Workshop::MOST_PEOPLE
            flash('No more people fit into one class.', kind: :wrong)
          elsif given.state != :accepted
            person = invitation_page(id).attendee(given)
            studio.classes.edit(id, studio.classes.find(id).revision, 'people') { |state|
              state.adding(studio.classes.number(id, [person]))
            }
            studio.invitations.settle(id, given.id, :accepted)
            flash("#{given.answer.name} is in the class.")
          end
          redirect to("/classes/#{id}/invitation"), 303
        end
        app.post('/classes/:id/invitation/:answer/decline') do
          given = studio.invitations.one(id, answer_id)
          studio.invitations.settle(id, given.id, :declined) unless given.state == :accepted
          redirect to("/classes/#{id}/invitation"), 303
        end
      end

      def self.answering(app)
        app.get('/invited/:code') { show_invited(invited_page) }
        app.post('/invited/:code') do
          form = invited_page(asked: true)
          halt 410, guest_words('over') unless form.invitation.open_on?(moment.today)
          next status(422) && show_invited(form) unless form.valid?

          taken = result(form.invitation.class_id).state.attendees.size
          given = once { studio.invitations.answer(form.invitation, form.answer, taken: taken)&.state.to_s }
          halt 429, guest_words('too_many') if given.empty?

          guest_words(given == 'waiting' ? 'waiting' : 'thanks', name: form.value(:name))
        end
      end
      private_class_method :asking, :settling, :answering

      # What these routes share.
      module Showing
        def invitation_page(id, asked: false)
          built(id)
          Presenters::Invitation.new(result(id), studio.invitations.of(id), studio.invitations.answers(id), params, unit,
            today: moment.today, address: (request.base_url if settings.sharing), asked: asked)
        end

        def show_invitation(form)
          page(:invitation, title: "Invitation to #{form.title}", page: form, more: text(:more) == '1')
        end

        def to_invitation(id, words)
          flash(words)
          redirect to("/classes/#{id}/invitation"), 303
        end

        def say_plain(key, **values)
          Formats::Wording.say(key, **values)
        end

        # @return [Integer] @raise [Store::NotFound]
        def answer_id
          raise Store::NotFound.new(:answer, params['answer']) unless params['answer'].match?(/\A\d{1,15}\z/)

          params['answer'].to_i
        end

        def invited_page(asked: false)
          invitation = studio.invitations.find(params['code'].to_s) or halt(404, guest_words('unknown'))
          stored = studio.classes.find(invitation.class_id) or halt(404, guest_words('unknown'))
          halt 404, guest_words('unknown') if result(stored.id).plan.nil?

          Presenters::Invited.new(invitation, Presenters::Questions.new(result(stored.id), unit), params, unit, asked: asked)
        end

        def show_invited(form)
          return halt(410, guest_words('over')) unless form.invitation.open_on?(moment.today)

          page(:invited, title: form.questions.workshop.title, page: form)
        end

        def guest_words(key, **values)
          page(:invited_words, title: 'Invitation', words: say_plain("invited.#{key}", **values))
        end
      end
    end
  end
end
