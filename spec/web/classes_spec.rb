# frozen_string_literal: true

require 'nokogiri'
require_relative '../web_helper'

RSpec.describe Web::Routes::Home, type: :request do
  let(:list) { get('/') && Nokogiri::HTML(page) }

  def classes(number)
    state = studio.classes.find(1).state
    number.times { |i| studio.classes.create(state.with(workshop: state.workshop.with(title: "Class #{i}",
      date: state.workshop.date + i))) }
  end

  it 'leads each next thing to the place where it is done' do
    studio.classes.edit(3, studio.classes.find(3).revision, 'x') { |state| state.with(attendees: []) }
    # Rows that take long are left to the next look.
    3.times { get '/' }
    links = list.css('.class-row .btn-next').map { |link| link['href'] }
    expect(links).to include('/classes/3/people/paste')
    (links - ['/classes/3/people/paste']).each do |link|
      address, section = link.split('#')
      get address
      expect([link, Nokogiri::HTML(page).at("##{section}").nil?]).to eq([link, false])
    end
  end

  it 'draws a row again only when something of that class is different' do
    classes(4)
    # However slow the machine is, the first look draws all.
    stub_const('Web::Presenters::Classes::SECONDS', 60)
    # A look that asks for no forecast, so that none arrives meanwhile.
    header 'X-Poll', '1'
    get '/'
    allow(Formats::PieceSvg).to receive(:new).and_call_original
    get '/'
    expect(Formats::PieceSvg).not_to have_received(:new)
    studio.classes.edit(1, studio.classes.find(1).revision, 'x') { |state| state.with(workshop: state.workshop.with(venue: 'Elsewhere')) }
    expect(list.text).to include('Elsewhere')
    expect(Formats::PieceSvg).to have_received(:new).once
  end

  it 'answers before all classes are planned, says which are still worked out, and goes on at the next look' do
    classes(12)
    stub_const('Web::Presenters::Classes::SECONDS', 0.02)
    get '/'
    expect(page).to include('Being worked out').and include('data-poll="/"')
    looks = (1..300).find { get('/') && !page.include?('Being worked out') }
    expect(looks).to be > 1
    expect(Nokogiri::HTML(page).css('.class-row .verdicts').size).to be > 12
  end
end
