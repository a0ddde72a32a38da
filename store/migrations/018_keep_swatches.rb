# frozen_string_literal: true

# What makers measured of their own work, in place of geometry.
Sequel.migration do
  change do
    create_table(:swatches) do
      String :construction, null: false
      String :measure, null: false
      String :line, null: false
      String :about, null: false
      Float :value, null: false
      primary_key %i[construction measure line about]
    end
  end
end
