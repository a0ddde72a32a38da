# frozen_string_literal: true

RSpec.describe Core::Value do
  let(:type) { described_class.define(:a, b: 2) }

  it 'makes frozen values that are equal when their fields are' do
    value = type.new(a: 1)
    expect(value).to be_frozen
    expect([value, value.with(b: 3), type.new(a: 1, b: 2)].uniq.size).to eq(2)
  end

  it 'refuses a missing and an unknown field' do
    expect { type.new(b: 1) }.to raise_error(ArgumentError, /missing/)
    expect { type.new(a: 1, c: 1) }.to raise_error(ArgumentError, /unknown/)
  end
end
