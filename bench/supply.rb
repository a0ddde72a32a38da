# frozen_string_literal: true

# From needs to the order: 24 people, 40 parts from three suppliers (aim: under 50 ms), 24 handouts as PDF (aim: under 5 s), a price list
# of 50,000 rows.
# Run: bundle exec ruby --yjit -I. bench/supply.rb
require_relative 'support'

S = Core::Supply
rng = Random.new(2)
euro = ->(minor) { Core::Money.new(minor: minor, currency: 'EUR') }
suppliers = %w[a b c].to_h { |key| [key, S::Supplier.new(key: key, name: key, delivery: euro.(rng.rand(0..5) * 100),
  minimum: euro.(rng.rand(0..2) * 1000))] }
parts = (1..40).map { |i| Core::Catalogue::Part.new(key: "p#{i}", name: "part #{i}", kind: i < 30 ? :bead : :ring, along: Bench.mm(6),
  outer: Bench.mm(6)) }
offers = parts.flat_map do |part|
  cost = rng.rand(2..20)
  suppliers.keys.sample(rng.rand(1..3), random: rng).flat_map { |key| [10, 25, 100, 250].sample(rng.rand(1..3),
    random: rng).map { |size| S::Offer.new(supplier: key, kind: :part, item: part.key, unit: :piece, amount: size,
      price: euro.(size * cost)) } }
end
market = S::Market.of(offers, suppliers, 'EUR')
Person = Struct.new(:needs, :attendee)
people = (1..24).map { |i| Person.new(parts.map { |part| Core::Materials::Need.new(part: part, count: rng.rand(1..20)) },
  Core::People::Attendee.new(key: i.to_s, name: '', level: 1 + (i % 5))) }
run = lambda do
  needs = Core::Materials::Need.sum(people.flat_map(&:needs))
  spares = Core::Materials::Spares.of(people)
  supplies = needs.map { |need| S::PartSupply.new(part: need.part, used: need.count, spares: spares[need.part].shared, on_hand: 20,
    reserved: 5, claimed_by: []) }
  S::Order.for(supplies, [], market)
end
order = run.call
puts "needs, spares, packs, order, 24 × 40   #{Bench.summary(Bench.milliseconds(30,
  &run))}  (#{order.purchases.size} packs chosen, #{order.proven ? 'proven' : 'not proven'})"

studio = Bench.studio
plan = Bench.inputs(studio).plan
puts "24 handouts as PDF                     #{Bench.summary(Bench.milliseconds(3) {
  Formats::Pdf::Handouts.new(plan, span: 300.0).render
})}"
lines = File.readlines(File.join(EagerBench::ROOT, 'standins', 'price_list.csv'))
list = lines.first + (1..50_000).map { |i| lines[1 + (i % (lines.size - 1))].sub(/\A[^;]*/, "A#{i}").sub(/;\d+;/, ";#{i};") }.join
puts "price list of 50,000 rows              #{Bench.summary(Bench.milliseconds(3) {
  Formats::PriceList.new(list, studio.catalogue.table, studio.market.all, 'post_findings')
})}"
