# frozen_string_literal: true

# How hard a wire was drawn: soft, half_hard or hard.
Sequel.migration do
  change { add_column :lines, :temper, String }
end
