# frozen_string_literal: true

require_relative '../web_helper'
require_relative '../../bench/hostile'

# A short form of bench/hostile.rb. Inputs follow OWASP's lists: injection, upload, resource exhaustion, double submission.
RSpec.describe Hostile do
  include Requests

  it 'knows every route there is' do
    expect(described_class.stray_routes).to eq([])
  end

  it 'gets no answer 500, and loses nothing' do
    driver = Hostile::Driver.new(app, Random.new(11))
    document = JSON.generate(Formats::ClassDocument.write(inputs_of(1), market: studio.market.all, stock: studio.ledger.stock))
    driver.requests(200)
    driver.files(document, 20)
    expect(driver.failures).to eq([])
    expect(studio.database.fetch('PRAGMA integrity_check').single_value).to eq('ok')
    expect(studio.database.fetch('PRAGMA foreign_key_check').all).to eq([])
  end

  it 'adds once what is sent three times at once' do
    app
    before = studio.ledger.stock.part('round_6_frost')
    Array.new(3) { |i|
      Thread.new {
        Hostile::Driver.new(app, Random.new(i)).post('/stockroom/parts/round_6_frost/stock', 'reason' => 'received', 'quantity' => '1',
          'once' => 'b' * 32)
      }
    }.each(&:join)
    expect(studio.ledger.stock.part('round_6_frost')).to eq(before + 1)
  end

  it 'keeps what was acknowledged when it is killed in the middle of writing' do
    path = File.join(Dir.mktmpdir, 'studio.sqlite3')
    new_studio(path: path).close
    expect(Hostile::Kills.lost(path, 1, Random.new(1))).to eq(0)
  end

  it 'leaves nothing running when the whole server is stopped or killed' do
    expect(Hostile::Stops.left(Dir.mktmpdir, 2, Random.new(1))).to eq([])
  end
end
