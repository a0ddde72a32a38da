# frozen_string_literal: true

require 'yaml'

# Ways of working each construction by name, with parts of the samples: they stand beside it, under "samples", the usual one first.
module KindSamples
  ALL = Dir[File.join(EagerBench::ROOT, 'core', 'piece', 'construction', 'kinds', '*.yml')].to_h { |file|
    [File.basename(file, '.yml').to_sym, YAML.safe_load_file(file).fetch('samples')]
  }.freeze

  # @return [Hash{Symbol=>Object}] parameters
  def self.way(kind, name = 'usual')
    ALL.fetch(kind).fetch(name).transform_keys(&:to_sym)
  end

  # @param samples [#sample_table, #part] @return [Core::Catalogue::Table] with the parts that they take
  def self.table(samples)
    more = [['split', 5, 6, { kind: :split_ring }], ['ear_wire', 18, 4, { kind: :ear_wire }], ['guard', 4, 3, { kind: :wire_guard }],
            ['shell', 4, 5, { kind: :clamshell }], ['cap', 3, 8, { kind: :cap }], ['flat_3', 6, 12, { lines: 3 }],
            ['connector_3', 6, 18, { kind: :connector, lines: 3 }]]
    parts = more.to_h { |key, along, outer, rest| [key, samples.part(key, along, outer, **rest)] }
    samples.sample_table.with(parts: samples.sample_table.parts.merge(parts))
  end
end
