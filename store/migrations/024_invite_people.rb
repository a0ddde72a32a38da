# frozen_string_literal: true

# Invitations to classes, and what people answer before they are taken in.
Sequel.migration do
  change do
    create_table(:invitations) do
      Integer :class_id, primary_key: true
      String :code, null: false, unique: true
      Date :closes_on, null: false
      Integer :seats, null: false
      String :words, text: true, null: false, default: ''
      TrueClass :open, null: false, default: true
    end
    create_table(:answers) do
      primary_key :id
      Integer :class_id, null: false, index: true
      String :document, text: true, null: false
      String :state, null: false, default: 'new'
      DateTime :at, null: false
    end
  end
end
