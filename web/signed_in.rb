# frozen_string_literal: true

module Web
  # What the door of a shared studio tells the pages behind it, in the request.
  module SignedIn
    # Who asks: a Store::Accounts::Account.
    ACCOUNT = 'eager_bench.account'
    # What one of the door's own forms is shown with: a Form.
    FORM = 'eager_bench.sign_in'
    # said: what is wrong, or nil · errors: {field => words} · values: what was typed, never a password
    Form = Core::Value.define(:said, :errors, :values)
    # Rodauth's own, in the session.
    SESSION = 'account_id'

    # @return [Boolean] whether the session, which we signed, names an account; whether it still holds is for SignIn to say
    def self.claimed?(env)
      !env['rack.session'].nil? && env['rack.session'].key?(SESSION)
    end
  end
end
