# frozen_string_literal: true

# The wire of rings and of the eyes by which findings hang, and how much a line gives in a hole.
Sequel.migration do
  change do
    add_column :parts, :wire_nm, Integer
    add_column :lines, :give, Integer
  end
end
