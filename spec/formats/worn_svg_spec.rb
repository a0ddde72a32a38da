# frozen_string_literal: true

require_relative '../studio_helper'

RSpec.describe Formats::WornSvg do
  def drawn(design, worn)
    described_class.new(fit(design, worn), title: 'One & all').to_s
  end

  # Every bead of a closed row lies on a ring of its length, the clasp's middle at the top.
  it 'closes a row to a ring, and lets what hangs hang outward' do
    svg = drawn(bracelet(pattern: pattern({ fill: ['round_8'] })), 180)
    bead = svg[/<g id="([^"]+)"><ellipse cx="-?0" cy="-?0" rx="4"/, 1]
    beads = svg.scan(/<use href="##{bead}" x="(-?[\d.]+)"(?: y="(-?[\d.]+)")?/).map { |x, y| Math.hypot(x.to_f, y.to_f) }
    around = fit(bracelet(pattern: pattern({ fill: ['round_8'] })), 180).laid_flat.to_mm
    expect(beads.size).to be > 10
    expect(beads).to all(be_within(0.1).of(around / (2 * Math::PI)))
    expect(svg).to include('aria-label="One &amp; all"')
  end

  it 'lets a piece of its own length hang down' do
    row = component('ear', :strung, line: 'cable', crimp: 'crimp', mirror: false, pattern: pattern({ fill: ['round_6'] }))
    whole = design(row, body: :length)
    svg = drawn(whole, 60)
    _, _, wide, high = svg[/viewBox="([^"]+)"/, 1].split.map(&:to_f)
    expect(high).to be > wide
  end

  context 'with the demo' do
    let(:studio) { new_studio }
    let(:pieces) do
      studio.projects.newest.filter_map do |saved|
        piece = Core::Sizing::Blueprint.new(saved.design, studio.catalogue.table).fit_usual
        [saved.design.key, piece] if piece.is_a?(Core::Sizing::Piece)
      end
    end

    it 'holds all of what it bends, also lines with curves' do
      pieces.each do |key, piece|
        svg = described_class.new(piece, title: key).to_s
        left, top, wide, high = svg[/viewBox="([^"]+)"/, 1].split.map(&:to_f)
        outside = svg.scan(/<path d="(M[ML\d. -]+)" transform="translate\(0 0\)"/).flatten.flat_map { |path|
          path.scan(/(-?[\d.]+) (-?[\d.]+)/).reject { |x, y| x.to_f.between?(left, left + wide) && y.to_f.between?(top, top + high) }
        }
        expect([key, outside]).to eq([key, []])
      end
    end

    it 'refers to gradients that there are, and lights what is dull less than what shines' do
      defined = Formats::PieceSvg::Light.definitions.scan(/id="([^"]+)"/).flatten
      used = pieces.flat_map { |key, piece| described_class.new(piece, title: key).to_s.scan(/url\(#([^)]+)\)/).flatten }.uniq
      expect(used - defined).to eq([])
      expect(used.map { |name| name.split('-')[1] }.uniq).to match_array(%w[gloss soft pearl metal])
    end
  end

  # Light falls from above on the left, however the bead is turned (plane geometry).
  [[0, 'over'], [-30, 'over'], [180, 'under'], [120, 'under'], [60, 'middle'], [-120, 'middle']].each do |turn, side|
    it "lights the #{side} of a tube turned by #{turn} degrees" do
      tube = part('tube', 6, 3, form: :tube, material: 'brass')
      shape = Core::Making::Shape.new(item: tube, role: :bead, x: 0.0, y: 0.0, along: 6.0, across: 3.0, form: :tube, turn: turn)
      expect(Formats::PieceSvg::Light.over(shape)).to include("light-metal-#{side}-band")
    end
  end

  it 'knows how every material looks, and takes what is stated first' do
    materials = Core::Catalogue::Mass::DENSITIES.keys
    looks = materials.to_h { |material| [material, Core::Catalogue::Surface.of(part('p', 6, material: material))] }
    expect(looks).to include('glass' => :glass, 'brass' => :bright, 'wood' => :wood, 'pearl' => :pearl)
    expect(looks.values).not_to include(:matt)
    expect(Core::Catalogue::Surface.of(part('p', 6, material: 'glass', surface: :faceted))).to eq(:faceted)
  end

  # SVG 1.1, section 8.3: H, V and small letters go from where the path is; T mirrors the last control point.
  it 'reads the path of a line' do
    points = Formats::FlatPath.points('M1 1h2v3L0 0M0 0q1 2 2 0t2 0')
    expect(points[0]).to eq([[1.0, 1.0], [3.0, 1.0], [3.0, 4.0], [0.0, 0.0]])
    expect(points[1].values_at(3, 6, 9, 12).map { |one| one.map { |number| number.round(6) } })
      .to eq([[1.0, 1.0], [2.0, 0.0], [3.0, -1.0], [4.0, 0.0]])
  end
end
