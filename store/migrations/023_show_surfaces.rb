# frozen_string_literal: true

# How a part catches light, where its material alone does not tell.
Sequel.migration do
  change { add_column :parts, :surface, String }
end
