# frozen_string_literal: true

require 'json'
require_relative '../web_helper'

RSpec.describe Web::Routes::Register, type: :request do
  def people(id)
    studio.classes.find(id).state.attendees
  end

  it 'lists everybody once, takes them into a class with all that is known, exports and erases one for good' do
    first = people(1).first
    get '/people'
    expect(page.scan(first.name).size).to be > 1
    send_form('/classes/3/people/known', names: [first.name, 'Nobody'], revision: '1')
    taken = people(3).last
    expect([taken.name, taken.measures, taken.needs, taken.level]).to eq([first.name, first.measures, first.needs, first.level])
    get '/people/export.json', name: first.name
    expect(JSON.parse(page)['person']['name']).to eq(first.name)
    send_form('/people/erase', name: first.name)
    follow_redirect!
    expect(page).to include('The name still stands with Wren Castellan')
    names = studio.database[:class_revisions].select_map(:document).flat_map { |text| JSON.parse(text)['attendees'].values.map { |person| person['name'] } }
    expect(names).not_to include(first.name)
    expect(studio.database.fetch('PRAGMA integrity_check').single_value).to eq('ok')
  end

  it 'repeats a class a week later with people who know what they practised' do
    before = people(1).first
    send_form('/classes/1/repeat')
    id = last_response.headers['location'][/\d+\z/].to_i
    again = studio.classes.find(id).state
    expect(again.workshop.date - studio.classes.find(1).state.workshop.date).to eq(7)
    known = again.attendees.first.experience['flat_crimp']
    expect([known.last, known.times]).to match([studio.classes.find(1).state.workshop.date,
      be > (before.experience['flat_crimp']&.times || 0)])
  end

  it 'takes down by hand who finished when, corrects it, and says what it cannot read' do
    send_form('/classes/1/by-hand', place: 'afterwards', finished: { '1' => '20:15', '2' => '', '3' => 'late' })
    expect([last_response.status, page]).to match([422, include('Write the time by the clock', 'value="20:15"')])
    send_form('/classes/1/by-hand', finished: { '1' => '20:15', '2' => '' })
    get '/classes/1/afterwards'
    expect(page).to include('Ilse Marrow at 20:15')
    send_form('/classes/1/by-hand', finished: { '1' => '20:20' })
    get '/classes/1/afterwards'
    expect(page).to include('Ilse Marrow at 20:20')
    expect(page).not_to include('Ilse Marrow at 20:15')
  end
end
