# frozen_string_literal: true

require_relative '../studio_helper'
require_relative '../support/figures'

# Pieces of the demo's projects, small, usual and large: Blueprint, SizeSearch, ClosedLine, TautLine, LineRow, Span, Bend, Assembly,
# Placements, PieceLayout, Precedence, Working and what is nearer.
RSpec.describe Core::Sizing do
  let(:studio) { new_studio }
  let(:table) { studio.catalogue.table }
  let(:wide) { { wrist: [132, 171, 248], neck: [350, 411, 505], ankle: [205, 262] } }

  def figures(piece)
    return { out: [piece.causes, piece.cures] } unless piece.is_a?(Core::Sizing::Piece)

    { **piece.to_h.except(:work_ups), parts: piece.parts, cuts: piece.cuts, closing_parts: piece.closing_parts,
      nearer: Core::Sizing::NearerSizes.for(piece, Core::Fit::Additions.for(piece, table)).map(&:to_h),
      changes: Core::Sizing::SizeAdjustment.changes(piece, Core::Fit::Additions.for(piece, table)) }
  end

  it 'comes to the same pieces as when they were last looked at' do
    found = studio.projects.newest.map(&:design).sort_by(&:key).flat_map do |design|
      blueprint = Core::Sizing::Blueprint.new(design, table)
      wide.fetch(design.body, [nil]).map do |size|
        piece = size ? blueprint.fit(mm(size), Core::Making::Maker.new, ease: design.added_ease) : blueprint.fit_usual
        ["#{design.key} #{size}", figures(piece)]
      end
    end
    expect(Figures.differ('sizing', found.to_h)).to eq([])
  end
end
