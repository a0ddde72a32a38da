# frozen_string_literal: true

module Web
  class SignIn
    # What Rodauth is told: where the forms are, what is too often or too long, and what is said.
    # (OWASP Cheat Sheet Series: Authentication, Session Management, Forgot Password.)
    class Rules
      # bcrypt reads no more.
      MOST_PASSWORD_BYTES = 72
      MOST_WRONG = 5
      LOCKED = { minutes: 15 }.freeze
      LINK_HOLDS = { days: 1 }.freeze
      REMEMBERED = { days: 14 }.freeze
      LIFETIME_SECONDS = 30 * 24 * 3600
      ASKED_BY_SCRIPT = %w[HTTP_X_REDRAW HTTP_X_POLL].freeze

      # The same words whether the address or the password is wrong.
      WORDS = {
        login_error_flash: 'wrong', login_lockout_error_flash: 'wrong', logout_notice_flash: 'signed_out',
        session_expiration_error_flash: 'expired', active_sessions_error_flash: 'expired',
        reset_password_email_sent_notice_flash: 'letter', reset_password_email_recently_sent_error_flash: 'letter',
        no_matching_reset_password_key_error_flash: 'old_link', reset_password_notice_flash: 'password_set',
        change_password_notice_flash: 'password_changed', password_is_one_of_the_most_common_message: 'guessable',
        password_too_short_message: 'password', password_too_many_bytes_message: 'password',
        passwords_do_not_match_message: 'not_alike', same_as_existing_password_message: 'same'
      }.freeze
      SILENT = %i[no_matching_login_message require_login_error_flash login_notice_flash reset_password_error_flash
                  change_password_error_flash].freeze

      # @param secret [String] signs what stands in links and cookies @param mailbox [Standins::Mailbox]
      def initialize(studio, secret, mailbox)
        @studio = studio
        @secret = secret
        @mailbox = mailbox
      end

      # @param auth [Rodauth::Configuration]
      def call(auth)
        database, secret = @studio.database, @secret
        auth.instance_exec do
          enable :login, :logout, :remember, :lockout, :reset_password, :change_password
          enable :active_sessions, :session_expiration, :internal_request, :disallow_common_passwords
          db database
          hmac_secret secret
          login_column :login
          account_password_hash_column :password_hash
          set_deadline_values? true
          # The host name was checked before: see App.for_studio.
          domain { request.host }
        end
        places(auth)
        limits(auth)
        words(auth)
        forms(auth)
        letters(auth)
      end

      private

      def places(auth)
        auth.instance_exec do
          login_route 'sign-in'
          logout_route 'sign-out'
          # What Live kept on the device is for who is signed in.
          after_logout { response.headers['Clear-Site-Data'] = '"storage"' }
          reset_password_request_route 'forgotten-password'
          reset_password_route 'new-password'
          change_password_route 'change-password'
          remember_route nil
          unlock_account_route nil
          unlock_account_request_route nil
          login_return_to_requested_location? true
          logout_redirect '/sign-in'
          active_sessions_redirect '/sign-in'
          reset_password_redirect '/sign-in'
          reset_password_email_sent_redirect '/sign-in'
          reset_password_email_recently_sent_redirect '/sign-in'
          change_password_redirect '/account'
          already_logged_in { redirect('/') }
          after_login do
            remember_login if param_or_nil('remember') == '1'
            forget_ended_sessions
          end
          # The cookie goes, and the token with it: a copy of the cookie signs nobody in.
          before_logout do
            forget_login
            disable_remember_login if account_from_session
          end
          # The account was shown to be theirs by its mail.
          after_reset_password { unlock_account }
        end
      end

      def limits(auth)
        auth.instance_exec do
          password_minimum_length SHORTEST_PASSWORD
          password_maximum_bytes MOST_PASSWORD_BYTES
          max_invalid_logins MOST_WRONG
          account_lockouts_deadline_interval LOCKED
          # As for a wrong password: a lock would tell that there is such an account.
          lockout_error_status 401
          reset_password_deadline_interval LINK_HOLDS
          remember_deadline_interval REMEMBERED
          remember_cookie_options(httponly: true, same_site: :strict)
          session_inactivity_timeout IDLE_SECONDS
          max_session_lifetime LIFETIME_SECONDS
          # Kept by the time in the session itself: the database is not written at each request.
          session_inactivity_deadline nil
          session_lifetime_deadline nil
          auth_class_eval do
            # What is read here must not change before it is written.
            def transaction(opts = {}, &block)
              db.transaction({ mode: :immediate, **opts }, &block)
            end

            # SQLite's times are in UTC and do not say so.
            def convert_timestamp(text)
              text && Time.strptime("#{text} +0000", '%Y-%m-%d %H:%M:%S %z')
            end

            # What is no text is not there.
            def raw_param(name)
              value = super
              value.is_a?(String) ? value.scrub('') : value
            end

            # Those that nobody signed out of, and that have become too old.
            def forget_ended_sessions
              oldest = Sequel.date_sub(Sequel::CURRENT_TIMESTAMP, seconds: LIFETIME_SECONDS)
              active_sessions_ds.where { created_at < oldest }.delete
            end

            # An unknown or locked address takes as long as a wrong password.
            def account_from_login(login)
              super || (take_time && nil)
            end

            def show_lockout_page
              take_time
              super
            end

            def take_time
              BCrypt::Password.create(param(password_param), cost: password_hash_cost)
            end

            def password_one_of_most_common?(password)
              Guessable.call(password, login: account[:login], common: most_common_passwords)
            end

            private

            def _get_remember_cookie
              super&.scrub('')
            end
          end
        end
      end

      def words(auth)
        WORDS.each do |setting, key|
          auth.public_send(setting, Formats::Wording.say("accounts.#{key}", shortest: SHORTEST_PASSWORD, most: MOST_PASSWORD_BYTES))
        end
        auth.password_does_not_meet_requirements_message { @password_requirement_message }
        SILENT.each { |setting| auth.public_send(setting, nil) }
        # Who is signed in already is told at the field.
        auth.invalid_password_message { current_route == :change_password ? Formats::Wording.say('accounts.not_present') : nil }
      end

      def forms(auth)
        auth.instance_exec do
          login_view { show('/sign-in') }
          login_failed_reset_password_request_form { nil }
          unlock_account_request_view { show('/sign-in') }
          logout_view { redirect('/account') }
          # The answer never shows whether an account exists.
          reset_password_request_view { request.post? ? reset_password_email_sent_response : show('/forgotten-password') }
          reset_password_view { show('/new-password') }
          change_password_view { show('/change-password') }
          set_error_flash { |said| @said = said }
          set_redirect_error_flash { |said| tell(said) }
          set_notice_flash { |said| tell(said) }
          auth_class_eval do
            # A script is told so, not led to another page.
            def redirect(path)
              return super if ASKED_BY_SCRIPT.none? { |name| request.env[name] }

              request.halt([401, { 'content-type' => 'text/plain' }, ["#{Formats::Wording.say('accounts.again')}\n"]])
            end

            # A message for the next page, as the pages of the application keep theirs.
            def tell(said)
              session['notice'] = { 'text' => said, 'kind' => 'done', 'undo' => nil } if said
            end

            def show(path)
              form = SignedIn::Form.new(said: @said, errors: @field_errors.to_h.compact,
                values: { 'login' => param_or_nil(login_param).to_s })
              here = request.env.merge('REQUEST_METHOD' => 'GET', 'PATH_INFO' => path, 'QUERY_STRING' => '', SignedIn::FORM => form,
                SignedIn::ACCOUNT => scope.account)
              _, headers, body = scope.opts[:pages].call(here)
              request.halt([response.status || 200, headers, body])
            end
          end
        end
      end

      def letters(auth)
        studio, mailbox = @studio, @mailbox
        auth.instance_exec do
          send_reset_password_email do
            link = reset_password_email_link
            request.env[LINK]&.push(link)
            mailbox.deliver(to: account[:login], subject: Formats::Wording.say('accounts.letter_subject', studio: studio.settings.name),
              text: Formats::Wording.say('accounts.letter_text', name: account[:name], studio: studio.settings.name, link: link))
          end
        end
      end
    end
  end
end
