# frozen_string_literal: true

require_relative '../studio_helper'
require_relative '../support/figures'

# What the demo's classes take, lack and buy, and what a seat costs: Allocation, PartSupply, LineSupply, PackProgram, PackCover, ReelChoice,
# Cutting, PurchaseOrder, Kits, Leftovers, Seat.
RSpec.describe Core::Supply do
  let(:studio) { new_studio }
  let(:results) { results_of(studio) }

  def figures(result)
    supply = result.supply or return { none: true }
    seat = result.seat_costs
    { short: supply.short, uncuttable: supply.uncuttable.map { |one| one.line.key }, from_stock: supply.from_stock,
      parts: supply.parts.to_h { |one| [one.part.key, one.to_h.merge(short: one.short, from_stock: one.from_stock)] },
      lines: supply.lines.to_h { |one| [one.line.key, one.to_h] }, order: supply.order.to_h,
      seat: seat && seat.to_h.merge(price: seat.price),
      kits: Core::Supply::Kits.new(result.plan).all.map { |kit| [kit.letter, kit.key, kit.items] },
      leftovers: result.leftovers }
  end

  it 'comes to the same as when it was last looked at' do
    found = studio.classes.all.map { |stored| results.of(stored.id) }.select(&:plan).to_h { |result| [result.id.to_s, figures(result)] }
    ways = %i[price fewest waste].product([0, 60]).to_h do |reels, offcuts|
      studio.classes.edit(1, studio.classes.find(1).revision, 'x') do |state|
        state.with(workshop: state.workshop.with(supply: state.workshop.supply.with(reels: reels, offcuts: offcuts,
          fill_up: offcuts.zero?)))
      end
      ["#{reels} #{offcuts}", figures(results_of(studio).of(1))]
    end
    expect(Figures.differ('supply', found.merge(ways))).to eq([])
  end
end
