# frozen_string_literal: true

require 'nokogiri'
require_relative '../web_helper'

RSpec.describe Web::Routes::Learning, type: :request do
  def learnt
    get '/techniques/learnt'
    app_settings.lessons.ask.wait(Studios::PATIENCE)
    get '/techniques/learnt'
    Nokogiri::HTML(page).css('tbody tr').to_h { |row| [row.at('th').text, row.css('td').map { |cell| cell.text.strip }] }
  end

  # What it is about, and where the studio keeps what it plans with.
  {
    'time/stringing' => ['Stringing', ->(studio) { studio.catalogue.table.technique('stringing').seconds },
      ->(value) { "#{format('%g', value)} s" }],
    'loss/crimp' => ['Crimps', ->(studio) { studio.settings.calibration.losses.fetch('crimp', Core::Materials::Loss.usual(:crimp)) },
                     ->(value) { "#{format('%.1f', value * 100)} of 100" }],
    'people/between' => ['How much people of one level differ', ->(studio) { studio.settings.calibration.between },
          ->(value) { "#{(value * 100).round} %" }],
    'people/help_minutes' => ['One visit of yours, without the wait for it', ->(studio) { studio.settings.calibration.help_minutes },
                              ->(value) { "#{format('%.1f', value)} min" }],
    'people/help' => ['Chance of a call for help where all is new', ->(studio) { studio.settings.calibration.help },
                      ->(value) { "#{(value * 100).round} of 100" }]
  }.each do |about, (name, value, words)|
    it "shows what held classes taught about #{about}, uses it when asked, and takes it back" do
      before = value.(studio)
      row = learnt.fetch(name)
      expect(row[0]).to match(/in \d class/)
      expect([row[1], row[4]]).to eq([words.(before)] * 2)
      expect(value.(studio)).to eq(before)
      send_form('/techniques/learnt', about: about)
      now = value.(studio)
      expect([now == before, words.(now)]).to eq([false, row[2]])
      # The same classes teach the same again, also after other plans.
      expect(learnt.fetch(name)[1..4]).to eq([row[1], row[2], row[3], row[2]])
      send_form('/techniques/paces', pace_1: '2.3')
      expect(value.(studio)).to eq(now)
      send_form('/techniques/learnt/back', about: about)
      expect(value.(studio)).to eq(before)
    end
  end

  it 'learns of parts that were no good until a new lot comes' do
    id = studio.live_events.taught.keys.first
    part = plan_of(id).needs.map(&:part).find(&:bead?)
    start = studio.live_events.of(id).find { |event| event.kind == :start }.at
    bad = (1..6).map { |i|
      Core::Live::Event.new(key: "bad#{i}".ljust(12, '0'), kind: :reject, at: start + 60 + i, person: '1', detail: part.key)
    }
    studio.live_events.append_all(id, bad)
    row = learnt.fetch(part.name)
    expect(row[0]).to match(/\A6 of \d+ no good, in \d class/)
    send_form('/techniques/learnt', about: "lot/#{part.key}")
    rate = studio.settings.calibration.rejects.fetch(part.key)
    expect([rate > part.reject_rate, row[2]]).to eq([true, "#{format('%.1f', rate * 100)} of 100"])
    send_form("/stockroom/parts/#{part.key}/stock", reason: 'received', quantity: '50')
    expect([studio.settings.calibration.rejects, studio.lessons.before.key?("lot/#{part.key}")]).to eq([{}, false])
    expect(learnt.keys).not_to include(part.name)
  end

  # Pieces that come out longer by x need x less ease, however often it is asked.
  it 'offers the ease with which pieces come out as they were wanted' do
    id = studio.live_events.taught.keys.first
    key = plan_of(id).design.key
    design = -> { studio.projects.find(key).design }
    first = design.().ease
    row = learnt.fetch(design.().name)
    send_form('/techniques/learnt', about: "length/#{key}")
    expect([design.().ease == first, Formats::LengthPrint.call(design.().ease, :mm)]).to eq([false, row[2]])
    expect(learnt.fetch(design.().name)[2]).to eq(row[2])
    send_form('/techniques/learnt/back', about: "length/#{key}")
    expect(design.().ease).to eq(first)
  end

  it 'learns prices from what was paid' do
    send_form('/classes/1/order', supplier: 'stall')
    ordered = studio.orders.of(1).find(&:price)
    send_form('/classes/1/receive', supplier: 'stall', "paid[#{ordered.id}]": 'a lot', "came[#{ordered.id}]": '1', place: 'kits')
    expect([last_response.status, page]).to match([422, include('an amount such as 12.50', 'value="a lot"')])
    send_form('/classes/1/receive', supplier: 'stall', "paid[#{ordered.id}]": '99.00', place: 'kits')
    offer = -> { studio.market.all.offers.find { |one| [one.supplier, one.item] == ['stall', ordered.item] } }
    before = offer.().price
    expect([learnt.values.map(&:first), page]).to match([include(match(/packs? in 1 delivery/)), include('Prices paid')])
    about = page[%r{value="(price/stall/\w+/#{ordered.item}/[^"]+)"}, 1]
    send_form('/techniques/learnt', about: about)
    packs = before.minor.zero? ? 1 : ordered.price / before.minor
    expect(offer.().price.minor).to eq((9900.0 / packs).round)
    send_form('/techniques/learnt/back', about: about)
    expect(offer.().price).to eq(before)
  end

  it 'says what changed in words, and leaves what is to stay as it is' do
    learnt
    send_form('/techniques/learnt/fix', about: 'time/measuring', fixed: '1')
    send_form('/techniques/learnt', about: 'time/stringing')
    follow_redirect!
    expect(Nokogiri::HTML(page).at('.notice').text).to match(/Stringing: [\d.]+ s \(was [\d.]+ s\), from \d+ tries in \d classes?\./)
    before = studio.catalogue.table.technique('measuring').seconds
    send_form('/techniques/learnt', all: '1')
    expect(studio.catalogue.table.technique('measuring').seconds).to eq(before)
    expect(studio.lessons.before.keys).to include('people/help', 'loss/crimp', 'time/trimming')
    send_form('/techniques/learnt/fix', about: 'time/measuring', fixed: '0')
    send_form('/techniques/learnt', all: '1')
    expect(studio.catalogue.table.technique('measuring').seconds).not_to eq(before)
  end

  it 'learns nothing from a class that is left out, says so, and lets old classes count less' do
    stringing = studio.catalogue.table.technique('stringing').name
    taught = studio.live_events.taught.keys
    expect(learnt.fetch(stringing)[0]).to end_with("in #{taught.size} classes")
    send_form("/classes/#{taught.first}/note", teaches: '0', taken: '', remark: 'Too loud',
      revision: studio.classes.find(taught.first).revision.to_s)
    expect(studio.classes.find(taught.first).state.workshop.note).to eq(Core::Setup::Note.new(remark: 'Too loud', teaches: false))
    expect(learnt.fetch(stringing)[0]).to end_with("in #{taught.size - 1} classes")
    expect(page).to include('left out')
    wide = learnt.fetch(stringing)[3]
    send_form('/techniques/learnt/fade', months: '1')
    expect(studio.settings.fade_months).to eq(1)
    expect(learnt.fetch(stringing)[3]).not_to eq(wide)
    send_form('/techniques/learnt/fade', months: 'soon')
    expect(last_response.status).to eq(422)
    expect(Nokogiri::HTML(page).at('#field-months')['value']).to eq('soon')
  end

  it 'takes a held class out as a file and in again, with all that was tapped' do
    id = studio.live_events.taught.keys.first
    get "/classes/#{id}/file"
    file = page
    expect(JSON.parse(file)['class']).not_to have_key('note')
    send_form('/import', document: file)
    copy = last_response['location'][/\d+\z/].to_i
    expect(studio.live_events.of(copy)).to eq(studio.live_events.of(id))
    send_form('/import', document: file.sub('"next"', '"dance"'))
    expect([last_response.status, page]).to match([422, include('/live/')])
  end

  it 'counts a repeated class as one of its own' do
    id = studio.live_events.taught.keys.first
    before = learnt.fetch('Stringing')[0][/in (\d) class/, 1].to_i
    send_form("/classes/#{id}/repeat", once: 'c' * 32)
    again = last_response['location'][/\d+\z/].to_i
    studio.live_events.append_all(again, studio.live_events.of(id))
    expect(learnt.fetch('Stringing')[0]).to end_with("in #{before + 1} classes")
  end

  it 'stands what cannot be used' do
    learnt
    [{ about: 'time/no_such' }, { about: { a: 1 } }, { about: 'nothing' }, {}].each do |fields|
      %w[/techniques/learnt /techniques/learnt/back /techniques/learnt/fix].each do |path|
        send_form(path, **fields)
        expect(last_response.status).to eq(303)
      end
    end
    expect([studio.lessons.before, studio.lessons.fixed]).to eq([{}, []])
  end

  it 'counts a class of which only the end was written down in what was told and what came true' do
    revision = studio.classes.find(2).revision.to_s
    known = -> { learnt && page[/it is known of (\d+) so far/, 1].to_i }
    before = known.()
    { ended: ['half past', 'such as 18:30'], unfinished: ['some', 'whole number'] }.each do |field, (text, words)|
      send_form('/classes/2/note', field => text, place: 'afterwards', revision: revision)
      expect([last_response.status, page]).to match([422, include(words, %(value="#{text}"))])
    end
    send_form('/classes/2/note', ended: '11:20', unfinished: '0', place: 'afterwards', revision: revision)
    expect(studio.classes.find(2).state.workshop.note.in_time?(studio.classes.find(2).state.workshop)).to be(true)
    expect(known.()).to eq(before + 1)
  end

  it 'notes money taken and what to do the next time, and says what is left over' do
    id = studio.live_events.taught.keys.first
    revision = -> { studio.classes.find(id).revision.to_s }
    send_form("/classes/#{id}/note", taken: '150.50', remark: "=1+1 <b>\nlouder", revision: revision.())
    expect(studio.classes.find(id).state.workshop.note).to eq(Core::Setup::Note.new(taken: 15_050, remark: '=1+1 <b> louder'))
    get "/classes/#{id}/afterwards"
    expect(page).to include('Taken: 150.50 EUR. What a class cost is kept')
    send_form('/classes/1/note', taken: '150.50', revision: '1')
    get '/classes/1/afterwards'
    expect(page).to match(/Taken: 150\.50 EUR. 12 seats at ([\d.]+ EUR) come to .* The class cost [\d.]+ EUR, so [\d.]+ EUR are missing/)
    send_form("/classes/#{id}/note", taken: 'lots', remark: 'kept', place: 'afterwards', revision: revision.())
    expect([last_response.status, page]).to match([422, include('Give an amount such as 12.50', 'value="lots"', 'kept')])
  end
end
