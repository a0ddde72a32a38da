# frozen_string_literal: true

# What metals contain, as JSON; null for what is usual.
Sequel.migration do
  change do
    add_column :studio, :alloys, String
  end
end
