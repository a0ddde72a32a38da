# frozen_string_literal: true

require_relative '../web_helper'
require 'nokogiri'

RSpec.describe Web::Routes::Supplies, type: :request do
  def stock
    studio.ledger.stock
  end

  {
    { reason: 'received', quantity: '25' } => 25,
    { reason: 'counted', quantity: '7' } => -19,
    { reason: 'counted', quantity: '26' } => 0,
    { reason: 'adjusted', quantity: '-3', note: 'dropped' } => -3,
    { reason: 'weighed', quantity: '6.7' } => -16
  }.each do |typed, change|
    it "enters #{typed} as #{change}" do
      send_form('/stockroom/parts/round_8_smoke/stock', **typed)
      expect([last_response.status, stock.part('round_8_smoke')]).to eq([303, 26 + change])
    end
  end

  {
    { reason: 'adjusted', quantity: '-27', note: 'lost' } => 'below zero: 26 on the shelf',
    { reason: 'adjusted', quantity: '2', note: '' } => 'Say why',
    { reason: 'adjusted', quantity: '0', note: 'x' } => 'how many more or fewer',
    { reason: 'received', quantity: 'some' } => 'whole number',
    { reason: 'received', quantity: '0' } => 'whole number',
    { reason: 'weighed', quantity: '-1' } => 'Give grams',
    { reason: 'stolen', quantity: '1' } => 'Choose what happened'
  }.each do |typed, message|
    it "answers #{typed} with #{message.inspect}, and keeps it" do
      expect { send_form('/stockroom/parts/round_8_smoke/stock', note: 'kept so', **typed) }.not_to(change { stock })
      expect([last_response.status, page]).to match([422, a_string_including(message)])
    end
  end

  { 'ten' => 'with its unit', '0 mm' => 'up to 1000 m', '5 km' => 'with its unit' }.each do |length, message|
    it("answers a bar of #{length.inspect} with #{message.inspect}") do
      send_form('/stockroom/lines/cable_038/stock', reason: 'received', quantity: '1', length: length)
      expect([last_response.status, page]).to match([422, a_string_including(message)])
    end
  end

  it 'receives reels and reads the scale' do
    send_form('/stockroom/lines/cable_038/stock', reason: 'received', quantity: '2', length: '10 m')
    expect(stock.bars('cable_038')[mm(10_000)]).to eq(2)
    get '/stockroom/parts/seed_11_mist/stock?scale=1'
    expect(page).to match(/Readings agree on <b>8\.\d\d g/)
  end

  {
    { unit: 'piece', amount: '0', price: '1' } => 'above 0',
    { unit: 'gram', amount: 'x', price: '1' } => 'how much is in a pack',
    { unit: 'piece', amount: '5', price: '-1' } => 'not below zero',
    { unit: 'reel', amount: '5', price: '1' } => 'how it is sold',
    { unit: 'piece', amount: '5', price: '1', supplier: 'x' } => 'Choose a supplier'
  }.each do |typed, message|
    it "answers the offer #{typed} with #{message.inspect}" do
      send_form('/stockroom/parts/round_8_smoke/offers', supplier: 'stall', article: 'mine', **typed)
      expect([last_response.status, page]).to match([422, a_string_including(message, 'value="mine"')])
    end
  end

  it 'enters an offer that the next order uses, and takes it out again' do
    offers = -> { studio.market.all.offers.count { |offer| offer.item == 'round_8_smoke' } }
    before = offers.call
    send_form('/stockroom/parts/round_8_smoke/offers', supplier: 'stall', unit: 'piece', amount: '8', price: '0.01')
    expect(supply_of(1).order.purchases.find { |bought| bought.item.key == 'round_8_smoke' }.offer.amount).to eq(8)
    send_form('/stockroom/parts/round_8_smoke/offers/remove', offer: 'stall/part/round_8_smoke/piece/8')
    expect(offers.call).to eq(before)
  end

  it 'sells an assortment: ordered once, it brings all that is in it, and every part says so' do
    name = studio.catalogue.table.part('round_6_frost').name
    sell = ->(also) {
      send_form('/stockroom/parts/round_8_smoke/offers', supplier: 'stall', unit: 'piece', amount: '300', price: '0.10', article: '',
        also: also)
    }
    ['twenty of it', '20 no such bead', '0 round_6_frost'].each do |also|
      sell.(also)
      expect([last_response.status, page]).to match([422, include(CGI.escapeHTML(also), 'is no number and part')])
    end
    sell.("200 #{name}\n50 x round_10_tide")
    expect(last_response.status).to eq(303)
    get '/stockroom/parts/round_6_frost/stock'
    expect(page).to include('300 pieces, 550 with others', "with 200 × #{name}")
    get '/classes/1/kits'
    expect(page).to include('300 pieces, 550 with others')
    get '/classes/1/order.csv'
    expect(page.force_encoding('UTF-8')).to match(/with [24]00 × #{name}/)
    send_form('/classes/1/order', supplier: 'stall')
    ordered = studio.orders.of(1).to_h { |one| [one.item, one.units] }
    packs = ordered['round_8_smoke'] / 300
    expect(ordered.slice('round_6_frost', 'round_10_tide')).to eq('round_6_frost' => 200 * packs, 'round_10_tide' => 50 * packs)
  end

  it 'enters a supplier, and says what is wrong with one' do
    send_form('/stockroom/suppliers', name: 'Corner shop', delivery: '2.50')
    expect(studio.market.all.suppliers['corner_shop'].delivery.minor).to eq(250)
    send_form('/stockroom/suppliers', name: '', delivery: 'free', minimum: '3')
    expect([last_response.status, page]).to match([422, a_string_including('Give a name', 'such as 4.50', 'value="free"')])
  end

  it 'reckons in another currency, and in none it does not know' do
    send_form('/settings/currency', currency: 'GBP')
    get '/classes/1'
    expect(page).to include('GBP')
    send_form('/settings/currency', currency: 'beads')
    expect(studio.market.all.currency).to eq('GBP')
  end

  # Follows a piece of work to its end.
  def finished(path)
    Studios::RUNNER.find(path[%r{[^/]+\z}]).wait(Studios::PATIENCE)
    get path
  end

  def read_list(**fields)
    send_form('/stockroom/prices', supplier: 'post_findings', **fields)
    path = last_response['Location']&.sub('http://127.0.0.1', '')
    finished(path) if path
    path
  end

  it 'shows what a price list was taken for before it saves anything' do
    before = studio.market.all.offers.size
    path = read_list(list: "name,unit,content,price\n\"2 mm crimp tube, silver tone\",pieces,77,1.50\n" \
                           "something else,pieces,5,1\nbad,pieces,0,1\n")
    expect([page, studio.market.all.offers.size]).to match([a_string_including('Sure: <b>1</b>', 'something else', 'above 0'), before])
    send_form(path, 'item[3]': 'clasp_12_steel')
    added = studio.market.all.offers.select { |offer| [77, 5].include?(offer.amount) }.to_h { |offer| [offer.amount, offer.item] }
    expect(added).to include(77 => 'crimp_2_silver')
  end

  it 'says what is wrong with a list as a whole, and that none was given' do
    read_list(list: "name,price\nx,1\n")
    expect(page).to include('lacks the column unit, amount')
    read_list(list: '', supplier: 'x')
    expect([last_response.status, page]).to match([422, a_string_including('Choose whose list', 'paste the list')])
  end

  describe 'what is chosen for a class' do
    def choose(**fields)
      send_form('/classes/1/supply', revision: studio.classes.find(1).revision, place: 'kits', **fields)
    end

    {
      { confidence: '100', form: 'materials' } => 'from 50 to 99',
      { extra_kits: '-1', form: 'materials' } => 'from 0 to 12',
      { venue: '-5', form: 'cost' } => 'not below zero',
      { margin: '95', form: 'cost' } => 'from 0 to 80',
      { rounding: '0', form: 'cost' } => 'not below zero'
    }.each do |typed, message|
      it "answers #{typed} with #{message.inspect} and keeps it" do
        choose(**typed)
        expect([last_response.status, page]).to match([422, a_string_including(message, "value=\"#{typed.values.first}\"")])
      end
    end

    it 'changes spares, late sign-ups, tails and prices, and can be undone' do
      before = plan_of(1)
      choose(spares: 'bagged', extra_kits: '2')
      choose('tails[cable_038]': 'lean', venue: '80')
      state = studio.classes.find(1).state.workshop.supply
      expect([state.spares, state.extra_kits, state.tails_by_line, state.venue]).to eq([:bagged, 2, { 'cable_038' => :lean }, 8000])
      2.times { send_form('/classes/1/undo') }
      expect(plan_of(1).needs).to eq(before.needs)
    end
  end

  it 'packs, orders, receives in parts, takes the kits, and says what is not on the shelf' do
    send_form('/classes/1/packing', kit: '1', packed: '1')
    get '/classes/1/kits'
    expect(page).to include('<b>1</b> of <b>12</b> bags full', 'things of 123 are not packed yet')
    send_form('/classes/1/take')
    follow_redirect!
    expect(page).to include('would go below zero')
    supply_of(1).order.by_supplier.each_key { |key| send_form('/classes/1/order', supplier: key) }
    expect([supply_of(1).order.purchases, studio.orders.of(1).size]).to match([[], be_positive])
    first = studio.orders.of(1).find { |ordered| ordered.due > 1 }
    send_form('/classes/1/receive', supplier: first.supplier, "came[#{first.id}]": first.due + 1)
    expect(studio.orders.of(1).find { |ordered| ordered.id == first.id }.arrived).to eq(0)
    send_form('/classes/1/receive', supplier: first.supplier, "came[#{first.id}]": '1')
    expect(studio.orders.of(1).find { |ordered| ordered.id == first.id }.arrived).to eq(1)
    studio.orders.of(1).map(&:supplier).uniq.each { |key| send_form('/classes/1/receive', supplier: key) }
    price = result_of(studio, 1).seat_costs.price
    send_form('/classes/1/take')
    studio.market.save(studio.market.all.offers.map { |offer| offer.with(price: offer.price * 3) })
    get '/classes/1/kits'
    expect(page).to include('The kits have left the stock', "<b>#{price}</b>")
  end

  it 'ticks what was packed no longer when its number changes, and says what to add' do
    send_form('/classes/1/packing', kit: '1', packed: '1')
    send_form('/classes/1/people/1', name: 'Ilse', measure: '190 mm', body: 'wrist', level: '1', revision: studio.classes.find(1).revision)
    get '/classes/1/kits'
    expect(page).to match(/was \d+, now \d+: add \d+/)
  end

  # A form that adds carries a one-time key (OWASP, Business Logic: double submission).
  {
    '/classes/1/people' => [->(s) { s.classes.find(1).state.attendees.size }, { name: 'Twice', level: '1', body: 'wrist' }],
    '/classes' => [->(s) {
      s.classes.all.size
    },
                   { title: 'T', project: 'comet_tail', date: '2026-12-03', start: '18:00', minutes: '60', venue: '', tool_sets: '1' }],
    '/stockroom/parts/round_8_smoke/stock' => [->(s) { s.ledger.stock.part('round_8_smoke') }, { reason: 'received', quantity: '1' }],
    '/classes/1/order' => [->(s) { s.orders.of(1).size }, { supplier: 'stall' }]
  }.each do |path, (count, fields)|
    it "does #{path} once, however often it is sent" do
      sent = fields.merge(once: 'a' * 32, revision: studio.classes.find(1).revision)
      send_form(path, **sent)
      after = count.(studio)
      2.times { send_form(path, **sent) }
      expect([last_response.status, count.(studio)]).to match([be < 400, after])
    end
  end

  %w[handouts sheets labels].each do |what|
    it "makes the #{what} as a PDF" do
      few = studio.classes.find(1).state
      id = studio.classes.create(few.with(attendees: few.attendees.first(2)))
      send_form("/classes/#{id}/pdf", what: what, paper: 'LETTER', grid: 'letter-2x5', skip: 'x')
      path = last_response['Location'].sub('http://127.0.0.1', '')
      finished(path)
      get "#{path}/file"
      expect([last_response.status, last_response.body[0, 5]]).to eq([200, '%PDF-'])
    end
  end

  it('knows no job of another day') { get('/jobs/none') && expect(last_response.status).to(eq(404)) }

  describe 'prices that a class lacks' do
    let(:items) { %w[round_6_frost cable_038] }
    let(:path) { '/classes/1/missing-prices' }
    let(:table) { studio.catalogue.table }

    def strip
      Nokogiri::HTML(get('/classes/1').body).at_css('.verdicts li').text.gsub(/[[:space:]]+/, ' ').strip
    end

    before do
      market = studio.market.all
      market.offers.select { |offer| items.include?(offer.item) }.each { |offer| studio.market.remove(offer) }
    end

    it 'are told beside the price, and entered on one page' do
      expect(strip).to match(/\A[\d.]+ EUR a seat ?2 prices missing\z/)
      get path
      names = [table.part('round_6_frost').name, table.line('cable_038').name]
      expect(Nokogiri::HTML(page).css('tbody th').map(&:text)).to match_array(names)
      send_form(path, supplier: 'stall',
        amount: { 'part:round_6_frost' => '40', 'line:cable_038' => '' }, price: { 'part:round_6_frost' => '3.20' })
      expect([last_response.status, studio.market.all.unit_cost(table.part('round_6_frost'))]).to eq([303, 8])
      expect(strip).to end_with('1 price missing')
      send_form(path, supplier: 'stall', amount: { 'line:cable_038' => '10' }, price: { 'line:cable_038' => '4,00' })
      expect(strip).to match(/\A[\d.]+ EUR a seat\z/)
      expect(get(path).body).to include('has a price')
    end

    { { supplier: 'stall' } => 'at least one pack',
      { supplier: 'x', amount: { 'part:round_6_frost' => '4' }, price: { 'part:round_6_frost' => '3' } } => 'Choose a supplier',
      { supplier: 'stall', amount: { 'part:round_6_frost' => '4' }, price: { 'part:round_6_frost' => 'dear' } } =>
        'Give the price of a pack',
      { supplier: 'stall', price: { 'part:round_6_frost' => '3' } } => 'Give how many are in a pack',
      { supplier: 'stall', amount: { 'part:none' => '4' }, price: { 'part:none' => '3' } } => 'at least one pack',
      { amount: 'x', price: ['y'] } => 'at least one pack' }.each do |typed, message|
      it "answer #{typed} with #{message.inspect}, and keep what was typed" do
        expect { send_form(path, **typed) }.not_to(change { studio.market.all.offers.size })
        expect([last_response.status, page]).to match([422, a_string_including(message)])
        expect(page).to include('value="dear"') if typed.to_s.include?('dear')
      end
    end
  end
end
