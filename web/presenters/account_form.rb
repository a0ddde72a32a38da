# frozen_string_literal: true

module Web
  module Presenters
    # Someone who may sign in, as typed.
    class AccountForm < Form
      # @param params [Hash]
      def initialize(params)
        super(typed(params, %w[login name role]), Contracts::AccountContract.new)
      end

      # @return [Hash] for Store::Accounts#add
      def to_h
        { login: value(:login), name: value(:name), role: value(:role).to_sym }
      end

      # @return [Draft] with what is wrong only when it is tried
      def taken
        Draft.new(values: values, errors: { login: 'Someone has an account with this address already. Change that one, or give another.' })
      end
    end
  end
end
