# frozen_string_literal: true

require_relative '../studio_helper'
require_relative '../support/samples'

# One end of cords: its length, what lies on the path and its parts follow from what stands on it; so does its picture.
RSpec.describe Core::Making::CordEnd do
  let(:table) { sample_table }
  let(:cord) { table.line('cord') }
  let(:bead) { table.part('round_12') }

  def made(*items, lines: 3)
    described_class.new(line: cord, lines: lines, items: items)
  end

  it 'is as long as what stands on it within the piece, and no longer for what lies beyond' do
    knot = described_class.knot(mm(9))
    one = made(knot, described_class.with(bead), described_class.knot(mm(5), beyond: true))
    expect([one.length, one.parts]).to eq([mm(21), [bead]])
    on_line = one.on_line(mm(3), mm(5))
    expect(on_line.map(&:along)).to eq([mm(9), mm(12)])
    expect(on_line.first.width).to eq(mm(5))
    # A loop over a button lies half beside it.
    expect(made(described_class.loop(mm(12), mm(6))).length).to eq(mm(6))
  end

  # The row of a cord that closes begins and ends with what its ends say, so that its sum is the piece.
  {
    { closure: 'loop', button: 'round_12' } => %i[round_12],
    { closure: 'slider', slider: 'round_8', free_tail: '60 mm' } => %i[round_8],
    { closure: 'slider', free_tail: '60 mm', stop_bead: 'round_8' } => %i[round_8 round_8]
  }.each do |closing, parts|
    it "closes a cord with #{closing}" do
      data = { cord: 'cord', beads: [{ 'part' => 'round_12' }], **closing }.transform_keys(&:to_s)
      built = Core::Construction::Kinds.fetch(:knotted_cord).build(data, table)
      solution = built.solve(mm(200))
      work_up = built.make(solution, Core::Making::Maker.new(measure: mm(165)))
      expect(Core::Measure::Length.sum(built.on_line(solution).map(&:along))).to eq(work_up.lengths.beaded)
      expect(work_up.parts.reject { |use| use.role == :bead }.flat_map { |use| [use.part.key.to_sym] * use.count }).to eq(parts)
    end
  end

  describe 'its picture' do
    def picture(*items, lines: 3, **rest)
      Formats::CordEndSvg.new(made(*items, lines: lines), title: 'an end', **rest).to_s
    end

    # A strand is drawn twice, its edge and itself.
    it 'shows every strand, folds them in a loop, and counts turns of a whipping' do
      strands = ->(svg) { svg.scan(/<path d="M0 [^"]*H/).size / 2 }
      expect((1..8).map { |lines| strands.(picture(described_class.knot(mm(9)), lines: lines)) }).to eq((1..8).to_a)
      loops = ->(svg) { svg.scan(/<path d="M[^"]*C[^"]*S/).size / 2 }
      expect([2, 3, 6].map { |lines| loops.(picture(described_class.loop(mm(19)), lines: lines)) }).to eq([1, 1, 3])
      band = described_class::Item.new(kind: :band, length: mm(8), number: 20)
      expect(picture(band)[/<path d="((?:M[^M"]*v[^M"]*)+)"/, 1].scan('M').size).to eq(19)
    end

    it 'says what hands count and measure, and what hangs by a fold of one strand' do
      all = picture(described_class.knot(mm(9), number: 4), described_class.with(bead, :held), described_class.loop(mm(19)),
        described_class.with(bead, :socket), described_class.knot(mm(4), beyond: true))
      expect(all.scan(%r{>([^<>]+)</text>}).flatten).to match_array(['knot of 4', '19 mm inside', 'all 3 glued in'])
    end

    it 'keeps its words in the frame and apart, on both sides' do
      [false, true].each do |mirrored|
        svg = picture(described_class.knot(mm(3)), described_class.loop(mm(10)), described_class.with(bead, :socket), mirrored: mirrored)
        left, _, wide, = svg[/viewBox="([^"]+)"/, 1].split.map(&:to_f)
        size = svg[/font-size="([\d.]+)"/, 1].to_f
        places = svg.scan(/<text x="([\d.-]+)"[^>]*>([^<]+)</).map { |x, words| [x.to_f, words.size * size * 0.5] }
        edges = places.map { |x, room| [x - (room / 2), x + (room / 2)] }
        expect(edges.each_cons(2).all? { |one, other| one.last < other.first }).to be(true)
        expect(edges.flatten.minmax).to match([be >= left, be <= left + wide])
      end
    end
  end
end
