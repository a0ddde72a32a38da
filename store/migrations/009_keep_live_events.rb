# frozen_string_literal: true

# What happens in a class is appended and never changed: an undo is an event as well.
Sequel.migration do
  up do
    create_table(:live_events) do
      primary_key :id
      foreign_key :class_id, :classes, null: false, on_delete: :cascade
      String :key, null: false
      String :kind, null: false
      Integer :at, null: false
      String :person
      String :undoes
      unique %i[class_id key]
    end
    run "CREATE TRIGGER live_events_keep BEFORE UPDATE ON live_events BEGIN SELECT RAISE(ABORT, 'what happened is never changed'); END"
  end

  down { drop_table(:live_events) }
end
