# frozen_string_literal: true

# Who may use a studio that is shared, what Rodauth needs to let them in, and who changed what; how many copies stay.
# Times that Rodauth compares stay text in UTC, as SQLite's CURRENT_TIMESTAMP writes them.
Sequel.migration do
  change do
    add_column :studio, :copies_kept, Integer, null: false, default: 14
    create_table(:accounts) do
      primary_key :id
      column :login, 'text COLLATE NOCASE', null: false, unique: true
      String :name, null: false
      String :role, null: false
      String :password_hash
      DateTime :made_at, null: false
    end
    create_table(:account_password_reset_keys) do
      foreign_key :id, :accounts, primary_key: true, on_delete: :cascade
      String :key, null: false
      String :deadline, null: false
      String :email_last_sent, null: false, default: Sequel::CURRENT_TIMESTAMP
    end
    create_table(:account_remember_keys) do
      foreign_key :id, :accounts, primary_key: true, on_delete: :cascade
      String :key, null: false
      String :deadline, null: false
    end
    create_table(:account_login_failures) do
      foreign_key :id, :accounts, primary_key: true, on_delete: :cascade
      Integer :number, null: false, default: 1
    end
    create_table(:account_lockouts) do
      foreign_key :id, :accounts, primary_key: true, on_delete: :cascade
      String :key, null: false
      String :deadline, null: false
      String :email_last_sent
    end
    create_table(:account_active_session_keys) do
      foreign_key :account_id, :accounts, on_delete: :cascade
      String :session_id, null: false
      String :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      String :last_use, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[account_id session_id]
    end
    # Names stay when an account is removed; so do the lines of a class that is removed.
    create_table(:trail) do
      primary_key :id
      DateTime :at, null: false
      String :by, null: false
      String :route, null: false
      Integer :class_id
      index %i[class_id id]
    end
  end
end
