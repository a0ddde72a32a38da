# frozen_string_literal: true

Sequel.migration do
  change do
    create_table(:classes) do
      primary_key :id
      foreign_key :project_version_id, :project_versions, null: false
      String :title, null: false
      Date :date, null: false
      Integer :start_minute, null: false
      Integer :minutes, null: false
      String :venue, null: false, default: ''
      Integer :tool_sets, null: false, default: 0
      Integer :revision, null: false, default: 0
      Integer :next_key, null: false, default: 1
      DateTime :deleted_at
      constraint(:title_given) { length(title) > 0 }
      constraint(:start_in_day, start_minute: 0..1439)
      constraint(:minutes_in_range, minutes: 15..720)
      constraint(:tool_sets_in_range, tool_sets: 0..100)
    end

    create_table(:attendees) do
      primary_key :id
      foreign_key :class_id, :classes, null: false, on_delete: :cascade
      Integer :key, null: false
      String :name, null: false
      Integer :level, null: false
      Integer :wrist_nm
      Integer :neck_nm
      Integer :ankle_nm
      Integer :length_nm
      Integer :ease_nm
      String :mind, null: false, default: ''
      String :colourway
      String :brings, null: false, default: '[]'
      unique %i[class_id key]
      constraint(:name_given) { length(name) > 0 }
      constraint(:level_in_range, level: 1..5)
      constraint(:wrist_positive) { wrist_nm > 0 }
      constraint(:neck_positive) { neck_nm > 0 }
      constraint(:ankle_positive) { ankle_nm > 0 }
      constraint(:length_positive) { length_nm > 0 }
      constraint(:brings_is_json, Sequel.function(:json_valid, :brings))
    end

    # One row for each state a class was in: what undo goes back to and what a second tab is compared with.
    create_table(:class_revisions) do
      primary_key :id
      foreign_key :class_id, :classes, null: false, on_delete: :cascade
      Integer :revision, null: false
      # source: the edit whose state this is (itself, or what an undo went back to); before: the edit it came after
      Integer :source, null: false
      Integer :before
      String :action, null: false
      String :document, null: false
      DateTime :made_at, null: false
      unique %i[class_id revision]
      constraint(:document_is_json, Sequel.function(:json_valid, :document))
    end
  end
end
