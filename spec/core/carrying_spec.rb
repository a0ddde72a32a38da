# frozen_string_literal: true

RSpec.describe Core::Fit::Carrying do
  let(:table) { sample_table.with(parts: sample_table.parts.transform_values { |one| one.with(mass_mg: 2000.0) }) }
  let(:piece) do
    row = component('front', :strung, line: 'cable', crimp: 'crimp', pattern: pattern({ fill: ['round_6'] }))
    ring = component('clasp_end', :findings, parts: %w[open_ring clasp].map { |key| { 'part' => key } })
    Core::Sizing::Blueprint.new(design(ring, row), table).fit_usual
  end

  def judged(inner, component, grams, holds)
    join = Core::Making::Join.new(kind: :weight, inner: inner, outer: inner, at: 0.0, component: component)
    rule = inner.is_a?(Core::Catalogue::Part) ? :joint_bears : :line_bears
    values = { grams: grams, asked: grams * 5, holds: holds, (rule == :joint_bears ? :part : :line) => inner.name }
    Core::Fit::Result.new(rule: rule, status: :fits, code: :load_fits, join: join, values: values)
  end

  # By hand: a tug of 5 times 40 g asks 200 of 400 g; of 5 times 30 g, 150 of 5000. A part lies where it is drawn first, a line in the
  # middle of its row; what is not drawn lies nowhere.
  it 'puts the weakest first, each where it lies on the drawing' do
    ring, lost, line = table.parts.fetch('open_ring'), table.parts.fetch('drop'), table.lines.fetch('cable')
    found = described_class.new(piece, [judged(line, 'front', 30, 5000), judged(lost, nil, 1, 1000), judged(ring, 'clasp_end', 40, 400)])
    shapes = piece.layout.select { |shape| shape.owner == 'front' }.map(&:x).minmax
    expect(found.links.map { |link| [link.name, link.share, link.at] }).to match([
      ['open ring', 0.5, piece.layout.find { |shape| shape.item == ring }.x], ['cable', be_within(1e-9).of(0.03), shapes.sum / 2],
      ['drop', 0.005, nil]
    ])
  end
end
