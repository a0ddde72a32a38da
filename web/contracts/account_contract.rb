# frozen_string_literal: true

module Web
  module Contracts
    # Someone who may sign in.
    class AccountContract < Contract
      texts :login, :name, :role

      rule(:login) do
        good = value.length <= 254 && value.match?(/\A[^@\s]+@[^@\s]+\.[^@\s.]+\z/)
        key.failure('Give an e-mail address, such as ada@example.org.') unless good
      end
      rule(:name).validate(filled: 'Give the name that the others know.', at_most: 80)
      rule(:role).validate(one_of: Store::Accounts::ROLES)
    end
  end
end
