# frozen_string_literal: true

# Stock as a ledger, what suppliers offer, what an instructor chose for each class, and which kits are packed.
# Money is whole minor units; amounts are pieces, milligrams or nanometres by unit.
Sequel.migration do
  up do
    alter_table(:studio) do
      add_column :currency, String, null: false, default: 'EUR'
      # Raised whenever stock, offers or suppliers change
      add_column :supply_revision, Integer, null: false, default: 1
    end
    alter_table(:classes) { add_column :choices, String, null: false, default: '{}' }
    alter_table(:attendees) { add_column :tails, String }

    create_table(:suppliers) do
      String :key, primary_key: true
      String :name, null: false
      Integer :delivery, null: false
      Integer :minimum, null: false
      constraint(:not_negative) { (delivery >= 0) & (minimum >= 0) }
    end

    create_table(:offers) do
      primary_key :id
      foreign_key :supplier, :suppliers, type: String, null: false
      String :kind, null: false
      String :item, null: false
      String :unit, null: false
      Integer :amount, null: false
      Integer :price, null: false
      String :article, null: false, default: ''
      unique %i[supplier kind item unit amount]
      constraint(:kind_known, kind: %w[part line])
      constraint(:amount_positive) { amount > 0 }
      constraint(:price_not_negative) { price >= 0 }
    end

    create_table(:ledger) do
      primary_key :id
      String :kind, null: false
      String :item, null: false
      # 0 for parts; of each bar for lines
      Integer :length_nm, null: false, default: 0
      Integer :quantity, null: false
      String :reason, null: false
      String :note, null: false, default: ''
      foreign_key :class_id, :classes
      DateTime :made_at, null: false
      index %i[kind item length_nm]
      constraint(:kind_known, kind: %w[part line])
      constraint(:quantity_given) { quantity !~ 0 }
      constraint(:reason_known, reason: %w[received counted weighed adjusted taken returned offcut])
    end
    run "CREATE TRIGGER ledger_keeps_entries BEFORE UPDATE ON ledger BEGIN SELECT RAISE(ABORT, 'a ledger entry is never changed'); END"
    run "CREATE TRIGGER ledger_loses_nothing BEFORE DELETE ON ledger BEGIN SELECT RAISE(ABORT, 'a ledger entry is never removed'); END"

    create_table(:packed) do
      foreign_key :class_id, :classes, null: false, on_delete: :cascade
      String :kit, null: false
      String :item, null: false
      primary_key %i[class_id kit item]
    end
  end

  down do
    run 'DROP TRIGGER ledger_keeps_entries'
    run 'DROP TRIGGER ledger_loses_nothing'
    drop_table(:packed, :ledger, :offers, :suppliers)
    alter_table(:attendees) { drop_column :tails }
    alter_table(:classes) { drop_column :choices }
    alter_table(:studio) do
      drop_column :supply_revision
      drop_column :currency
    end
  end
end
