# frozen_string_literal: true

RSpec.describe Core::People::NeedsReader do
  none = {}
  {
    'nickel allergy' => { allergies: [:nickel] },
    'allergic to latex and brass' => { allergies: %i[latex brass] },
    'wool allergy; allergic to beeswax' => { other_allergy: 'wool, beeswax' },
    'no nickel allergy' => none,
    'likes brass and copper' => none,
    'Left-handed, age 9' => { left_handed: true, age: 9, minor: true },
    'left early' => none,
    'child, 9' => { minor: true, age: 9 },
    'child' => { minor: true },
    'has 5 years of experience' => none,
    'is 12 years old' => { minor: true, age: 12 },
    'age 34' => { age: 34 },
    'glasses, hard of hearing' => { low_vision: true, help: [:hearing] },
    'arthritis; comes in a wheelchair; pacemaker' => { help: %i[hands wheelchair implant] },
    'lights a lamp' => none,
    'NICKEL ALLERGY!' => { allergies: [:nickel] },
    'allergic to nickel, latex' => { allergies: %i[nickel latex] },
    'not allergic to nickel' => none,
    'copper allergy' => { allergies: [:copper] },
    'left handed' => { left_handed: true },
    'is a leftie' => { left_handed: true },
    'left the room' => none,
    'sits on the left' => none,
    'aged 15' => { age: 15, minor: true },
    '17 years old' => { age: 17, minor: true },
    'aged 70' => { age: 70 },
    '10 years of beading' => none,
    'needs 3 sets of pliers' => none,
    'reading glasses' => { low_vision: true },
    'needs good light' => { low_vision: true },
    'deaf' => { help: [:hearing] },
    'uses a wheelchair' => { help: [:wheelchair] },
    '' => none
  }.each do |words, needs|
    it("suggests #{needs} from #{words.inspect}") { expect(described_class.read(words)).to eq(Core::People::Needs.new(**needs)) }
  end

  {
    { minor: true } => [true, true],
    { age: 9 } => [true, false],
    { age: 2 } => [true, true],
    { age: 18 } => [false, false],
    {} => [false, false]
  }.each do |needs, expected|
    it("takes #{needs} for a minor, and for under three: #{expected}") {
      expect(Core::People::Needs.new(**needs).then { |n| [n.minor?, n.under?(3)] }).to eq(expected)
    }
  end
end

RSpec.describe Core::People::Needs do
  it 'is under an age until the birthday, and may be where only "child" is known' do
    ages = { { age: 13 } => true, { age: 14 } => false, { minor: true } => true, {} => false, { minor: true, age: 15 } => false }
    expect(ages.keys.map { |facts| described_class.new(**facts).under?(14) }).to eq(ages.values)
    expect([17, 18].map { |age| described_class.new(age: age).minor? }).to eq([true, false])
  end
end
