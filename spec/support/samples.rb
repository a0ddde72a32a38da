# frozen_string_literal: true

require 'date'

# Small made-up values for the core's examples.
module Samples
  def mm(number)
    Core::Measure::Length.mm(number)
  end

  def part(key, along, outer = along, kind: :bead, **rest)
    Core::Catalogue::Part.new(key: key, name: key.tr('_', ' '), kind: kind, along: mm(along), outer: mm(outer), **rest)
  end

  def sample_table
    parts = [part('round_8', 8),
             part('round_6', 6),
             part('disc_2', 2, 4),
             part('round_12', 12),
             part('seed', 2, 3),
             part('crimp', 2, kind: :crimp),
             part('cover', 3, kind: :cover),
             part('ring', 5, 6, kind: :ring),
             part('open_ring', 4, 5, kind: :ring, soldered: false),
             part('clasp', 12, 7, kind: :clasp, hole: mm(2.5), wire: mm(1)),
             part('extender', 5, 4, kind: :extender, play: mm(40)),
             part('flat_2', 6, 12, lines: 2, hole_height: mm(1.5)),
             part('connector_2', 6, 12, kind: :connector, lines: 2),
             part('bar_3', 2, 18, kind: :spacer_bar, lines: 3),
             part('chain', 3, 2, kind: :chain),
             part('drop', 10, 6, kind: :pendant),
             part('pin', 40, 2, kind: :head_pin, wire: mm(0.6))]
    Core::Catalogue::Table.new(parts: parts.to_h { |p| [p.key, p] }, techniques: sample_techniques,
      lines: { 'cable' => [:cable, 0.38], 'elastic' => [:elastic, 1], 'coil' => [:memory_wire, 0.7], 'cord' => [:cord, 1.5],
      'wire' => [:wire, 0.4], 'wire_20' => [:wire, 0.81], 'wire_18' => [:wire, 1.02],
      'tape' => [:tape, 0.1] }
          .to_h { |key, (kind, mm)|
        [key, Core::Catalogue::Line.new(key: key, name: key, kind: kind, thickness: mm(mm))]
      },
      tools: {
        'pliers' => Core::Catalogue::Tool.new(key: 'pliers', name: 'Pliers', people_per_tool: 1),
        'cutters' => Core::Catalogue::Tool.new(key: 'cutters', name: 'Cutters',
          people_per_tool: 2)
      })
  end

  def sample_techniques
    {
      'measuring' => 1,
      'cutting_line' => 1,
      'bead_stopper' => 1,
      'stringing' => 1,
      'ring' => 1,
      'trimming' => 1,
      'flat_crimp' => 2,
      'crimp_cover' => 2,
      'clamshell' => 2,
      'folded_crimp' => 3,
      'elastic_knot' => 2,
      'gluing' => 1,
      'memory_loop' => 2,
      'memory_cutting' => 2,
      'station' => 2,
      'twisting' => 2,
      'overhand_knot' => 1,
      'barrel_knot' => 2,
      'loading' => 2,
      'cutting_wire' => 1,
      'continuous_loop' => 3,
      'crossover_loop' => 4,
      'frame_row' => 4
    }.merge(construction_techniques).to_h do |key, level|
      tools = { 'ring' => %w[pliers pliers], 'cutting_line' => %w[cutters] }.fetch(key, [])
      [key,
       Core::Catalogue::Technique.new(key: key, name: key, level: level, seconds: 10 * level, tools: tools,
         demonstration_minutes: level)]
    end
  end

  # What constructions bring along, without the tools of a studio.
  def construction_techniques
    Core::Construction::Kinds.techniques.to_h { |technique| [technique.key, technique.level] }
  end

  # @param items [Array] parts, or [part, count], or {fill: [...]}
  def pattern(*items)
    items.map do |item|
      case item
      when Hash then { 'repeat' => pattern(*item.fetch(:fill)), 'fill' => true }
      when Array then { 'part' => item.first, 'count' => item.last }
      else { 'part' => item }
      end
    end
  end

  def component(key, construction, hung_at: nil, apart: false, length: nil, **parameters)
    Core::Project::Component.new(key: key, construction: construction, parameters: parameters.transform_keys(&:to_s),
      hung_at: hung_at, apart: apart, length: length)
  end

  def strung(**parameters)
    component('front', :strung, line: 'cable', crimp: 'crimp', pattern: pattern({ fill: ['round_8'] }), **parameters)
  end

  def design(*components, **rest)
    Core::Project::Design.new(key: 'sample', name: 'Sample', body: :wrist, ease: mm(13), components: components, **rest)
  end

  def bracelet(**parameters)
    design(component('clasp_end', :findings, parts: pattern('ring', 'open_ring', 'clasp')), strung(**parameters),
      component('ring_end', :findings, parts: pattern('ring')))
  end

  def attendee(key, wrist, level: 3, **rest)
    Core::People::Attendee.new(key: key.to_s, name: "Person #{key}", level: level,
      measures: wrist ? { wrist: mm(wrist) } : {}, **rest)
  end

  def workshop(title: 'Class', **rest)
    Core::Setup::Workshop.new(key: 'class', title: title, date: Date.new(2026, 12, 3), start: Core::Measure::ClockTime.parse('18:30'),
      minutes: 120,
      tool_sets: 12, **rest)
  end

  def plan_for(design, attendees, **rest)
    Core::Planning::Plan.for(workshop: workshop, design: design, attendees: attendees, table: sample_table, **rest)
  end

  def fit(design, worn, level: 3)
    Core::Sizing::Blueprint.new(design, sample_table).fit(mm(worn), Core::Making::Maker.at(level, :by_level))
  end
end
