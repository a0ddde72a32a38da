# frozen_string_literal: true

require 'date'

RSpec.describe Core::Measure do
  # Common practice, no source.
  { 330 => :collar, 380 => :choker, 420 => nil, 450 => :princess, 600 => :matinee, 800 => :opera, 1200 => nil }.each do |inside, name|
    it("calls a necklace of #{inside} mm #{name.inspect}") { expect(described_class::Necklaces.name(mm(inside))).to eq(name) }
  end

  describe Core::Measure::LengthText do
    # One inch is 25.4 mm exactly: international yard and pound agreement, 1959.
    {
      '190 mm' => 190_000_000,
      '19 cm' => 190_000_000,
      '1 in' => 25_400_000,
      '7 1/2 in' => 190_500_000,
      "7\u00BD\"" => 190_500_000,
      '2 ft 3 in' => 685_800_000,
      '0,5 mm' => 500_000,
      '.5mm' => 500_000,
      '1/64 in' => 396_875,
      '6 3/4 inches' => 171_450_000,
      '-5 mm' => -5_000_000,
      '0.19 m' => 190_000_000,
      '5 in.' => 127_000_000
    }.each do |text, nanometres|
      it("reads #{text.inspect}") { expect(Core::Measure::Length.parse(text).nm).to eq(nanometres) }
    end

    {
      '' => :blank,
      'wide' => :unreadable,
      '7 1/0 in' => :zero_denominator,
      '19' => :no_unit,
      '19 ells' => :unknown_unit,
      '1 2 3 mm' => :no_unit,
      '158 mm150 mm' => :unreadable,
      '3 in 2 ft' => :unreadable,
      '-' => :unreadable,
      "19 mm\n<b>" => :unreadable,
      "\xFF" => :unreadable
    }.each do |text, reason|
      it "refuses #{text.inspect}" do
        expect { Core::Measure::Length.parse(text) }.to raise_error(Core::Measure::NotALength) { |e| expect(e.reason).to eq(reason) }
      end
    end

    it 'takes the unit it is given only where the text names none' do
      expect(Core::Measure::Length.parse('7 1/2', default_unit: :in)).to eq(mm(190.5))
      expect(Core::Measure::Length.parse('75 mm', default_unit: :in)).to eq(mm(75))
    end
  end

  it 'prints a length so that reading it gives the same length' do
    rng = Random.new(4)
    200.times do
      length = Core::Measure::Length.new(rng.rand(-(10**12)..(10**12)))
      expect(Core::Measure::Length.parse(length.to_s)).to eq(length)
    end
  end

  it 'refuses to compare a length with a bare number' do
    expect { mm(3) > 2 }.to raise_error(ArgumentError)
  end

  { '18:30' => 1110, '9.05' => 545, '24:00' => nil, '18:60' => nil, 'noon' => nil, '' => nil }.each do |text, minutes|
    it("reads the time #{text.inspect}") { expect(Core::Measure::ClockTime.parse(text)&.minutes).to eq(minutes) }
  end
end

RSpec.describe Core::Measure::SeedBeads do
  # Common practice, no source: 110 beads of 11/0 to the gram, 38 of 8/0; of 15/0 no count is told.
  it 'turns grams into beads and back, where the size has a count' do
    sizes = %w[11/0 8/0 15/0].map { |name| described_class.fetch(name) }
    expect(sizes.map { |size| described_class.count(size, 5.0) }).to eq([550, 190, nil])
    expect(sizes.map { |size| described_class.grams(size, 55) }).to match([0.5, be_within(1e-9).of(55 / 38.0), nil])
  end
end
