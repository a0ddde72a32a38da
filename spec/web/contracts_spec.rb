# frozen_string_literal: true

require_relative '../web_helper'

# Each kind of field with what is good and what is not, at the edges of its range. Amounts are in the contract's currency: yen have no
# parts.
RSpec.describe Web::Contracts do
  euro = { currency: 'EUR' }
  session = [described_class::SessionContract, { **euro, class_minutes: 120 }]
  entry = { reasons: %w[received counted weighed adjusted], long: false, mass: 12.0 }
  {
    [described_class::ClassContract, {}] => {
      title: [['First light', 'x' * 120], ['', '  ', 'x' * 121]],
      date: [%w[2000-01-01 2100-12-31 2028-02-29], %w[1999-12-31 2101-01-01 2026-02-29 2026-13-01 today]],
      start: [%w[00:00 23:59 9:30], ['24:00', '12:60', 'noon', '']],
      minutes: [%w[15 720], %w[14 721 1.5 -60 9999999999]],
      tool_sets: [%w[0 100], ['101', '-1', '', 'ten']]
    },
    session => {
      break_at: [%w[0 119], %w[120 121 -1 x]],
      assistants: [%w[0 1], %w[-1 99]],
      assistant_hour: [%w[0 12.50 12,5], %w[-1 1e3 12.555 free]],
      demonstrations: [%w[together at_start], ['sometimes', '']]
    },
    [described_class::SupplyContract, { currency: 'JPY' }] => {
      venue: [%w[0 1500], %w[12.5 -1]],
      rounding: [%w[1 100], %w[0]],
      confidence: [%w[95], %w[101 0.95]],
      reels: [%w[price fewest waste], %w[cheapest]]
    },
    [described_class::DesignContract, {}] => {
      ease: [['0', '300 mm', '1/2 in'], ['301 mm', '-1 mm', 'wide', '']],
      wraps: [%w[1 12], %w[0 13 1.5]],
      name: [['Night'], ['']]
    },
    [described_class::PersonContract, {}] => {
      level: [%w[1 5], ['0', '6', '', 'two']],
      notes: [['', 'x' * 2000], ['x' * 2001]]
    },
    [described_class::NeedsContract, {}] => { age: [['', '1', '120'], %w[0 -1 121 nine]] },
    [described_class::SeveralContract, { colourways: ['', '-', 'dusk'] }] => {
      people: [['1 2'], ['']],
      ease: [['', '0 mm', '100 mm'], ['101 mm', 'soft']],
      colourway: [['', '-', 'dusk'], ['dawn']]
    },
    [described_class::EntryContract, entry.merge(mass: nil)] => { quantity: [%w[1 1000000], ['0', '-1', '1000001', '']] },
    [described_class::EntryContract, entry.merge(long: true)] => { length: [['10 m', '620 mm'], ['0 mm', '1001 m', 'long']] },
    [described_class::CalibrationContract, {}] => {
      pace_1: [%w[0.1 20], ['0.09', '20.1', 'x', '']], quick: [%w[0.1 1], ['', '0']], learning: [%w[0.5 1,0], %w[0.4 1.1]]
    },
    [described_class::MonthsContract, { range: 1..120, empty: 'keep the names' }] => { months: [['', '1', '120'], %w[0 121 six]] }
  }.each do |(contract, options), fields|
    fields.each do |field, (good, bad)|
      it "of #{contract.name[/\w+\z/]} takes what is good as #{field} and nothing else" do
        judged = ->(text) { contract.new(**options).call(field => text).errors.to_h[field] }
        expect(good.to_h { |text| [text, judged.call(text)] }.compact).to eq({})
        expect(bad.map { |text| judged.call(text) }).to all(include(a_string_matching(/Give|Choose|Shorten|Tick|lasts/)))
      end
    end
  end

  it 'judges nothing that was not sent, of a form that sends only what it shows' do
    sent_in_parts = [[described_class::ClassContract, {}], session, [described_class::SupplyContract, euro],
      [described_class::TeachingContract, {}]]
    sent_in_parts.each { |contract, options| expect(contract.new(**options).call({}).errors.to_h).to eq({}) }
  end
end
