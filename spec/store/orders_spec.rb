# frozen_string_literal: true

require_relative '../studio_helper'

RSpec.describe Store::Orders do
  let(:studio) { new_studio }
  let(:orders) { studio.orders }
  let(:purchases) { results_of(studio).of(1).supply.order.purchases }

  before { orders.place(1, purchases) }

  it 'keeps what was ordered for a class with that class' do
    expect([orders.of(1).size, orders.of(2), orders.open.size]).to eq([purchases.size, [], purchases.size])
    expect(orders.of(1).map(&:arrived)).to all(eq(0))
    expect(orders.of(1).map(&:due)).to eq(orders.of(1).map(&:units))
  end

  it 'takes what arrives in parts, and no more than is due' do
    one = orders.of(1).max_by(&:due)
    orders.arrive(one.id, 1)
    expect(orders.of(1).find { |ordered| ordered.id == one.id }.due).to eq(one.due - 1)
    expect { orders.arrive(one.id, one.due) }.to raise_error(Store::NotSaved)
    orders.arrive(one.id, one.due - 1)
    expect(orders.open.map(&:id)).not_to include(one.id)
  end

  it 'forgets what will not come, and keeps what came' do
    one = orders.of(1).max_by(&:due)
    orders.arrive(one.id, 1)
    orders.cancel(1, one.supplier)
    left = orders.of(1).select { |ordered| ordered.supplier == one.supplier }
    expect(left.map { |ordered| [ordered.id, ordered.arrived, ordered.due] }).to eq([[one.id, 1, 0]])
  end

  it 'counts as coming what is on order, so that it is not bought twice' do
    supply = results_of(studio).of(1).supply
    expect(supply.order.purchases).to eq([])
    expect(supply.parts.sum(&:due)).to be_positive
  end
end

RSpec.describe Store::IdempotencyKeys do
  let(:studio) { new_studio(demo: false) }

  it 'leads a form that is sent again where it led first, and does its work once' do
    worked = 0
    again = Array.new(3) { studio.idempotency_keys.once('k' * 32) { "/classes/#{worked += 1}" } }
    expect([again.uniq, worked]).to eq([['/classes/1'], 1])
    expect(studio.idempotency_keys.once('l' * 32) { '/other' }).to eq('/other')
  end

  it 'remembers nothing of work that failed' do
    expect { studio.idempotency_keys.once('k' * 32) { raise 'no' } }.to raise_error('no')
    expect(studio.idempotency_keys.once('k' * 32) { '/yes' }).to eq('/yes')
  end
end

RSpec.describe Store::ResultCache do
  let(:path) { File.join(Dir.mktmpdir, 'studio.sqlite3') }

  it 'gives back what was put, in another run as well, and may be emptied at any time' do
    studio = Store::Studio.new(path)
    revision = studio.revision
    studio.result_cache.put('x', { 'chance' => 0.5 })
    expect(studio.result_cache['x']).to eq('chance' => 0.5)
    studio.result_cache.settle
    expect(studio.revision).to eq(revision)
    studio.close
    again = Store::Studio.new(path)
    expect([again.result_cache['x'], again.result_cache['y'], described_class.new(again.database, rules: 'others')['x']])
      .to eq([{ 'chance' => 0.5 }, nil, nil])
    again.close
  end
end
