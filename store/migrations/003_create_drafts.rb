# frozen_string_literal: true

# A design while it is composed: every state it was in, and which one stands.
Sequel.migration do
  change do
    create_table(:drafts) do
      primary_key :id
      Integer :position, null: false, default: 0
      DateTime :begun_at, null: false
    end

    create_table(:draft_states) do
      primary_key :id
      foreign_key :draft_id, :drafts, null: false, on_delete: :cascade
      Integer :position, null: false
      String :document, null: false
      unique %i[draft_id position]
      constraint(:document_is_json, Sequel.function(:json_valid, :document))
    end

    create_table(:closures) do
      String :key, primary_key: true
      String :name, null: false
      String :first, null: false
      String :last, null: false
      TrueClass :takes_clasp, null: false, default: false
    end
  end
end
