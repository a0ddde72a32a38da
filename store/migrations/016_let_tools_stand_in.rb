# frozen_string_literal: true

require 'json'

# Other tools that would do for a technique. A studio that has the techniques which ship gets what ships for them.
Sequel.migration do
  up do
    add_column :techniques, :stand_ins, String
    library = JSON.parse(File.read(File.join(EagerBench::ROOT, 'demo', 'library.json')))
    library['techniques'].select { |technique| technique['stand_ins'] }.each do |technique|
      from(:techniques).where(key: technique['key']).update(stand_ins: JSON.generate(technique['stand_ins']))
    end
    from(:studio).update(catalogue_revision: Sequel[:catalogue_revision] + 1)
  end

  down { drop_column :techniques, :stand_ins }
end
