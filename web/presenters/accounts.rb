# frozen_string_literal: true

module Web
  module Presenters
    # Who may sign in, and what was changed last.
    class Accounts
      Row = Core::Value.define(:id, :name, :login, :role, :state)

      attr_reader :draft

      # @param draft [Draft, nil] a new account that was refused
      def initialize(studio, sharing, draft = nil)
        @studio = studio
        @sharing = sharing
        @draft = draft
      end

      # @return [Boolean] whether accounts are asked for just now
      def shared?
        !@sharing.nil?
      end

      # @return [Array<Row>]
      def rows
        @rows ||= @studio.accounts.all.map do |one|
          Row.new(id: one.id, name: one.name, login: one.login, role: one.role.to_s, state: say("accounts.states.#{state(one)}"))
        end
      end

      # @return [Hash{String=>String}] role => what it may do
      def roles
        Store::Accounts::ROLES.to_h { |role| [role.to_s, say("accounts.roles.#{role}")] }
      end

      # @return [String] what someone new may do, unless it is chosen
      def usual_role
        return draft.value(:role) if draft

        @studio.accounts.owner? ? 'instructor' : 'owner'
      end

      # @return [ChangesMade] the newest of the whole studio
      def changes
        ChangesMade.new(@studio.audit_log.newest(limit: 50))
      end

      private

      def state(account)
        return :locked if account.locked

        account.ready ? :ready : :invited
      end

      def say(key)
        Formats::Wording.say(key)
      end
    end
  end
end
