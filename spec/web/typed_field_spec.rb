# frozen_string_literal: true

require_relative '../web_helper'

# How each type of field is typed: what it reads as, and what it shows again.
RSpec.describe Web::Contracts::TypedField do
  {
    [:whole, { within: 0..60 }] => { '60' => 60, '61' => /0 to 60/, '' => /Give a whole number/ },
    [:number, { within: 0..2 }] => { '0,5' => 0.5, '2.1' => /0 to 2/ },
    [:amount, { within: 1..900 }] => { '9' => 900, '0' => /such as 12.50/, '9.01' => /Give an amount/ },
    [:yes, {}] => { '1' => true, '0' => false, 'yes' => /Choose/ },
    [:choice, { of: %i[left right] }] => { 'left' => :left, 'up' => /Choose/ },
    [:text, { most: 3 }] => { 'abc' => 'abc', 'abcd' => /Shorten this to 3/ },
    [:name, {}] => { 'First' => 'First', ' ' => /Give it a name/, 'x' * 121 => /120/ },
    [:date, {}] => { '2028-02-29' => Date.new(2028, 2, 29), '2027-02-29' => /a date that exists/, '1999-01-01' => /2000 to 2100/ },
    [:clock, {}] => { '18:30' => Core::Measure::ClockTime.new(1110), 'noon' => /hours and minutes/ }
  }.each do |(type, options), read|
    it "reads and shows a field of the type #{type}" do
      one = described_class.new(Core::Field.new(name: :thing, type: type, required: true, **options), 'EUR')
      wrong, good = read.partition { |_, found| found.is_a?(Regexp) }
      expect(good.to_h { |text, _| [text, one.wrong(text) || one.read(text)] }).to eq(good.to_h)
      expect(good.map { |_, value| one.read(one.show(value)) }).to eq(good.map(&:last))
      wrong.each { |text, words| expect(one.wrong(text)).to match(words) }
    end
  end

  it 'takes nothing for not known where a field may be empty, and says so elsewhere' do
    one = described_class.new(Core::Field.new(name: :thing, type: :whole, within: 0..60), 'EUR')
    told = [one.wrong(''), one.read(''), one.show(nil), one.wrong('61')]
    expect(told).to eq([nil, nil, '', 'Give a whole number from 0 to 60, or leave it empty.'])
  end

  it 'has words for every field that a form shows, and for every way' do
    rows = [Core::Setup::Workshop, *Core::Setup::Workshop.fields.each_value.filter_map { |field| field.of if field.type == :record },
            Core::Setup::Calibration].flat_map do |type|
      type.fields.each_value.filter_map(&:shown).uniq.flat_map do |form|
        saved = type == Core::Setup::Workshop ? workshop : type.new
        Web::Presenters::Settings.new(type, form, saved, draft: nil, currency: 'EUR', tires_after: 60).rows
      end
    end
    texts = rows.flat_map { |row| [row.label, *row.options&.map(&:last)] }
    expect([texts.size, texts.grep(/no words|%\{/), texts.grep_v(String)]).to match([be > 70, [], []])
  end
end
