# frozen_string_literal: true

RSpec.describe Core::Supply do
  def euro(minor)
    Core::Money.new(minor: minor, currency: 'EUR')
  end

  def supplier(key, delivery: 0, minimum: 0)
    Core::Supply::Supplier.new(key: key, name: key, delivery: euro(delivery), minimum: euro(minimum))
  end

  def offer(supplier, item, amount, price, unit: :piece, kind: :part)
    Core::Supply::Offer.new(supplier: supplier, kind: kind, item: item, unit: unit, amount: amount, price: euro(price))
  end

  describe 'what a pack holds' do
    {
      [:piece, 25] => 25,
      # 8 mm rounds on a 400 mm strand: 400/d (division)
      [:strand, 400_000_000] => 50,
      # 10 g of beads of 40 mg
      [:gram, 10_000] => 250
    }.each do |(unit, amount), count|
      it("counts #{count} in #{amount} by #{unit}") {
        expect(offer('a', 'x', amount, 1, unit: unit).count(part('x', 8, mass_mg: 40))).to eq(count)
      }
    end

    it('counts nothing by weight when nobody knows the weight') {
      expect(offer('a', 'x', 10_000, 1, unit: :gram).count(part('x', 8))).to eq(0)
    }
  end

  # Every combination of so many of each pack, and each set of suppliers, tried out.
  def cheapest_by_trying(wanted, offers, suppliers)
    columns = wanted.keys.flat_map { |thing| offers[thing].map { |of, units| [thing, of, units] } }
    ranges = columns.map { |thing, of, units|
      (0..[wanted[thing].fdiv(units), suppliers[of.supplier].minimum.minor.fdiv(of.price.minor)].max.ceil).to_a
    }
    ranges.first.product(*ranges.drop(1)).filter_map do |counts|
      next unless wanted.all? { |thing, units| columns.zip(counts).sum { |(of, _, held), count| of == thing ? held * count : 0 } >= units }

      spent = columns.zip(counts).group_by { |(_, of, _), _| of.supplier }.transform_values { |same|
        same.sum { |(_, of, _), count|
          of.price.minor * count
        }
      }
      spent = spent.select { |key, _| columns.zip(counts).any? { |(_, of, _), count| of.supplier == key && count.positive? } }
      spent.sum { |key, cost| cost + suppliers[key].delivery.minor } if spent.all? { |key, cost| cost >= suppliers[key].minimum.minor }
    end.min
  end

  it 'buys as cheaply as trying everything finds, with packs, deliveries and minimum orders' do
    rng = Random.new(8)
    25.times do
      suppliers = %w[a b].to_h { |key| [key, supplier(key, delivery: rng.rand(0..4) * 50, minimum: rng.rand(0..2) * 300)] }
      wanted = { 'x' => rng.rand(1..30), 'y' => rng.rand(1..20) }
      offers = wanted.keys.to_h { |thing|
        [thing,
         [['a', 10], ['b', rng.rand(5..12)]].map { |key, size|
           [offer(key, thing, size, rng.rand(100..300)), size]
         }]
      }
      choice = Core::Supply::Packs.new(wanted, offers, suppliers).call
      paid = choice.goods + choice.packs.keys.map(&:supplier).uniq.sum { |key| suppliers[key].delivery.minor }
      expect([paid, choice.proven]).to eq([cheapest_by_trying(wanted, offers, suppliers), true])
    end
  end

  # An assortment covers several things at once: against every number of each pack that could be of use.
  it 'buys assortments as cheaply as trying everything finds' do
    rng = Random.new(3)
    bought_mixed = 0
    20.times do
      seller = supplier('a', delivery: 100, minimum: rng.rand(0..1) * 400)
      wanted = { 'x' => rng.rand(1..20), 'y' => rng.rand(1..20) }
      mixed = offer('a', 'x', rng.rand(3..8), rng.rand(150..350)).with(also: { 'y' => rng.rand(3..8) })
      single = wanted.keys.to_h { |thing| [thing, offer('a', thing, rng.rand(4..10), rng.rand(100..300))] }
      offers = { 'x' => [[single['x'], single['x'].amount], [mixed, mixed.amount]],
            'y' => [[single['y'], single['y'].amount], [mixed, mixed.also['y']]] }
      choice = Core::Supply::Packs.new(wanted, offers, 'a' => seller).call
      best = [*0..10].product([*0..10], [*0..10]).filter_map { |x, y, both|
        got = { 'x' => (x * single['x'].amount) + (both * mixed.amount), 'y' => (y * single['y'].amount) + (both * mixed.also['y']) }
        next if wanted.any? { |thing, units| got[thing] < units }

        goods = (x * single['x'].price.minor) + (y * single['y'].price.minor) + (both * mixed.price.minor)
        goods if goods >= seller.minimum.minor
      }.min
      expect([choice.goods, choice.proven]).to eq([best, true])
      bought_mixed += 1 if choice.packs.key?(mixed)
    end
    expect(bought_mixed).to be_between(3, 19)
  end

  # Two packs of 100 for 8.00 beat five of 50 for 4.50 and one of 250 for 20.00.
  it 'mixes pack sizes' do
    packs = [[50, 450], [100, 800], [250, 2000]].map { |size, price| [offer('a', 'x', size, price), size] }
    expect({ 200 => 1600, 150 => 1250, 240 => 2000, 1 => 450 }.map { |units, cost|
      Core::Supply::PackCover.of(units, packs).cost - cost
    }).to all(eq(0))
  end

  describe 'the stock, shared among classes' do
    let(:table) { sample_table }
    let(:people) { [attendee(1, 160), attendee(2, 170)] }
    let(:plan) { plan_for(bracelet, people) }
    let(:rounds) { plan.needs.find { |need| need.part.key == 'round_8' }.count + plan.spares[table.part('round_8')].shared }
    let(:market) {
      Core::Supply::Market.of([offer('a', 'round_8', 25, 200), offer('a', 'cable', 5_000_000_000, 300, unit: :reel, kind: :line)],
        { 'a' => supplier('a', delivery: 90) }, 'EUR')
    }

    def allocated(stock, **rest)
      Core::Supply::Allocation.new(stock, market, **rest).call(%w[first second].to_h { |key| [key, Core::Supply::StockDemand.of(plan)] })
    end

    def row(supply, key)
      supply.parts.find { |part| part.part.key == key }
    end

    # Division: 2.00 for 25, 6.00 for 100.
    it 'values a part by its cheapest pack' do
      both = Core::Supply::Market.of([offer('a', 'round_8', 25, 200), offer('b', 'round_8', 100, 600)],
        { 'a' => supplier('a'), 'b' => supplier('b') }, 'EUR')
      expect([both, market].map { |one| one.unit_cost(table.part('round_8')) }).to eq([6, 8])
    end

    it 'gives what there is to the class that was planned first, and tells the other whom it went to' do
      first, second = allocated(Core::Supply::Stock.new(parts: { 'round_8' => rounds + 3 })).values.map { |supply|
        row(supply, 'round_8')
      }
      expect([first.short,
              first.short_for_others?,
              second.from_stock,
              second.short,
              second.short_for_others?,
              second.claimed_by]).to eq([0, false, 3, rounds - 3, true, ['first']])
    end

    it 'keeps for a class what was bought for it, and does not order again what is on its way' do
      stock = Core::Supply::Stock.new(parts: { 'round_8' => rounds })
      first, second = allocated(stock, bought: { 'second' => stock },
        due: { 'first' => Core::Supply::Stock.new(parts: { 'round_8' => 4 }) }).values.map { |supply|
        row(supply, 'round_8')
      }
      expect([first.from_stock, first.short, second.from_stock, second.short]).to eq([0, rounds - 4, rounds, 0])
    end

    it 'is not short for others where it is not short' do
      lines = allocated(Core::Supply::Stock.new(lines: { 'cable' => { mm(2000) => 2 } })).values.map { |supply| supply.line('cable') }
      expect(lines.map { |line| [line.short, line.short_for_others?] }).to eq([[{}, false]] * 2)
    end

    it 'cuts from a reel on its way like from one on the shelf' do
      one = Core::Supply::Stock.new(lines: { 'cable' => { mm(400) => 1 } })
      cuts = allocated(one, due: { 'first' => one })['first'].line('cable').cuts
      expect([cuts.on_hand.map(&:length), cuts.new_reels]).to eq([[mm(400)] * 2, []])
    end

    it 'gives the last reel once' do
      first, second = allocated(Core::Supply::Stock.new(lines: { 'cable' => { mm(2000) => 1 } })).values.map { |supply|
        supply.line('cable')
      }
      expect([first.opened,
              first.short,
              second.opened,
              second.short,
              second.short_for_others?,
              second.claimed_by]).to eq([{ mm(2000) => 1 }, {}, {}, { mm(5000) => 1 }, true, ['first']])
    end

    it 'orders what is short, says what nobody offers, and adds up' do
      order = allocated(Core::Supply::Stock.new)['first'].order
      expect(order.purchases.map { |bought| [bought.item.key, bought.number] }).to eq([['cable', 1], ['round_8', (rounds / 25.0).ceil]])
      expect(order.total.minor).to eq(300 + (200 * (rounds / 25.0).ceil) + 90)
      expect(order.unoffered.map { |item, _| item.key }).to include('crimp', 'clasp')
    end

    it 'leaves the stock as it should be when kits are taken: no more parts, the rest of each bar kept' do
      supply = allocated(Core::Supply::Stock.new(lines: { 'cable' => { mm(2000) => 1 } }))['first']
      left = supply.line('cable').cuts.bars.first.left
      lines = Core::Supply::Taking.entries(supply, 1).select { |entry| entry.kind == :line }
      expect(lines.map { |entry| [entry.length, entry.quantity, entry.reason] }).to eq([[mm(2000), -1, :taken], [left, 1, :offcut]])
    end

    it 'prices scrap less what it brings' do
      supply = allocated(Core::Supply::Stock.new(lines: { 'cable' => { mm(330) => 2 } }))['first']
      silver = supply.with(lines: supply.lines.map { |one| one.with(line: one.line.with(material: 'silver', scrap_price: 90)) })
      lost, less = [supply, silver].map { |one| Core::Price::Seat.of(plan, one, market).wastage.minor }
      expect([silver.lines.sum(&:scrap_brings), lost - less]).to match([be > 10, be_within(1).of(silver.lines.sum(&:scrap_brings))])
    end

    # By hand: fixed 87.50 + 40 + 10 = 137.50; two people; 10 % of the price is margin.
    # By hand: (100 / 4 + 20) / 0.8 = 56.25 without tax, 70.3125 with 25 of 100, up to 70.50. Four seats bring 282, of which 282 / 1.25 =
    # 225.60 are no tax; 180 are spent. A seat without tax, 56.40, leaves 36.40 beyond its own materials: 100 / 36.40 = 2.7 people.
    it 'adds value added tax to a seat, and pays it before anything is left over' do
      euro = ->(amount) { Core::Money.new(minor: (amount * 100).round, currency: 'EUR') }
      seat = Core::Price::Seat.new(materials: euro[70], wastage: euro[10], time: euro[60], venue: euro[30], tools: euro[10], people: 4,
        unpriced: [], margin: 20, rounding: 50, vat: 25)
      found = [seat.price, seat.tax, seat.gain, seat.with(vat: 0).price, seat.with(vat: 0).tax, seat.left_of(euro[100])]
      expect(found).to eq([70.5, 56.4, 45.6, 56.5, 0, -100].map(&euro))
      expect(seat.break_even).to eq(3)
    end

    it 'prices a seat so that cost and margin are in it, and says from how many people it pays' do
      seat = Core::Price::Seat.of(plan, allocated(Core::Supply::Stock.new)['first'], market)
      expect(seat.fixed.minor).to eq(13_750)
      expect(seat.price.minor).to eq(((seat.total.minor/2r/0.9r) / 50).ceil * 50)
      expect([seat.break_even, seat.shares.sum(&:minor)]).to eq([2, seat.total.minor])
      expect((1..30).map { |number| seat.price_for(number) }.each_cons(2)).to all(satisfy { |fewer, more| fewer >= more })
    end
  end

  it 'keeps kits for late sign-ups in every sum, at the size asked for' do
    people = [150, 170, 210].each_with_index.map { |wrist, i| attendee(i, wrist) }
    measures = %i[median largest].map do |size|
      supply = Core::Setup::SupplySettings.new(extra_kits: 2, extra_size: size)
      plan = Core::Planning::Plan.for(workshop: workshop.with(supply: supply), design: bracelet, attendees: people, table: sample_table)
      expect(plan.needs.find { |need| need.part.key == 'clasp' }.count).to eq(5)
      plan.extras.map { |extra| extra.measure.to_mm }
    end
    expect(measures).to eq([[170, 170], [210, 210]])
  end

  it 'tells kits that differ by size apart, and none that are alike' do
    plan = plan_for(bracelet, [attendee(1, 160), attendee(2, 190), attendee(3, 160)])
    expect(Core::Supply::Kits.new(plan).letters).to eq('1' => 'A', '2' => 'B', '3' => 'A')
  end

  {
    [[5000, 5010, 4990], 10.0] => [500, 2],
    [[0, 0, 10], 10.0] => [0, 1],
    [[-20, -10, 0], 10.0] => [0, 2]
  }.each do |(readings, mass), (count, spread)|
    it("takes #{readings} mg of #{mass} mg beads for #{count}") {
      expect(Core::Supply::WeighIn.of(readings, mass).then { |w|
        [w.count, w.spread]
      }).to eq([count, spread])
    }
  end
end
