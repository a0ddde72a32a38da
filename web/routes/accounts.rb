# frozen_string_literal: true

module Web
  module Routes
    # Who may use a shared studio, one's own account, and who changed what.
    module Accounts
      FORMS = { '/sign-in' => [:sign_in, 'Sign in'], '/forgotten-password' => [:forgotten_password, 'Forgotten password'],
                '/new-password' => [:new_password, 'Set a password'],
                '/change-password' => [:change_password, 'Change the password'] }.freeze

      def self.registered(app)
        app.helpers Showing
        forms(app)
        own(app)
        accounts(app)
        app.get('/live') { page(:evenings, title: 'Live', classes: classes_at_hand) }
        app.get('/classes/:id/changes') do
          title = studio.classes.title(id)
          page(:changes, title: "Changes: #{title}", class_id: id, class_title: title,
            changes: Presenters::ChangesMade.new(studio.audit_log.of(id)))
        end
      end

      # Shown by SignIn alone, which judges what is sent.
      def self.forms(app)
        FORMS.each do |path, (name, title)|
          app.get(path) do
            pass unless env[SignedIn::FORM]

            page(name, title: title, form: env[SignedIn::FORM], shortest: SignIn::SHORTEST_PASSWORD)
          end
        end
      end

      def self.own(app)
        app.get('/account') do
          pass unless account

          page(:account, title: 'Your account', role: Formats::Wording.say("accounts.roles.#{account.role}"))
        end
        app.get('/not-allowed') do
          pass unless account

          Errors.render(self, 403, 'Your account may not do this', Formats::Wording.say("accounts.refused.#{account.role}"))
        end
      end

      def self.accounts(app)
        app.get('/accounts') { accounts_page }
        app.post('/accounts') do
          form = Presenters::AccountForm.new(params)
          halt 422, accounts_page(form.draft) unless form.valid?

          redirect to(once { added(form) }), 303
        rescue Store::Accounts::LoginTaken
          halt 422, accounts_page(form.taken)
        end
        app.post('/accounts/:id') do
          role = Store::Accounts::ROLES.find { |known| known.to_s == text(:role) }
          changing_accounts { studio.accounts.give_role(id('account'), role) if role }
        end
        app.post('/accounts/:id/link') do
          changing_accounts { invite(id('account')) }
        end
        app.post('/accounts/:id/remove') do
          changing_accounts { studio.accounts.remove(id('account')) }
        end
      end
      private_class_method :forms, :own, :accounts

      # What these routes share.
      module Showing
        def accounts_page(draft = nil)
          page(:accounts, title: 'Accounts', accounts: Presenters::Accounts.new(studio, settings.sharing, draft))
        end

        # @return [String] where it is shown
        def added(form)
          invite(studio.accounts.add(**form.to_h))
          '/accounts'
        end

        def changing_accounts
          yield
          redirect to('/accounts'), 303
        rescue Store::Accounts::LastOwner
          flash('This is the only owner. Make someone else an owner first.', kind: :wrong)
          redirect to('/accounts'), 303
        end

        # The link is told as well: letters go into a folder, since the mailbox is a stand-in.
        def invite(account_id)
          one = studio.accounts.find(account_id) or raise Store::NotFound.new(:account, account_id)
          link = settings.sign_in.value.invite(one, request.base_url)
          flash("#{one.name} can set a password with this link, for a day: #{link}")
        end

        # @return [Array<(Integer, String, String)>] id, title and date
        def classes_at_hand
          moment.at_hand.map do |stored|
            workshop = stored.state.workshop
            [stored.id, workshop.title, workshop.date.strftime('%-d %B %Y')]
          end
        end
      end
    end
  end
end
