# frozen_string_literal: true

require_relative '../studio_helper'
require 'tmpdir'

RSpec.describe Store::Ledger do
  let(:studio) { new_studio(demo: false) }
  let(:ledger) { studio.ledger }

  def entry(item, quantity, reason: :received, length: nil, kind: length ? :line : :part)
    Core::Supply::Entry.new(kind: kind, item: item, quantity: quantity, reason: reason, length: length)
  end

  it 'balances to the sum of its entries however they come, and is never below zero' do
    rng = Random.new(12)
    wanted = Hash.new(0)
    300.times do
      length = rng.rand < 0.4 ? mm(rng.rand(1..3) * 100) : nil
      change = entry("item#{rng.rand(3)}", rng.rand(-6..6), length: length, reason: %i[received counted adjusted].sample(random: rng))
      key = [change.kind, change.item, change.length]
      if (wanted[key] + change.quantity).negative?
        expect { ledger.post([entry('other', 1), change]) }.to raise_error(Store::Shortfall)
      else
        ledger.post([change])
        wanted[key] += change.quantity
      end
    end
    stock = ledger.stock
    balances = wanted.to_h { |(kind, item, length), _|
      [[kind, item, length], kind == :part ? stock.part(item) : stock.bars(item).fetch(length, 0)]
    }
    expect(balances).to eq(wanted)
  end

  it 'takes two at once without losing one' do
    path = File.join(Dir.mktmpdir, 'studio.sqlite3')
    studios = Array.new(2) { new_studio(path: path, demo: false) }
    studios.map { |studio| Thread.new { 20.times { studio.ledger.post([entry('x', 1)]) } } }.each(&:join)
    expect(studios.first.ledger.stock.part('x')).to eq(40)
  end

  { update: ->(rows) { rows.update(quantity: 9) }, delete: :delete.to_proc }.each do |name, change|
    it "lets nobody #{name} an entry" do
      ledger.post([entry('x', 5)])
      expect { change.call(studio.database[:ledger]) }.to raise_error(Sequel::DatabaseError, /never/)
    end
  end

  describe 'the kits of a class' do
    let(:studio) { new_studio }

    # All that a class needs, received.
    def receive(id)
      supply_of(id).order.by_supplier.each_value { |bought| ledger.post(Core::Supply::Receiving.entries(bought)) }
    end

    it 'take from the stock what is on it, once, and go back as they came' do
      expect { kit_stock.take(1) }.to raise_error(Store::Shortfall).and(not_change { ledger.stock })
      receive(1)
      before = ledger.stock
      wanted = supply_of(1).parts.find { |part| part.part.key == 'clasp_12_silver' }.wanted
      expect([supply_of(1).short, wanted]).to match([0, be >= 11])
      kit_stock.take(1)
      kit_stock.take(1)
      expect([ledger.stock.part('clasp_12_silver'), supply_of(1)]).to eq([before.part('clasp_12_silver') - wanted, nil])
      kit_stock.put_back(1)
      expect([ledger.stock, supply_of(1).short]).to eq([before, 0])
    end

    it 'are reserved only while the class is planned so' do
      studio.ledger.post([entry('round_6_frost', 2)])
      others = -> { supply_of(2).parts.sum(&:reserved) + supply_of(2).lines.sum { |line| line.reserved.values.sum } }
      expect(others.call).to be_positive
      studio.classes.edit(1, studio.classes.find(1).revision, 'person_removed') { |state| state.with(attendees: []) }
      expect(others.call).to eq(0)
      studio.classes.undo(1)
      expect(others.call).to be_positive
      studio.classes.remove(1)
      expect(others.call).to eq(0)
    end
  end

  it 'gives a pack that is offered again its new price' do
    offer = ->(price) { Core::Supply::Offer.new(supplier: 'a', kind: :part, item: 'round_8_smoke', unit: :piece, amount: 25,
      price: studio.market.all.money(price)) }
    studio.market.save_supplier(Core::Supply::Supplier.new(key: 'a', name: 'A', delivery: studio.market.all.money(0),
      minimum: studio.market.all.money(0)))
    studio.market.save([offer.(100)])
    studio.market.save([offer.(120)])
    expect(studio.market.all.offers.map { |known| known.price.minor }).to eq([120])
    studio.market.remove(studio.market.all.offers.first)
    expect(studio.market.all.offers).to be_empty
  end
end
