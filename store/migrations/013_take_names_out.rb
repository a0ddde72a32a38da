# frozen_string_literal: true

# After so many months held classes lose the names of who came; and which have.
Sequel.migration do
  change do
    add_column :studio, :names_months, Integer
    add_column :classes, :names_out, TrueClass, null: false, default: false
  end
end
