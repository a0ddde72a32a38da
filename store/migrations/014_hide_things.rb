# frozen_string_literal: true

# Parts, lines and tools that are still used, but no longer offered.
Sequel.migration do
  change do
    create_table(:hidden) do
      String :kind, null: false
      String :key, null: false
      primary_key %i[kind key]
    end
  end
end
