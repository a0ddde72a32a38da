# frozen_string_literal: true

# What a sample of a lot showed before class: how many would not do, and the smallest hole. And the wall of caps.
Sequel.migration do
  change do
    add_column :parts, :tested, Integer
    add_column :parts, :rejected, Integer
    add_column :parts, :smallest_hole_nm, Integer
    add_column :parts, :wall_nm, Integer
  end
end
