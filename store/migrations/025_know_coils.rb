# frozen_string_literal: true

# How wide the coil of a memory wire is inside, as it was bought.
Sequel.migration do
  change { add_column :lines, :coil_nm, Integer }
end
