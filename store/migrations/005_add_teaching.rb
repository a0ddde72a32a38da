# frozen_string_literal: true

# What teaching a technique takes, and what attendees have done of each.
Sequel.migration do
  change do
    alter_table(:techniques) do
      add_column :easier, String
      add_column :practice, String
      add_column :practice_minutes, Float
      add_column :points, String
      add_column :goes_wrong, String
      add_column :left_hand, String
    end
    alter_table(:attendees) { add_column :experience, String, null: false, default: '{}' }
  end
end
