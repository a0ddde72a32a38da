# frozen_string_literal: true

# What practising a technique takes of the class's own parts and lines.
Sequel.migration do
  change { add_column :techniques, :practice_takes, String }
end
