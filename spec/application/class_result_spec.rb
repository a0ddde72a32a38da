# frozen_string_literal: true

require_relative '../studio_helper'

# A part's digest changes when what it is worked out from does, and else stays: pages show a section again by it.
RSpec.describe Application::ClassResult do
  let(:studio) { new_studio }
  let(:id) { 1 }
  let(:results) { results_of(studio) }

  def edit(number = id, &block)
    studio.classes.edit(number, studio.classes.find(number).revision, 'x', &block)
  end

  def session(**changes)
    edit { |state| state.with(workshop: state.workshop.with(session: state.workshop.session.with(**changes))) }
  end

  {
    'a name' => [->(s) {
      s.edit { |state|
        state.replacing(state.attendee('1').with(name: 'Vesna'))
      }
    },
                 %i[plan stored],
                 %i[catalogue market projects orders packed]],
    'an assistant' => [->(s) { s.session(assistants: 1) }, %i[plan model], %i[catalogue market taken packed]],
    'a price' => [->(s) {
      s.studio.market.save([s.studio.market.all.offers.first.then { |one|
        one.with(price: one.price * 2)
      }])
    },
                  %i[market],
                  %i[plan model catalogue packed]],
    'the stock' => [->(s) { s.studio.ledger.post([s.entry('round_8_smoke', 5)]) }, %i[supply], %i[plan model catalogue]],
    'a technique' => [->(s) {
      s.studio.catalogue.save(:techniques, [s.studio.catalogue.table.technique('stringing').with(seconds: 99.0)])
    },
                      %i[catalogue plan model],
                      %i[market packed]],
    'a packed bag' => [->(s) { s.studio.packing.mark(s.id, { %w[1 part:round_8_smoke] => 4 }) }, %i[packed], %i[plan supply market]],
    'another class' => [->(s) { s.edit(2) { |state| state.without('1') } }, %i[], %i[plan model packed stored]],
    'the unit' => [->(s) { s.studio.update(unit: 'in') }, %i[], %i[plan supply model packed stored catalogue]]
  }.each do |what, (change, differ, same)|
    it "notices a change of #{what} where it matters, and only there" do
      parts = differ + same
      before = parts.to_h { |part| [part, results.of(id).digest(part)] }
      instance_exec(self, &change)
      changed = parts.reject { |part| results.of(id).digest(part) == before[part] }
      expect([changed & differ, changed & same]).to eq([differ, []])
    end
  end

  def entry(item, quantity)
    Core::Supply::Entry.new(kind: :part, item: item, quantity: quantity, reason: :received, length: nil)
  end

  it 'shares what is worked out between all who ask, and begins no work' do
    first = results.of(id)
    expect([results.of(id).plan.equal?(first.plan), results.of(id).model.equal?(first.model)]).to eq([true, true])
    expect(first.forecasting).to eq(Application::Work::Job::UNASKED)
    expect(first.verdicts.find { |verdict| verdict.section == :clock }.status).to eq(:awaited)
  end

  it 'has a digest for every part of every class, also when its kits are ordered, received, packed and taken' do
    kits = kit_stock
    every = -> {
      studio.classes.all.product(described_class::PARTS) { |one, part| expect(results.of(one.id).digest(part)).to be_a(String) }
    }
    every.call
    results.of(id).supply.order.by_supplier.each_key { |supplier| kits.order(id, supplier) }
    every.call
    kits.receive(id, studio.orders.of(id).to_h { |ordered| [ordered.id, ordered.due] })
    studio.packing.mark(id, { %w[1 part:round_8_smoke] => 4 })
    expect(kits.take(id)).to be_truthy
    every.call
  end

  it 'tells a class that cannot be built by its problem, and plans the others' do
    saved = studio.projects.save(studio.projects.find('comet_tail').design.with(key: 'empty', name: 'Empty', components: []))
    edit { |state| state.with(project_version_id: saved.id) }
    expect([results.of(1).plan, results.of(1).problem&.code, results.of(2).plan.nil?]).to match([nil, anything, false])
    expect(results.of(1).verdicts).to eq([])
  end
end
