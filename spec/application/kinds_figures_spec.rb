# frozen_string_literal: true

require_relative '../studio_helper'
require_relative '../support/figures'
require_relative '../support/kind_samples'

# Work-ups of every component of the demo, and of ways that it has not, at two lengths and for two sorts of hands.
RSpec.describe Core::Construction::Kinds do
  let(:studio) { new_studio }
  let(:table) { studio.catalogue.table }
  let(:lean) { Core::Making::Maker.new(tails: :lean, measure: mm(165)) }
  let(:generous) { Core::Making::Maker.new(tails: :generous, measure: mm(165), wraps: 2) }

  def figures(construction, target, maker)
    work_up = construction.call(target: target, maker: maker)
    return { out: work_up } unless work_up.is_a?(Core::Making::WorkUp)

    solution = construction.fill && construction.solve(target)
    { **work_up.to_h.except(:order), steps: work_up.steps_in_order, line: construction.on_line(solution),
      beyond: %i[first last].map { |place| construction.beyond(place) },
      part: construction.as_part(work_up, key: 'made', name: 'made', made: 'made')&.to_h, measurable: construction.measurable }
  end

  it 'comes to the same work-ups as when they were last looked at' do
    components = studio.projects.newest.sort_by { |saved| saved.design.key }.flat_map { |saved|
      saved.design.components.map { |one| ["#{saved.design.key}/#{one.key}", one.construction, one.parameters, table] } }
    more = KindSamples::ALL.flat_map { |kind, all| all.map { |name, data| ["#{kind} #{name}", kind, data, KindSamples.table(self)] } }
    found = (components + more).flat_map do |name, kind, data, parts|
      construction = described_class.fetch(kind).build(data, parts)
      lengths = construction.fill ? [mm(150), mm(237)] : [nil, nil]
      lengths.zip([lean, generous]).map { |target, maker|
        ["#{name} #{target} #{maker.tails}", { fill: construction.fill, play: construction.play, **figures(construction, target, maker) }] }
    rescue Core::Making::InvalidParameters, Core::UnknownKey
      []
    end
    expect(found.size).to be > 150
    expect(Figures.differ('kinds', found.to_h)).to eq([])
  end
end
