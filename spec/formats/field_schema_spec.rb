# frozen_string_literal: true

require 'json_schemer'
require_relative '../studio_helper'

RSpec.describe Formats::FieldSchema do
  described_class::WRITTEN.each_key do |name|
    it "stands in the published schema #{name} as it is declared; bin/schemas writes it" do
      expect(File.read(described_class.path(name))).to eq(described_class.file(name))
    end
  end

  # Each type with plain data that its schema takes, and what it does not.
  {
    [:whole, { within: 2..5 }] => [[2, 5], [1, 6, 2.5, '3']],
    [:number, { within: 0.5..2 }] => [[0.5, 2], [0.4, 2.1, '1']],
    [:amount, { within: 0..900 }] => [[0, 900], [-1, 901, 1.5]],
    [:yes, {}] => [[true, false], [1, 'yes']],
    [:choice, { of: %i[left right] }] => [%w[left right], ['up', 1]],
    [:choices, { of: %i[left right] }] => [[[], %w[left], %w[left right]], [%w[up], %w[left left]]],
    [:colour, {}] => [%w[#3f5F8f], %w[blue #3f5f8]],
    [:text, { most: 3 }] => [['', 'abc'], ['abcd', 1]],
    [:date, {}] => [%w[2028-02-29], %w[2027-02-29 today]],
    [:clock, {}] => [%w[00:00 23:59], %w[24:00 9:30]],
    [:list, { most: 2, each: { type: :text, most: 1 } }] => [[[], %w[a b]], [%w[a b c], %w[ab]]],
    [:by_key, { each: { type: :choice, of: %i[left right] } }] => [[{}, { 'a' => 'left' }], [{ 'a' => 'up' }]],
    [:by_level, { each: { type: :whole, within: 1..2 } }] => [[(1..5).to_h { |n| [n.to_s, 1] }], [{ '1' => 1 }]]
  }.each do |(type, options), (good, bad)|
    it "takes what is good as #{type} and nothing else, and reads back what it wrote" do
      made = Core::Fields.define { field :thing, type, required: true, **options }
      schema = JSONSchemer.schema(described_class.schema(made), format: true)
      record = Core::Data::Record.of(made)
      expect(good.reject { |data| schema.valid?({ 'thing' => data }) }).to eq([])
      expect(bad.select { |data| schema.valid?({ 'thing' => data }) }).to eq([])
      expect(good.map { |data| record.write(record.read({ 'thing' => data })) }).to eq(good.map { |data| { 'thing' => data } })
    end
  end

  it 'asks for what has no default, and takes nothing that is not declared' do
    made = Core::Fields.define do
      field :number, :whole, within: 1..3, required: true, says: 'how many'
      field :left, :yes, default: false
    end
    schema = JSONSchemer.schema(described_class.schema(made))
    told = [{ 'number' => 1 }, { 'left' => true }, { 'number' => 1, 'right' => true }].map { |data| schema.valid?(data) }
    expect([*told, made.new(number: 2).left]).to eq([true, false, false, false])
    expect(described_class.schema(made)['properties']['number']['description']).to eq('a whole number from 1 to 3: how many')
    expect { Core::Fields.define { field :number, :numeral } }.to raise_error(ArgumentError, /no type is called numeral/)
  end
end
