# frozen_string_literal: true

require_relative '../studio_helper'

# The piece after each step, over all demo projects.
RSpec.describe Core::Sizing::WorkState do
  let(:studio) { new_studio }
  let(:table) { studio.catalogue.table }
  let(:works) do
    studio.projects.newest.filter_map do |saved|
      piece = Core::Sizing::Blueprint.new(saved.design, table).fit_usual
      next if saved.design.test_piece || !piece.is_a?(Core::Sizing::Piece)

      steps = Core::Steps::StepOrder.of(piece.steps, table).steps
      [saved.design.key, piece, steps.map { |step| [step, described_class.new(piece, steps).after(step)] }]
    end
  end

  it 'puts each part on at one step, and all of them by the last' do
    works.each do |key, piece, moments|
      added = moments.flat_map { |_, moment| moment ? moment.added : [] }.select { |shape| piece.layout.include?(shape) }
      expect([key, added.size, (piece.layout - added).size]).to eq([key, piece.layout.size, 0])
    end
  end

  it 'shows nothing of what comes later' do
    works.each do |key, _, moments|
      seen = []
      moments.each do |_, moment|
        next unless moment

        expect([key, (moment.before - seen).size, (moment.added & seen).size]).to eq([key, 0, 0])
        seen += moment.added
      end
    end
  end

  it 'draws what is new within its frame' do
    works.each do |key, _, moments|
      moments.filter_map(&:last).each do |moment|
        left, top, wide, high = Formats::StateSvg.new(moment, title: 'After it').to_s[/viewBox="([^"]+)"/, 1].split.map(&:to_f)
        inside = moment.added.all? { |shape| shape.x.between?(left, left + wide) && shape.y.between?(top, top + high) }
        expect([key, inside]).to eq([key, true])
      end
    end
  end

  # A strung row: the far end is not there before it is closed; the clasp hangs in nothing before its ring is shut.
  it 'begins a bracelet with its clasp, then the row, then one end and the other' do
    _, _, moments = works.find { |key, _| key == 'evening_star' }
    shown = moments.filter_map { |step, moment| [step.key.split('/').last, moment.added.map(&:role).tally] if moment }
    expect(shown.map(&:first)).to eq(%w[join join string first_end second_end])
    expect(shown.last(2).map { |_, roles| roles[:crimp] }).to eq([1, 1])
  end
end
