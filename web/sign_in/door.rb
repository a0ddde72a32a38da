# frozen_string_literal: true

module Web
  class SignIn
    # What the door does with each request.
    module Door
      # Someone whose session is no longer good is led to the form by it.
      def stay_signed_in
        rodauth.load_memory
        rodauth.check_session_expiration
        rodauth.check_active_session
      end

      # @return [Store::Accounts::Account, nil] nil where nobody is signed in, or no longer has an account
      def account
        opts[:accounts].find(rodauth.session_value) if rodauth.logged_in?
      end

      # Leads to the form; does not return.
      def turn_away
        rodauth.clear_session if rodauth.logged_in?
        rodauth.require_login
      end

      # @return [Array] what is behind the door answers, with the door's own cookies
      def answer(account)
        status, headers, body = opts[:app].call(env.merge(SignedIn::ACCOUNT => account))
        cookies = [*headers['set-cookie'], *response.headers['set-cookie']]
        [status, cookies.empty? ? headers : headers.merge('set-cookie' => cookies), body]
      end
    end
  end
end
