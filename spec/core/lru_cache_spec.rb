# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Core::LruCache do
  subject(:kept) { described_class.new(2) }

  it 'forgets what was asked for longest ago' do
    kept[:a] = 1
    kept[:b] = 2
    kept[:a]
    kept[:c] = 3
    expect(%i[a b c].map { |key| kept[key] }).to eq([1, nil, 3])
  end

  it 'keeps the version asked for last, and works another out again' do
    worked = []
    ask = ->(version) { kept.fetch(:a, version) { worked.push(version).last } }
    expect([1, 1, 2, 2, 1].map(&ask)).to eq([1, 1, 2, 2, 1])
    expect(worked).to eq([1, 2, 1])
  end

  it 'works out once what several ask for at the same time' do
    count = 0
    gate = Queue.new
    threads = Array.new(4) do
      Thread.new { kept.fetch(:a) { gate.pop && (count += 1) } }
    end
    Thread.pass until gate.num_waiting == 1
    4.times { gate.push(true) }
    expect([threads.map(&:value).uniq, count]).to eq([[1], 1])
  end

  it 'lets the next one try where the work failed' do
    expect { kept.fetch(:a) { raise 'no' } }.to raise_error('no')
    expect(kept.fetch(:a) { :yes }).to eq(:yes)
  end
end
