# frozen_string_literal: true

require_relative '../studio_helper'
require_relative '../support/readability'

RSpec.describe Formats::Wording do
  # Two passages whose figures are published: Lincoln's address is given as 64 to 69, a primer for beginners as above 100.
  it 'is judged by a measure that tells easy words from hard ones' do
    expect(Readability.ease('The cat sat on the mat. The dog ran to the sun.')).to be > 100
    expect(Readability.ease('Comprehensive institutional considerations necessitate organizational reconfiguration.')).to be < 0
    expect(%w[bead needle crimp finished practice instructor].map { |word| Readability.syllables(word) }).to eq([1, 2, 1, 2, 2, 3])
  end

  texts = lambda do |tree, path = []|
    next tree.each_with_index.flat_map { |below, i| texts.call(below.gsub(/ \| (\d.*)?/, '. '), path + [i]) } if tree.is_a?(Array)
    next [[path.join('.'), tree.to_s.gsub(/%[{<]\w+[}>]/, 'this')]] unless tree.is_a?(Hash)

    tree.flat_map { |key, below| texts.call(below, path + [key]) }
  end
  wording = described_class::FILES.flat_map { |file| texts.call(YAML.load_file(file).slice('en')) }

  it 'says each thing in one place' do
    expect(wording.map(&:first).tally.select { |_, times| times > 1 }.keys).to eq([])
  end

  { 'constructions' => Core::Construction::Kinds, 'rules' => Core::Fit::Rules, 'levers' => Core::Levers::Kinds }.each do |section, family|
    it "keeps the words of each kind of #{section} in the file beside it" do
      family.all.each do |kind|
        beside = Object.const_source_location(kind.name).first.sub(/rb\z/, 'yml')
        expect([kind.key, File.exist?(beside) && YAML.load_file(beside).dig('en', section)&.keys]).to eq([kind.key, [kind.key.to_s]])
      end
    end
  end

  it 'reads easily, all of it and each sentence of it' do
    expect(Readability.ease(wording.map(&:last).join("\n"))).to be >= 60
    hard = wording.select { |_, text| text.scan(Readability::WORD).size > 8 && Readability.ease(text) < 60 }
    expect(hard).to eq([])
  end
end
