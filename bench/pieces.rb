# frozen_string_literal: true

# A plan of 24 people for a design of pieces: eight made first, each strung, and twelve that hang; and for a braid by a chart of 12 × 200.
# Run: bundle exec ruby --yjit -I. bench/pieces.rb
# Medians of 15 runs, every plan from nothing.
require_relative 'support'

studio = Bench.studio
table = studio.catalogue.table
component = ->(key, construction, parameters, **rest) { Core::Project::Component.new(key: key, construction: construction,
  parameters: parameters, **rest) }
makes = (0...8).map { |i| component.("link_#{i}", :wire_link,
  { 'wire' => 'wire_08', 'stack' => [{ 'part' => 'round_6_frost', 'count' => 1 + (i % 3) }] }, apart: true) }
front = component.('front', :strung, { 'line' => 'cable_038', 'crimp' => 'crimp_15_silver', 'mirror' => false,
  'pattern' => makes.map { |make| { 'part' => make.part_key } } + [{ 'repeat' => [{ 'part' => 'round_6_frost' }], 'fill' => true }] })
hung = (0...12).map { |i| component.("charm_#{i}", :findings, { 'parts' => [{ 'part' => 'ring_5_open' }, { 'part' => 'drop_18_star' }] },
  hung_at: "front.pattern.#{i % 8}@first") }
chart = { 'palette' => { 'A' => 'seed_8_ink', 'B' => 'seed_8_frost' },
  'rows' => (0...200).map { |row| (0...12).map { |strand| ((row + strand) / 3).even? ? 'A' : 'B' }.join } }
braid = component.('braid', :disc_braid, { 'cord' => 'cord_04', 'strands' => '12', 'chart' => chart })
{ 'eight made, twelve hung' => [*makes, front, *hung], 'braid by a chart of 12 × 200' => [braid] }.each do |name, components|
  design = Core::Project::Design.new(key: 'bench', name: name, body: :wrist, ease: Bench.mm(13), components: components)
  inputs = Bench.inputs(studio, project: design).with(table: table)
  times = Bench.milliseconds(15) { inputs.plan }
  puts format('%-32s median %.0f ms, longest %.0f ms (aim 60 ms)', name, times[times.size / 2], times.last)
end
