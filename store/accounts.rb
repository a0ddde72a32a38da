# frozen_string_literal: true

module Store
  # Who may use a studio that is shared. Passwords, sessions and lockouts are Rodauth's business; this keeps who someone is.
  class Accounts
    include Transactional

    # One person who may sign in.
    #
    # @param login an e-mail address
    # @param role one of ROLES
    # @param ready whether a password was set
    # @param locked whether too many wrong passwords keep the account shut for now
    Account = Core::Value.define(:id, :login, :name, :role, :ready, :locked)

    ROLES = %i[owner instructor helper viewer].freeze

    # Nobody would be left who may let people in.
    class LastOwner < Core::Error; end
    # Someone signs in with that address already.
    class LoginTaken < Core::Error; end

    # @return [Array<Account>] in the order of their names
    def all
      rows.order(:name, Sequel[:accounts][:id]).map { |row| account(row) }
    end

    # @return [Account, nil]
    def find(id)
      row = rows.first(Sequel[:accounts][:id] => id)
      row && account(row)
    end

    # @return [Account, nil]
    def with_login(login)
      row = rows.first(login: login)
      row && account(row)
    end

    # @return [Boolean] whether someone may do everything
    def owner?
      !owners.empty?
    end

    # @return [Integer] the new account's id @raise [LoginTaken]
    def add(login:, name:, role:)
      write do
        raise LoginTaken if with_login(login)

        @database[:accounts].insert(login: login, name: name, role: role.to_s, made_at: Time.now.utc)
      end
    end

    # What someone may do changes at once, on every device. @raise [LastOwner] @raise [NotFound]
    def give_role(id, role)
      write do
        one = find(id) or raise NotFound.new(:account, id)
        raise LastOwner if one.role == :owner && role.to_sym != :owner && owners.one?

        @database[:accounts].where(id: id).update(role: role.to_s)
      end
    end

    # Ends the account with all its sessions. @raise [LastOwner] @raise [NotFound]
    def remove(id)
      write do
        one = find(id) or raise NotFound.new(:account, id)
        raise LastOwner if one.role == :owner && owners.one?

        @database[:accounts].where(id: id).delete
      end
    end

    # A letter with a link that was sent before holds no longer.
    def forget_link(id)
      write { @database[:account_password_reset_keys].where(id: id).delete }
    end

    private

    def owners
      @database[:accounts].where(role: 'owner').select_map(:id)
    end

    # With whether they are locked for now.
    def rows
      @database[:accounts].left_join(:account_lockouts, id: :id).select_all(:accounts)
        .select_append { (Sequel[:account_lockouts][:deadline] > Sequel::CURRENT_TIMESTAMP).as(:locked) }
    end

    def account(row)
      Account.new(id: row[:id], login: row[:login], name: row[:name], role: row[:role].to_sym, ready: !row[:password_hash].nil?,
        locked: row[:locked] == 1)
    end
  end
end
