# frozen_string_literal: true

# What a technique's time was before what classes taught was used.
Sequel.migration do
  change do
    create_table(:lessons_used) do
      String :technique, primary_key: true
      Float :seconds_before, null: false
    end
  end
end
