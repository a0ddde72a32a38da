# frozen_string_literal: true

require_relative '../studio_helper'

RSpec.describe Formats::WornSvg do
  def drawn(design, worn)
    described_class.new(fit(design, worn), title: 'One & all').to_s
  end

  # Every bead of a closed row lies on a ring of its length, the clasp's middle at the top.
  it 'closes a row to a ring, and lets what hangs hang outward' do
    svg = drawn(bracelet(pattern: pattern({ fill: ['round_8'] })), 180)
    beads = svg.scan(/<ellipse cx="(-?[\d.]+)" cy="(-?[\d.]+)" rx="4"/).map { |x, y| Math.hypot(x.to_f, y.to_f) }
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
end
