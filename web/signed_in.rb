# frozen_string_literal: true

require 'rack/session/encryptor'

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

    COOKIE = 'eager_bench'

    # @param secret [String] that signs the cookie, at least 64 bytes
    # @return [Proc] env => whether its cookie, which we signed, names an account; whether it still holds is for SignIn to say
    def self.claims(secret)
      encryptor = Rack::Session::Encryptor.new(secret, purpose: COOKIE)
      lambda do |env|
        value = Rack::Utils.parse_cookies_header(env['HTTP_COOKIE'].to_s)[COOKIE]
        !value.nil? && encryptor.decrypt(value).key?(SESSION)
      rescue Rack::Session::Encryptor::Error, ArgumentError
        false
      end
    end
  end
end
