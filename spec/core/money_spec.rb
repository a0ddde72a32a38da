# frozen_string_literal: true

RSpec.describe Core::Money do
  def euro(minor)
    described_class.new(minor: minor, currency: 'EUR')
  end

  {
    ['12.50', 'EUR'] => 1250,
    %w[7 EUR] => 700,
    ['0,5', 'EUR'] => 50,
    ['-3.2', 'EUR'] => -320,
    %w[1250 JPY] => 1250,
    ['12.505', 'EUR'] => nil,
    ['12.5', 'JPY'] => nil,
    %w[free EUR] => nil,
    ['', 'EUR'] => nil,
    %w[1e9 EUR] => nil
  }.each do |(text, currency), minor|
    it("reads #{text.inspect} #{currency} as #{minor.inspect}") { expect(described_class.parse(text, currency)&.minor).to eq(minor) }
  end

  { 0 => '0.00 EUR', 5 => '0.05 EUR', -120 => '-1.20 EUR', 123_456 => '1234.56 EUR' }.each do |minor, text|
    it("prints #{minor} as #{text}") { expect(euro(minor).to_s).to eq(text) }
  end

  it 'shares any amount out without losing or making a cent, nobody more than one away from their exact share' do
    rng = Random.new(4)
    200.times do
      amount = euro(rng.rand(0..100_000))
      weights = Array.new(rng.rand(1..13)) { rng.rand(1..50) }
      shares = amount.allocate(weights)
      expect(shares.sum(&:minor)).to eq(amount.minor)
      expect(shares.zip(weights).map { |share, weight| (share.minor - Rational(amount.minor * weight, weights.sum)).abs }).to all(be < 1)
    end
  end

  it('adds only its own currency') { expect { euro(1) + described_class.zero('GBP') }.to raise_error(ArgumentError) }
  it('rounds up to a step') { expect([1201, 1250, 0].map { |minor| euro(minor).up_to(50).minor }).to eq([1250, 1250, 0]) }
end
