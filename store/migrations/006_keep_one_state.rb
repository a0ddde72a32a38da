# frozen_string_literal: true

require 'json'

# A class is held once, as the document of its newest revision; the row keeps only what lists and other tables need.
# Every change raises the studio's revision. What was packed is a number, what was ordered and taken is remembered.
#
# SQLite cannot drop columns that constraints name: such a table is made again and its rows carried over, without foreign keys meanwhile
# (https://www.sqlite.org/lang_altertable.html, section 7), which must be switched off outside of any transaction.
Sequel.migration do
  no_transaction

  measures = %w[wrist neck ankle length]
  kept = 'id, project_version_id, title, date, start_minute, revision, next_key, deleted_at'
  in_one_go = ->(database, work) do
    database.synchronize do
      database.run('PRAGMA foreign_keys = OFF')
      database.transaction { work.call }
      database.run('PRAGMA foreign_keys = ON')
    end
  end
  row_table = ->(table) do
    table.primary_key :id
    table.foreign_key :project_version_id, :project_versions, null: false
    table.column :title, String, null: false
    table.column :date, Date, null: false
    table.column :start_minute, Integer, null: false
    table.column :revision, Integer, null: false, default: 0
    table.column :next_key, Integer, null: false, default: 1
    table.column :deleted_at, DateTime
    table.constraint(:title_given) { length(title) > 0 }
    table.constraint(:start_in_day, start_minute: 0..1439)
  end
  carry_over = ->(database) do
    database.run("INSERT INTO classes_anew (#{kept}) SELECT #{kept} FROM classes")
    database.drop_table(:classes)
    database.rename_table(:classes_anew, :classes)
  end

  up do
    in_one_go.(self, -> do
      add_column :studio, :revision, Integer, null: false, default: 1
      create_table(:classes_anew) do
        row_table.(self)
        # Which class takes first from the stock: the lower number
        Integer :reserve_rank
      end
      carry_over.(self)
      from(:classes).update(reserve_rank: :id)
      drop_table(:attendees)

      alter_table(:packed) { add_column :count, Integer, null: false, default: 0 }
      # Of what was ticked before, the numbers are not known: they count as they were planned.
      from(:packed).update(count: -1)

      # What a class was like when its kits left the stock: its prices stay.
      create_table(:taken_kits) do
        foreign_key :class_id, :classes, primary_key: true, on_delete: :cascade
        String :document, null: false
        DateTime :made_at, null: false
        constraint(:document_is_json, Sequel.function(:json_valid, :document))
      end
      create_table(:ordered) do
        primary_key :id
        foreign_key :class_id, :classes, null: false, on_delete: :cascade
        foreign_key :supplier, :suppliers, type: String, null: false
        String :kind, null: false
        String :item, null: false
        Integer :length_nm, null: false, default: 0
        Integer :units, null: false
        Integer :arrived, null: false, default: 0
        DateTime :made_at, null: false
        constraint(:units_positive) { units > 0 }
        constraint(:arrived_in_range) { (arrived >= 0) & (arrived <= units) }
      end
      # Answers to forms that add something, by the key their page carried: sent twice, they are done once.
      create_table(:answered) do
        String :key, primary_key: true
        String :location, null: false
        DateTime :made_at, null: false
      end
      # Answers that take long, by the digest of what they were worked out from.
      create_table(:worked_out) do
        String :digest, primary_key: true
        String :document, null: false
        DateTime :made_at, null: false
        constraint(:document_is_json, Sequel.function(:json_valid, :document))
      end
      # What the shipped library brought, so that a newer version's additions come in once and own edits stay.
      create_table(:shipped) do
        String :kind, null: false
        String :key, null: false
        primary_key %i[kind key]
      end
      alter_table(:lines) { add_column :material, String }
      alter_table(:draft_states) { add_column :saved_as, Integer }
    end)
  end

  down do
    nanometres = ->(text) { text && (text.delete_suffix(' mm').to_r * 1_000_000).round }
    in_one_go.(self, -> do
      alter_table(:draft_states) { drop_column :saved_as }
      alter_table(:lines) { drop_column :material }
      drop_table(:shipped, :worked_out, :answered, :ordered, :taken_kits)
      alter_table(:packed) { drop_column :count }
      create_table(:classes_anew) do
        row_table.(self)
        Integer :minutes, null: false, default: 120
        String :venue, null: false, default: ''
        Integer :tool_sets, null: false, default: 0
        String :choices, null: false, default: '{}'
        constraint(:minutes_in_range, minutes: 15..720)
        constraint(:tool_sets_in_range, tool_sets: 0..100)
      end
      carry_over.(self)
      create_table(:attendees) do
        primary_key :id
        foreign_key :class_id, :classes, null: false, on_delete: :cascade
        Integer :key, null: false
        String :name, null: false
        Integer :level, null: false
        measures.each { |body| Integer :"#{body}_nm" }
        Integer :ease_nm
        String :mind, null: false, default: ''
        String :colourway
        String :brings, null: false, default: '[]'
        String :tails
        String :experience, null: false, default: '{}'
        unique %i[class_id key]
      end
      from(:classes).all.each do |row|
        state = JSON.parse(from(:class_revisions).where(class_id: row[:id], revision: row[:revision]).get(:document))
        own = state.fetch('class')
        from(:classes).where(id: row[:id]).update(minutes: own.fetch('minutes'), venue: own.fetch('venue', ''),
          tool_sets: own.fetch('tool_sets', 0),
          choices: JSON.generate(own.slice('supply', 'teaching', 'session')))
        state.fetch('attendees').each_value do |person|
          sizes = measures.to_h { |body| [:"#{body}_nm", nanometres.(person.dig('measures', body))] }
          from(:attendees).insert(class_id: row[:id], key: person['key'].to_i, name: person['name'], level: person['level'],
            mind: person.fetch('mind', ''),
            ease_nm: nanometres.(person['ease']), colourway: person['colourway'], brings: JSON.generate(person.fetch('brings', [])),
            tails: person['tails'],
            experience: JSON.generate(person.fetch('experience', {})), **sizes)
        end
      end
      drop_column :studio, :revision
    end)
  end
end
