# frozen_string_literal: true

module Web
  module Contracts
    # How many of the copies that are taken by themselves stay.
    class CopiesContract < Contract
      texts :copies

      rule(:copies).validate(whole: 1..365)
    end
  end
end
