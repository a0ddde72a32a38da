# frozen_string_literal: true

# Packs that hold several parts: {part key => pieces} beside what they are named by, as JSON.
Sequel.migration do
  change { add_column :offers, :also, String }
end
