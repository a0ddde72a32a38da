# frozen_string_literal: true

require_relative '../web_helper'
require 'nokogiri'

RSpec.describe 'Projects', type: :request do
  def names
    last_response.body.scan(%r{<h2>([^<]+)</h2>}).flatten
  end

  # [filter, what it shows, what it leaves out]
  [['', ['Comet Tail bracelet', 'Moth Garden spray'], 'Eclipse sampler: fits'],
    ['find=braid', ['Aurora braid bracelet'], 'Comet Tail bracelet'],
    ['find=COMET', ['Comet Tail bracelet', 'Small Comets charm bracelet'], 'Aurora braid bracelet'],
    ['level=1', ['Night Page bookmark'], 'Aurora braid bracelet'],
    ['body=neck', ['Perseid floating necklace'], 'Comet Tail bracelet'],
    ['tests=1&find=eclipse', ['Eclipse sampler: fits'], 'Comet Tail bracelet'],
    ['find=nothing+like+it', [], 'Comet Tail bracelet'],
    ['find[]=x&level=x&body=x&sort=x', ['Comet Tail bracelet'], 'Eclipse sampler: fits']].each do |query, shown, hidden|
    it "shows with #{query.inspect} #{shown.empty? ? 'none' : shown.join(', ')}" do
      get "/projects?#{query}"
      expect(last_response.status).to eq(200)
      expect(shown - names).to eq([])
      expect(names).not_to include(hidden)
      expect(last_response.body).to include('No project is like this') if shown.empty?
    end
  end

  it 'puts the easiest first where that is asked for' do
    get '/projects?sort=level'
    levels = last_response.body.scan(/ level (\d) ·/).flatten.map(&:to_i)
    expect(levels).to eq(levels.sort)
    expect(levels.uniq.size).to be > 2
  end

  # Kept with the studio, and worked out again for what has changed alone.
  it 'keeps how long each project takes' do
    leave_projects('night_page')
    library = app_settings.results.now.library
    app_settings.project_times.ask(library, Date.today).wait(Studios::PATIENCE)
    known = app_settings.project_times.known(library).state.found
    studio.result_cache.settle
    again = Application::ProjectTimes.new(nil, studio.result_cache).ask(library, Date.today)
    expect([again.job, again.state.found]).to eq([nil, known])
    expect(known.fetch('night_page').map(&:size)).to eq([5, 3])
  end

  it 'counts a part where it stands in the list' do
    row = 'parts-round_8_dusk'
    get '/stockroom'
    expect(last_response.body).to include(%(id="count-#{row}" name="quantity" value="4"))
    send_form('/stockroom/parts/round_8_dusk/stock', reason: 'counted', quantity: '40', back: row)
    expect(last_response.headers['location']).to end_with("/stockroom##{row}")
    expect(studio.ledger.stock.part('round_8_dusk')).to eq(40)
    send_form('/stockroom/parts/round_8_dusk/stock', reason: 'counted', quantity: 'many', back: row)
    expect(last_response.status).to eq(422)
    expect(last_response.body).to include('many')
    send_form('/stockroom/parts/round_8_dusk/stock', reason: 'counted', quantity: '41', back: '//elsewhere')
    expect(last_response.headers['location']).to end_with('/stockroom/parts/round_8_dusk/stock')
  end

  # Two chains alike fill on both sides of a front that stays: its middle bead lies at the middle of both together.
  it 'draws the middle of what fills, of one part or of two' do
    id = studio.drafts.begin(studio.projects.find('pole_star').design)
    get "/drafts/#{id}"
    svg = Nokogiri::HTML(last_response.body).at('#compose-mat svg.piece')
    bead = svg.css('ellipse').find { |one| one['fill'] == studio.catalogue.table.parts['pearl_7_cream'].colour }
    dashed = svg.css('[stroke-dasharray]').map { |one| one['d'].to_s[/\AM(-?[\d.]+)/, 1].to_f }
    expect(dashed).to include(be_within(0.05).of(bead['cx'].to_f))
  end
end
