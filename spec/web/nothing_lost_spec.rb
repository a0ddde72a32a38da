# frozen_string_literal: true

require 'nokogiri'
require_relative '../web_helper'

# What a person entered stays until they change it themselves.
RSpec.describe Web::App, 'keeping what was entered', type: :request do
  let(:places) { ['', '/kits', '/evening', '/afterwards'] }

  def state(id = 1)
    studio.classes.find(id).state
  end

  def edit(id = 1, &block)
    studio.classes.edit(id, studio.classes.find(id).revision, 'x', &block)
  end

  # @return [Array<Array(String, Hash)>] address and fields of each form of a page, as a browser would send it untouched
  def forms_of(path)
    get path
    document = Nokogiri::HTML(page)
    document.css('form[method=post]').map do |form|
      outside = form['id'] ? document.css("[form='#{form['id']}'][name]") : []
      fields = [*form.css('input[name], select[name], textarea[name]'), *outside].reject { |field|
        field['type'] == 'file' || field.key?('disabled')
      }
      sent = fields.reject { |field| %w[checkbox radio].include?(field['type']) && !field.key?('checked') }
      [form['action'], sent.to_h { |field| [field['name'], value_of(field)] }]
    end
  end

  def value_of(field)
    return (field.at('option[selected]') || field.at('option'))&.then { |option| option['value'] || option.text } if field.name == 'select'

    field.name == 'textarea' ? field.text.delete_prefix("\n") : field['value'] || (field['type'] == 'checkbox' ? 'on' : '')
  end

  it 'changes nothing when a form is sent as it was shown' do
    edit do |now|
      now.with(workshop: now.workshop.with(venue: 'Hall'), attendees: now.attendees.each_with_index.map { |person, i|
        i.zero? ? person.with(ease: mm(7.25), notes: 'sits near the door', measures: person.measures.merge(wrist: mm(131.875))) : person
      })
    end
    kept = %r{/(settings|piece|supply|teaching|session|needs|more|people/\d+|assumed-size)\z}
    sent = places.flat_map { |place| forms_of("/classes/1#{place}") }.select { |action, _| action.match?(kept) }
    expect(sent.map { |action, _| action[kept, 1] }.uniq.size).to be >= 7
    before = state
    sent.each do |action, fields|
      post action, fields
      expect([action, last_response.status]).to match([action, be < 400])
      expect(state.to_data).to eq(before.to_data), "#{action} changed the class"
    end
  end

  it 'changes what a form was changed in, and nothing else' do
    before = state.to_data
    action, fields = forms_of('/classes/1').find { |address, _| address.end_with?('/settings') }
    post action, fields.merge('venue' => 'Elsewhere', 'start' => '19:15')
    expect(state.to_data).to eq(before.merge('class' => before['class'].merge('venue' => 'Elsewhere', 'start' => '19:15')))
  end

  it 'moves a class that is past from coming to held' do
    edit { |now| now.with(workshop: now.workshop.with(date: Studios::TODAY - 1)) }
    get '/'
    lists = Nokogiri::HTML(page).css('ol.classes, #held-fold')
    expect(lists.map { |list| list.text.include?(state.workshop.title) }).to eq([false, true])
  end

  it 'puts two composers of one draft together, and asks where they meet' do
    drafts = studio.drafts
    id = drafts.begin(studio.projects.find('comet_tail').design)
    seen = drafts.find(id).state
    drafts.change(id, seen) { |design| design.with(name: 'Mine') }
    drafts.change(id, seen) { |design| design.with(ease: mm(11)) }
    expect(drafts.find(id).design).to have_attributes(name: 'Mine', ease: mm(11))
    expect { drafts.change(id, seen) { |design| design.with(name: 'Theirs') } }.to raise_error(Store::Conflict)
  end

  it 'erases a removed person from every state, and says first that it is for good' do
    edit { |now| now.without('2') }
    get '/classes/1'
    expect(page).to match(%r{/classes/1/people/2/erase})
    send_form('/classes/1/people/2/erase', sure: '1')
    documents = studio.database[:class_revisions].where(class_id: 1).select_map(:document)
    expect(documents.join).not_to include('Tomasz')
    3.times { send_form('/classes/1/undo') }
    expect([state.attendees.map(&:key).include?('2'), state.attendees.size]).to eq([false, 11])
  end

  it 'keeps every amount when the currency has no minor unit' do
    edit { |now| now.with(workshop: now.workshop.with(supply: now.workshop.supply.with(venue: 9000))) }
    offers = studio.market.all.offers.to_h { |offer| [[offer.supplier, offer.item, offer.amount], offer.price] }
    studio.market.change_currency('JPY')
    now = studio.market.all
    expect(now.offers.to_h { |offer|
      [[offer.supplier, offer.item, offer.amount], offer.price.minor]
    }).to eq(offers.transform_values { |price|
            (price.minor / 100.0).round
          })
    expect(state.workshop.supply.venue).to eq(90)
    studio.market.change_currency('EUR')
    expect(state.workshop.supply.venue).to eq(9000)
  end

  it 'reserves for the class that is put first' do
    twin = studio.classes.create(state)
    short = -> { [1, twin].map { |id| supply_of(id).parts.sum(&:short) } }
    first, second = short.call
    expect(second).to be > first
    send_form("/classes/#{twin}/reserve-first")
    expect(short.call).to match([be > first, be < second])
  end

  # The table of one person's own colourway: what it changes in the steps must not break anyone's plan.
  %w[round_4_ice spacer_2_silver chain_link_3 crimp_2_silver seed_8_ink ring_5_open none_such].each do |other|
    it "plans a colourway that puts #{other} in the place of a bead, or says why it cannot" do
      design = studio.projects.find('comet_tail').design
      part = 'round_8_smoke'
      saved = studio.projects.save(design.with(key: 'own_way', name: 'Own way', colourways: { 'Odd' => { part => other } }))
      edit { |now| now.with(project_version_id: saved.id, attendees: [now.attendees.first.with(colourway: 'Odd'), *now.attendees.drop(1)]) }
      [*places, '/run-sheet', '/handouts', '.json'].each { |place|
        get("/classes/1#{place}") && expect([place, last_response.status]).to(match([place, be < 500]))
      }
      send_form('/classes/1/forecast')
      expect(last_response.status).to be < 400
    end
  end

  it 'marks a class that lacks something, and opens every page still' do
    studio.database[:techniques].where(key: 'stringing').delete
    studio.update(unit: 'mm')
    ['/', *places.map { |place| "/classes/1#{place}" }, '/classes/1/print', '/classes/1.json', '/projects', '/techniques'].each do |path|
      get path
      expect([path, last_response.status]).to match([path, be < 500])
    end
    get '/'
    expect(page).to include('stringing')
  end
end
