# frozen_string_literal: true

# Lengths are whole nanometres (columns _nm); lists and free-form data are JSON text.
Sequel.migration do
  change do
    create_table(:studio) do
      primary_key :id
      String :name, null: false
      String :unit, null: false, default: 'mm'
      # What to make of a line in a ring that is not soldered: schools differ
      String :open_rings, null: false, default: 'warn'
      # Paces and minutes, as plain data; nothing for the starting values
      String :calibration, null: false, default: '{}'
      Integer :catalogue_revision, null: false, default: 1
      check { { id: 1 } }
      constraint(:calibration_is_json, Sequel.function(:json_valid, :calibration))
      constraint(:unit_known, unit: %w[mm in])
      constraint(:open_rings_known, open_rings: %w[warn forbid])
    end

    create_table(:parts) do
      String :key, primary_key: true
      String :name, null: false
      String :kind, null: false
      Integer :along_nm, null: false
      Integer :outer_nm, null: false
      Integer :hole_nm
      Integer :hole_height_nm
      Integer :play_nm
      String :form
      String :colour
      String :mark
      Integer :lines
      TrueClass :soldered
      Integer :gap_nm
      String :material
      Integer :mass_mg
      TrueClass :nickel_free
      TrueClass :malleable
      TrueClass :magnetic
      String :faces_with
      constraint(:mass_positive) { mass_mg > 0 }
      constraint(:along_positive) { along_nm > 0 }
      constraint(:outer_positive) { outer_nm > 0 }
      constraint(:hole_smaller, Sequel.lit('hole_nm IS NULL OR (hole_nm > 0 AND hole_nm < outer_nm)'))
    end

    create_table(:lines) do
      String :key, primary_key: true
      String :name, null: false
      String :kind, null: false
      Integer :thickness_nm, null: false
      String :colour
      Integer :rated_load_grams
      Integer :reel_length_nm
      constraint(:thickness_positive) { thickness_nm > 0 }
      constraint(:reel_positive) { reel_length_nm > 0 }
    end

    create_table(:tools) do
      String :key, primary_key: true
      String :name, null: false
      Integer :people_per_tool, null: false
      TrueClass :substitutable
      TrueClass :counted
      String :cautions
      constraint(:people_not_negative) { people_per_tool >= 0 }
    end

    create_table(:techniques) do
      String :key, primary_key: true
      String :name, null: false
      Integer :level, null: false
      Float :seconds, null: false
      String :prerequisites
      String :tools
      Float :demonstration_minutes
      String :cautions
      constraint(:level_in_range, level: 1..5)
      constraint(:seconds_positive) { seconds > 0 }
    end

    create_table(:project_versions) do
      primary_key :id
      String :project_key, null: false
      Integer :version, null: false
      String :name, null: false
      String :document, null: false
      DateTime :made_at, null: false
      unique %i[project_key version]
      constraint(:version_positive) { version > 0 }
      constraint(:document_is_json, Sequel.function(:json_valid, :document))
    end
  end
end
