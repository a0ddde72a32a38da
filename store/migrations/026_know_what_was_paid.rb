# frozen_string_literal: true

# What an order was to cost, by pack, and what was paid for what came.
Sequel.migration do
  change do
    alter_table(:ordered) do
      add_column :pack_unit, String
      add_column :pack_amount, Integer
      add_column :packs, Integer
      add_column :price, Integer
      add_column :paid, Integer
      add_column :paid_units, Integer
    end
  end
end
