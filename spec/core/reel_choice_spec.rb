# frozen_string_literal: true

require 'highs'

RSpec.describe Core::Supply::ReelChoice do
  def euro(minor)
    Core::Money.new(minor: minor, currency: 'EUR')
  end

  let(:line) { Core::Catalogue::Line.new(key: 'cable', name: 'cable', kind: :cable, thickness: mm(0.38)) }

  def market(suppliers, offers)
    known = suppliers.to_h { |key, (delivery, minimum)|
      [key, Core::Supply::Supplier.new(key: key, name: key, delivery: euro(delivery), minimum: euro(minimum))]
    }
    Core::Supply::Market.of(offers.map { |supplier, length, price|
      Core::Supply::Offer.new(supplier: supplier, kind: :line, item: 'cable', unit: :reel, amount: mm(length).nm, price: euro(price))
    }, known, 'EUR')
  end

  def supply(cuts, market, by: :price, offcuts: 0)
    pieces = cuts.map { |length| Core::Cutting::WantedCut.new(owner: 'x', length: mm(length)) }
    claim = Core::Supply::StockDemand.new(parts: [], lines: { line => pieces }, reels: by, offcuts: offcuts)
    Core::Supply::Allocation.new(Core::Supply::Stock.new, market).call({ 1 => claim }).fetch(1)
  end

  def bought(supply)
    supply.lines.first.cuts.to_buy.transform_keys { |length| length.to_mm.to_i }
  end

  it 'takes the cheapest reels, the fewest, or those that leave least over' do
    shops = market({ 'a' => [0, 0] }, [['a', 1000, 300], ['a', 2000, 900], ['a', 2200, 950]])
    cuts = [900, 900]
    expect(%i[price fewest waste].to_h { |by| [by, bought(supply(cuts, shops, by: by))] })
      .to eq(price: { 1000 => 2 }, fewest: { 2000 => 1 }, waste: { 2000 => 1 })
    expect(supply(cuts, shops).order).to have_attributes(total: euro(600), proven: true)
  end

  # Pieces of 900 from 1000 for 300 or from 4000 for 700: 1000 leaves scrap, 4000 leaves 3100 to keep.
  { 0 => [1000, 300], 40 => [1000, 300], 75 => [4000, 700] }.each do |share, (length, price)|
    it "buys the reel of #{length} where what is kept counts for #{share} of 100 of its price" do
      shops = market({ 'a' => [0, 0] }, [['a', 1000, 300], ['a', 4000, 700]])
      found = supply([900], shops, offcuts: share)
      expect([bought(found), found.order.total, found.order.proven]).to eq([{ length => 1 }, euro(price), true])
    end
  end

  # Silver of 1 mm (10.5 g in a cubic centimetre): 100 mm of scrap weigh 0.825 g, 50 mm half of that. Of 1000 for 300 and of 950 for 270
  # the longer is cheaper once scrap brings more than 73 a gram.
  { nil => 950, 60 => 950, 90 => 1000 }.each do |price, length|
    it "buys the reel of #{length} where a gram of scrap brings #{price || 'nothing'}" do
      silver = line.with(thickness: mm(1), material: 'silver', scrap_price: price)
      shops = market({ 'a' => [0, 0] }, [['a', 1000, 300], ['a', 950, 270]])
      claim = Core::Supply::StockDemand.new(parts: [], lines: { silver => [Core::Cutting::WantedCut.new(owner: 'x', length: mm(900))] },
        reels: :price,
        offcuts: 0)
      found = Core::Supply::Allocation.new(Core::Supply::Stock.new, shops).call({ 1 => claim }).fetch(1)
      expect([bought(found), found.lines.first.scrap_brings.round])
        .to eq([{ length => 1 }, price ? (0.8247 * price * (length == 1000 ? 1 : 0.5)).round : 0])
    end
  end

  it 'pays a delivery once: a dearer reel where it comes anyway' do
    shops = market({ 'near' => [0, 0], 'far' => [500, 0] }, [['near', 1000, 400], ['far', 2000, 600]])
    expect([[900], [900] * 4].map { |cuts| bought(supply(cuts, shops)) }).to eq([{ 1000 => 1 }, { 1000 => 4 }])
    expect(bought(supply([900] * 8, shops))).to eq({ 2000 => 4 })
  end

  # Every way to fill each reel, every offer and every delivery, as an integer program of its own.
  def by_highs(demands, suppliers, offers)
    lengths = offers.map { |_, length, _| length }.uniq
    ways = lengths.flat_map { |length| fillings(demands.keys, demands.values,
      length).reject { |way| way.all?(&:zero?) }.map { |way| [length, way] } }
    keys = suppliers.keys
    width = ways.size + offers.size + keys.size
    rows = demands.values.each_with_index.map { |wanted, i| [ways.each_with_index.to_h { |(_, way), j| [j, way[i]] }, wanted, 1e30] }
    rows += lengths.map { |length|
      used = ways.each_index.select { |j| ways[j].first == length }.to_h { |j| [j, -1] }
      [used.merge(offers.each_index.select { |k| offers[k][1] == length }.to_h { |k| [ways.size + k, 1] }), 0, 1e30]
    }
    keys.each_with_index do |key, i|
      mine = offers.each_index.select { |k| offers[k].first == key }
      at = ways.size + offers.size + i
      rows << [mine.to_h { |k| [ways.size + k, 1] }.merge(at => -200), -1e30, 0]
      rows << [mine.to_h { |k| [ways.size + k, offers[k].last] }.merge(at => -suppliers[key].last), 0, 1e30]
    end
    cells = rows.map { |row| row.first.reject { |_, value| value.zero? }.to_a }
    costs = ([0] * ways.size) + offers.map(&:last) + suppliers.values.map(&:first)
    starts = cells.reduce([0]) { |all, row| all << (all.last + row.size) }[0...-1]
    model = Highs.mip(sense: :minimize, col_cost: costs.map(&:to_f), col_lower: [0.0] * width,
      col_upper: ([200.0] * (width - keys.size)) + ([1.0] * keys.size),
      row_lower: rows.map { |row| row[1].to_f }, row_upper: rows.map { |row| row[2].to_f }, a_format: :rowwise, a_start: starts,
      a_index: cells.flat_map { |row| row.map(&:first) }, a_value: cells.flat_map { |row| row.map { |cell| cell.last.to_f } },
      integrality: [1] * width)
    model.solve[:obj_value].round
  end

  def fillings(lengths, demands, reel)
    return [[]] if lengths.empty?

    (0..[reel / lengths.first, demands.first].min).flat_map { |count|
      fillings(lengths.drop(1), demands.drop(1), reel - (count * lengths.first)).map { |rest| [count, *rest] }
    }
  end

  # Orders that are filled up to a minimum take more of the same reels; other reels could fill them up for less, so they are not called
  # proven.
  it 'buys as cheaply as HiGHS on random markets, but where an order is filled up, and calls nothing proven that is dearer' do
    rng = Random.new(31)
    dearer = Array.new(60) {
      suppliers = %w[a b c].first(rng.rand(1..3)).to_h { |key| [key, [rng.rand(0..6) * 100, rng.rand(0..2) * 800]] }
      lengths = [1000, 2000, 5000, 10_000].sample(rng.rand(2..3), random: rng).sort
      offers = lengths.flat_map { |length| suppliers.keys.sample(rng.rand(1..suppliers.size),
        random: rng).map { |key| [key, length, (length * rng.rand(0.15..0.45)).round] } }
      cuts = Array.new(rng.rand(2..14)) { [260, 310, 455].sample(random: rng) }
      order = supply(cuts, market(suppliers, offers)).order
      known = suppliers.slice(*offers.map(&:first))
      [order.total.minor - by_highs(cuts.tally, known, offers), order.proven]
    }
    expect([dearer.map(&:first).min, dearer.count { |more, proven| proven && more.positive? },
      dearer.count { |more, _| more.positive? }]).to match([0, 0, be <= 5])
  end
end
