# frozen_string_literal: true

# Ways of working a construction that no demo project has, with parts of the samples.
module MoreWays
  row = ->(*keys) { keys.map { |key| { 'part' => key } } }
  fill = ->(*keys) { [{ 'repeat' => row.(*keys), 'fill' => true }] }
  ALL = {
    alternating: [2, 3].product([%w[flat crimp], %w[clamshell shell]]).map { |lines, (school, cover)|
      { line: 'cable', lines: lines, beads: row.('round_8'), spacer: 'seed', crimp: 'crimp', school: school,
        **(cover == 'shell' ? { cover: cover, lines_in: 'straight' } : {}) } },
    chain: [{ chain: 'chain', halves: true }],
    coil: [{ wire: 'wire', seed: 'seed', beads: 20, core: 'wire_20', second_turns: 4 }, { wire: 'wire', second_turns: 4 },
           { wire: 'wire', wound_by: 'winder', swollen: true }, { wire: 'wire', cut_into: 3 },
           { wire: 'wire', wound_by: 'winder', seed: 'seed', beads: 30 }, { wire: 'wire', swollen: true, widest: '6 mm' }],
    disc_braid: [{ cord: 'cord' }],
    findings: [{ parts: row.('open_ring') }, { parts: row.('ear_wire') }, { parts: row.('split') }],
    flower_chain: [{ thread: 'cord', colours: row.('seed'), middle: 'seed', separator: 'seed', crimp: 'crimp', cover: 'cover' },
                   { thread: 'cord', colours: row.('seed'), middle: 'seed', separator: 'seed', crimp: 'crimp', guard: 'ring' }],
    framed: [{ wire: 'wire_18', binding: 'wire' }],
    jig_form: [{ wire: 'wire_20', hammered: true }, { wire: 'wire_20', path: '20 mm; 4 mm x -250; 9 mm', foot: 'curl', end_turns: 1 },
               { wire: 'wire_20', path: '20 mm; 4 mm x -250; 9 mm', foot: 'eye', end_turns: 2, bead: 'round_6' },
               { wire: 'wire_20', path: '20 mm; 4 mm x -250; 9 mm', foot: 'eye', bead: 'round_6', bead_at: 'foot', hammered: true }],
    knotted_cord: [{ cord: 'cord', beads: row.('round_12'), knots: 'neighbours_share', closure: 'slider', free_tail: '100 mm' },
                   { cord: 'cord', beads: row.('round_12'), button: 'round_12' },
                   { cord: 'cord', cords: 3, folded: 1, lanes: 3, beads: row.(*(['round_12'] * 7)), small_bead: 'round_8',
                     rest: 'bare_cord',
                     button: 'round_12' },
                   { cord: 'cord', cords: 2, folded: 1, beads: row.('round_12'), closure: 'slider', slider: 'round_8' }],
    leaf_vine: [{ wire: 'wire', leaf: row.('round_6'), per_side: 1, edge_on: false }, { wire: 'wire', leaf: row.('round_6'), per_side: 3 }],
    wrapped_drop: [{ wire: 'wire', drop: 'drop', shoulder_turns: 0 }],
    linked: [{ unit: row.('connector_2', 'open_ring') }, { unit: row.('connector_2'), ring: 'connector_2' }],
    looped_rope: [{ rope: 'cord', hook: 'clasp', whip: 'cable' }, { rope: 'cord', hook: 'clasp', whip: 'cable', whip_glued: false }],
    memory_coil: [{ wire: 'coil', pattern: fill.('round_6') }, { wire: 'coil', pattern: fill.('round_6'), start: 'middle' },
                  { wire: 'coil', rows: 2, pattern: fill.('round_6'), start: 'middle', shape: 'oval' },
                  { wire: 'coil', rows: 3, mirror: true, pattern: fill.('round_6', 'seed'), centre: row.('bar_3'), start: 'middle',
                    end_ring: 'split' },
                  { wire: 'coil', rows: 2, pattern: fill.('round_6'), bent_ends: true, end_ring: 'open_ring' }],
    mixed: [{ line: 'cable', mix: row.('seed', 'disc_2'), crimp: 'crimp', strung_by: 'spinner' },
            { line: 'cable', mix: row.('seed', 'disc_2'), crimp: 'crimp' }],
    spray: %w[crossover frame].map { |way|
      { wire: 'wire', bead: 'seed', way: way, petals: 5, beads: 8, middle: 'disc_2', calyx_bead: 'seed', leaf_bead: 'seed',
        **(way == 'frame' ? {} : { stem_wire: 'wire_18' }) } },
    stations: [{ line: 'cable', station: row.('round_8'), holder: 'crimp', gap: '40 mm', crimp: 'crimp', school: 'on_edge',
      guard: 'guard' }],
    strung: [{ line: 'cable', crimp: 'crimp', pattern: fill.('round_8'), start: 'middle', tails: 'buried' },
             { line: 'cable', crimp: 'crimp', pattern: fill.('round_8'), school: 'clamshell', cover: 'shell' },
             { line: 'cable', pattern: fill.('round_8'), school: 'clamshell_glued', cover: 'shell' }],
    stretch: [{ elastic: 'elastic', pattern: fill.('round_8'), hider: 'round_12', hider_at: 'strung_last', finish: 'trim_then_glue' },
              { elastic: 'elastic', pattern: fill.('round_8'), elastic_knot: 'surgeons', finish: 'trim_then_glue' },
              { elastic: 'elastic', pattern: fill.('round_8'), elastic_knot: 'twist_and_loop', finish: 'trim_alone' }],
    twisted_strands: [{ line: 'cable', pattern: fill.('seed'), crimp: 'crimp', ring: 'ring', turn: 'half', direction: 'away' }],
    bound_trim: [{ base: 'connector_2', wire: 'wire_20', large: '4 mm', smalls: 0, binding: 'wire', hang_in: 'large_loop' }],
    two_hole: [2, 3].product([[], row.('seed')]).map { |lines, between|
      { line: 'cable', lines: lines, bead: "flat_#{lines}", between: between,
        crimp: 'crimp', connector: "connector_#{lines}", link: ('open_ring' if lines == 3) }.compact },
    wire_link: [{ wire: 'wire_20', stack: row.('round_8') }, { wire: 'wire_20', stack: row.(*(%w[round_8 seed] * 4)) },
      { wire: 'wire_20', stack: row.(*(%w[disc_2 seed] * 3)), last: 'pin', pin: 'pin' }, { wire: 'wire_20' },
      { wire: 'wire_20', first: 'wrapped', last: 'wrapped', inner: '5 mm', inner_last: '3 mm', wrapped_way: 'until_full' },
      { wire: 'wire_20', first: 'wrapped', last: 'double_wrapped', wrapped_way: 'down_and_back' }]
  }.transform_values { |all| all.map { |one| one.transform_keys(&:to_s) } }.freeze

  # @param samples [#sample_table, #part] @return [Core::Catalogue::Table] with the parts that they take
  def self.table(samples)
    more = [['split', 5, 6, { kind: :split_ring }], ['ear_wire', 18, 4, { kind: :ear_wire }], ['guard', 4, 3, { kind: :wire_guard }],
            ['shell', 4, 5, { kind: :clamshell }], ['flat_3', 6, 12, { lines: 3 }], ['connector_3', 6, 18, { kind: :connector, lines: 3 }]]
    parts = more.to_h { |key, along, outer, rest| [key, samples.part(key, along, outer, **rest)] }
    samples.sample_table.with(parts: samples.sample_table.parts.merge(parts))
  end
end
