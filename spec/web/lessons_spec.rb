# frozen_string_literal: true

require 'nokogiri'
require_relative '../web_helper'

RSpec.describe Web::Routes::Learning, type: :request do
  def learnt
    get '/techniques/learnt'
    app_settings.lessons.ask.wait(20)
    get '/techniques/learnt'
    Nokogiri::HTML(page).css('tbody tr').to_h { |row| [row.at('th').text, row.css('td').map(&:text)] }
  end

  it 'shows what a held class taught, uses it when asked, and takes it back' do
    before = studio.catalogue.table.technique('stringing').seconds
    row = learnt.fetch('Stringing')
    expect(row.first(3)).to eq(['6', '1', "#{format('%g', before)} s"])
    expect(studio.catalogue.table.technique('stringing').seconds).to eq(before)
    send_form('/techniques/learnt', technique: 'stringing')
    now = studio.catalogue.table.technique('stringing').seconds
    expect([now, "#{format('%g', now)} s"]).to match([satisfy { |seconds| seconds != before }, row[3]])
    # The same class teaches the same again, whatever is planned with meanwhile.
    expect(learnt.fetch('Stringing')[2..5]).to eq([row[2], row[3], row[4], row[3]])
    send_form('/techniques/learnt/back', technique: 'stringing')
    expect(studio.catalogue.table.technique('stringing').seconds).to eq(before)
  end

  it 'stands what cannot be used' do
    learnt
    [{ technique: 'no_such' }, { technique: { a: 1 } }, {}].each do |fields|
      send_form('/techniques/learnt', **fields)
      expect(last_response.status).to eq(303)
    end
    send_form('/techniques/learnt/back', technique: 'no_such')
    expect(last_response.status).to eq(303)
    expect(studio.lessons_used.all).to eq({})
  end
end

RSpec.describe Application::Lessons, type: :request do
  it 'shows what was lost, plans with it when asked, and takes it back' do
    get '/techniques/learnt'
    app_settings.lessons.ask.wait(20)
    get '/techniques/learnt'
    expect(page).to include('What is lost', 'Crimps')
    send_form('/techniques/learnt', kind: 'crimp')
    learnt = studio.settings.calibration.losses.fetch('crimp')
    expect(learnt).to be_between(0.001, 0.3)
    send_form('/techniques/paces', pace_1: '2.3')
    expect(studio.settings.calibration.losses.keys).to eq(['crimp'])
    send_form('/techniques/learnt/back', kind: 'crimp')
    expect(studio.settings.calibration.losses).to eq({})
    send_form('/techniques/learnt/back', kind: 'no such')
    expect(last_response.status).to eq(303)
  end
end
