# frozen_string_literal: true

# Packs that hold several parts: {part key => pieces} beside what they are named by, as JSON. And what scrap of a line brings.
Sequel.migration do
  change do
    add_column :offers, :also, String
    add_column :lines, :scrap_price, Integer
  end
end
