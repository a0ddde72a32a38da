# frozen_string_literal: true

# What was learnt is not of techniques alone; some of it is left as it is, and old classes may count less.
Sequel.migration do
  up do
    create_table(:lessons) do
      String :about, primary_key: true
      Float :before, null: false
    end
    from(:lessons_used).each { |row| from(:lessons).insert(about: "time/#{row[:technique]}", before: row[:seconds_before]) }
    drop_table :lessons_used
    create_table(:lessons_fixed) { String :about, primary_key: true }
    add_column :studio, :fade_months, Integer
  end

  down do
    create_table(:lessons_used) do
      String :technique, primary_key: true
      Float :seconds_before, null: false
    end
    from(:lessons).where(Sequel.like(:about, 'time/%')).each do |row|
      from(:lessons_used).insert(technique: row[:about].delete_prefix('time/'), seconds_before: row[:before])
    end
    drop_table :lessons, :lessons_fixed
    drop_column :studio, :fade_months
  end
end
