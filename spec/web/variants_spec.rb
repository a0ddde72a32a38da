# frozen_string_literal: true

require 'nokogiri'
require_relative '../web_helper'

RSpec.describe Web::Routes::Variants, type: :request do
  def table
    rows = Nokogiri::HTML(page).css('.variants tbody tr')
    rows.to_h { |row| [row.at('th')&.text, row.css('td').map { |cell| cell.text.gsub(/\s+/, ' ').strip }] }
  end

  def plan_of(design)
    app_settings.results.of(1).inputs.with(design: design).plan
  end

  # Against plans made by hand: the crimp pressed flat needs no covers.
  it 'shows each version as it would be planned for these people' do
    get '/classes/1/variants'
    found = Nokogiri::HTML(page).css('#variant-a1 option').find { |option| option.text == 'pressed flat' }['value']
    get "/classes/1/variants?#{Rack::Utils.build_query('a1' => found)}"
    design = studio.projects.find('comet_tail').design
    flat = plan_of(Core::Project::Edit.new(design).set('front', { 'school' => 'flat' }))
    minutes = flat.people.map(&:working_minutes).minmax.map(&:round)
    covers = plan_of(design).people.flat_map(&:needs).select { |need| need.part.kind == :cover }.sum(&:count)
    expect([table.fetch('Minutes of work')[1], table.fetch('Minutes of work').size]).to eq(["#{minutes[0]} to #{minutes[1]}", 2])
    expect(table.fetch('Materials of the class')[1]).to include("\u2212#{covers} × 3 mm crimp cover")
    expect(table.fetch('Techniques')[1]).to eq('Gone: crimp cover.')
  end

  it 'takes one for some of the class, says so, prints it on their sheets alone, and takes it back' do
    get '/classes/1/variants'
    way = Nokogiri::HTML(page).css('#variant-a1 option').find { |option| option.text == 'pressed flat' }['value']
    revision = -> { studio.classes.find(1).revision.to_s }
    send_form('/classes/1/way', ways: [way], who: 'person-2', revision: revision.())
    expect(studio.projects.find('comet_tail').design.version).to eq(1)
    get '/classes/1'
    expect(page).to include('Another way for Tomasz Okonjo. How the crimp is closed: pressed flat.')
    covers = app_settings.results.of(1).plan.people.to_h { |one| [one.attendee.key, one.needs.count { |need| need.part.kind == :cover }] }
    expect(covers.slice('1', '2')).to eq('1' => 1, '2' => 0)
    get '/classes/1/handouts'
    sheets = Nokogiri::HTML(page).css('.handout').to_h { |sheet| [sheet.text[/Ilse Marrow|Tomasz Okonjo/], sheet.text] }
    expect(sheets.slice('Ilse Marrow', 'Tomasz Okonjo').values.map { |text| text.include?('crimp cover') }).to eq([true, false])
    send_form('/classes/1/way/back', way: 'person-2 front/school/flat', revision: revision.())
    expect(studio.classes.find(1).state.workshop.teaching.ways).to eq([])
    send_form('/classes/1/way', ways: [way], who: 'person-99', revision: revision.())
    expect(page).to include('cannot be chosen any more')
  end

  it 'says what to do first where nobody has a size' do
    id = studio.classes.create(studio.classes.find(1).state.with(attendees: []))
    get "/classes/#{id}/variants"
    expect(page).to include('Add a person with a size first.')
  end

  it 'takes one of them for all, with two changes at once, and says what cannot be chosen any more' do
    get '/classes/1/variants'
    ways = Nokogiri::HTML(page).css('#variant-a1 optgroup').first(2).map { |group| group.css('option').first['value'] }
    revision = studio.classes.find(1).revision
    send_form('/classes/1/way', ways: ways, revision: revision.to_s)
    expect(studio.projects.find('comet_tail').design.version).to eq(2)
    expect(app_settings.results.of(1).plan.design.version).to eq(2)
    send_form('/classes/1/way', ways: ['nothing'], revision: '9')
    expect(page).to include('cannot be chosen any more')
    get '/classes/1/variants?a1=nonsense&b1=&zz=1'
    expect([last_response.status, table.fetch('Steps').size]).to eq([200, 1])
  end
end
