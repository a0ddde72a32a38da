# frozen_string_literal: true

module Web
  # People who were invited, without an account: the page of their invitation is all that they reach.
  module Guests
    PLACE = %r{\A/invited/[\w-]{1,64}\z}

    module_function

    # @return [Boolean] whether a request is for the page of an invitation
    def asks?(env)
      PLACE.match?(env['PATH_INFO'].to_s)
    end
  end
end
