# frozen_string_literal: true

RSpec.describe Core::Logbook::PricePaid do
  def paid(packs, minor, item = 'round')
    described_class.new(offer: Core::Supply::Offer.key('stall', :part, item, :piece, 50), packs: packs, paid: minor)
  end

  # By hand: 3 packs for 12.00, half a pack for 2.10, 2 packs for 9.00: 4.00, 4.20 and 4.50 a pack, the last one counts.
  it 'takes the price that was paid last' do
    found = described_class.lessons([paid(3, 1200), paid(Rational(1, 2), 210), paid(2, 900), paid(1, 700, 'oval')])
    first = found.find { |one| one.about == 'stall/part/round/piece/50' }
    expect([first.value, first.low, first.high, first.number, first.classes]).to eq([450.0, 400.0, 450.0, Rational(11, 2), 3])
    expect(found.size).to eq(2)
  end
end
