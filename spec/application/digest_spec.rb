# frozen_string_literal: true

require_relative '../studio_helper'

RSpec.describe Application::Digest do
  it 'names equal data alike, whether its parts are shared or copies' do
    name = 'round'
    part = Core::Money.new(minor: 5, currency: 'EUR')
    shared = [name, name, part, part]
    copies = ['round', +'round', part.with(minor: 5), part.with(minor: 5)]
    expect(described_class.of(shared)).to eq(described_class.of(copies))
  end

  # Each differs from every other.
  different = [[], [nil], '', 0, 0.0, [0], [[]], {}, { a: 1 }, { 'a' => 1 }, [:a, 1], %w[ab c], %w[a bc], 'a,b', %w[a b], true, 1..2, 1r,
    Date.new(2026, 1, 1),
               Time.at(0), Time.at(0, 1)]
  it "tells #{different.size} different things apart" do
    expect(different.map { |data| described_class.of(data) }.uniq.size).to eq(different.size)
  end

  it('takes nothing that has no content of its own') { expect { described_class.of(Object.new) }.to raise_error(ArgumentError) }
end
