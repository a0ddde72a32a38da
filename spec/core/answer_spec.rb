# frozen_string_literal: true

require_relative '../spec_helper'

# What people say before a class (the limits are from memory, and so are these checks).
RSpec.describe Core::People::Answer do
  let(:asked) do
    [['mat', 1], ['cut', 1], ['crimp', 2], ['wrap', 3]].map { |key, level|
      Core::Catalogue::Technique.new(key: key, name: key, level: level, seconds: 10)
    }
  end

  { {} => 1,
    { 'mat' => :some } => 1,
    { 'mat' => :often } => 2,
    { 'mat' => :some, 'cut' => :some, 'crimp' => :some } => 2,
    { 'mat' => :some, 'cut' => :some, 'crimp' => :often } => 3,
    { 'wrap' => :often } => 1,
    { 'mat' => :often, 'cut' => :often, 'crimp' => :often, 'wrap' => :some } => 3,
    { 'mat' => :often, 'cut' => :often, 'crimp' => :often, 'wrap' => :often } => 4 }.each do |done, level|
    it "takes who did #{done} for level #{level}" do
      expect(described_class.new(name: 'Ilse', done: done).level(asked)).to eq(level)
    end
  end

  it 'becomes someone of the class, with what they did, need and bring' do
    answer = described_class.new(name: 'Ilse', measure: mm(165), done: { 'mat' => :often, 'crimp' => :never }, brings: ['ruler'],
      needs: Core::People::Needs.new(left_handed: true, allergies: [:nickel]), note: 'late', colourway: 'dusk')
    person = answer.attendee('7', asked, :wrist)
    expect([person.key, person.measures, person.level, person.experience.transform_values(&:times), person.flags, person.brings])
      .to eq(['7', { wrist: mm(165) }, 2, { 'mat' => 12 }, %i[nickel left_handed], ['ruler']])
  end

  [[:wrist, 165, nil, false], [:wrist, 120, nil, true], [:wrist, 120, 7, false], [:wrist, 165, 7, true], [:wrist, 112, 5, false],
   [:wrist, 112, 6, true], [:wrist, 270, nil, true],
   [:neck, 380, nil, false], [:neck, 260, nil, true], [:neck, 260, 9, false], [:ankle, 250, nil, false], [:ankle, 250, 8, true],
   [:length, 4000, nil, false]].each do |body, size, age, unusual|
    it "#{unusual ? 'asks again about' : 'takes'} a #{body} of #{size} mm at age #{age || 'of an adult'}" do
      expect(Core::People::Measures.unusual?(body, mm(size), age)).to be(unusual)
    end
  end
end
