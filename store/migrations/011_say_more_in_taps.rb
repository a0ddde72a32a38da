# frozen_string_literal: true

# What a tap says beside whom it is about: a measured length, a spare, a step that is left out, a tool that is back. And what a magnetic
# clasp holds.
Sequel.migration do
  change do
    add_column :live_events, :detail, String
    add_column :parts, :holds_grams, Integer
  end
end
