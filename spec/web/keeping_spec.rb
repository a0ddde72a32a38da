# frozen_string_literal: true

require 'json'
require_relative '../web_helper'

RSpec.describe Web::Routes::Backups, type: :request do
  it 'shows where all is kept, and says what is wrong' do
    get '/safe-keeping'
    expect(page).to include('Safe keeping', 'What is kept about people', 'There is no copy yet')
    get '/safe-keeping/copies/studio-20261127-120000-daily.sqlite3'
    expect(last_response.status).to eq(404)
    get '/safe-keeping/copies/..%2Fsecret'
    expect(last_response.status).to eq(404)
  end

  it 'keeps as many copies as are wished for' do
    send_form('/safe-keeping/kept', copies: 'none')
    expect([last_response.status, page]).to match([422, a_string_including('Give a whole number from 1 to 365', 'value="none"')])
    send_form('/safe-keeping/kept', copies: '3')
    backups = Store::Backups.new(studio.database.opts[:database], keep: studio.settings.copies_kept)
    5.times { |day| backups.take(:daily, now: Time.at(1_800_000_000 + (day * 86_400))) }
    expect(backups.all.size).to eq(3)
  end

  # What was typed is never written down; the number on the page finds the line.
  it 'notes each request by its route, and the number of a fault stands on its page' do
    folder = Dir.mktmpdir
    app = Web::App.for_studio(studio, secret: 'x' * 64, runner: Studios::RUNNER, folder: folder, log: true)
    client = Rack::MockRequest.new(app)
    client.get('/classes/1?seat=Ilse+Marrow', 'HTTP_HOST' => '127.0.0.1')
    allow(Web::Presenters::Keeping).to receive(:new).and_raise(NoMethodError, 'Ilse Marrow')
    fault = nil
    expect { fault = client.get('/safe-keeping', 'HTTP_HOST' => '127.0.0.1') }.to output(/NoMethodError at/).to_stderr
    lines = File.readlines(File.join(folder, 'log', 'requests.log')).grep(/^{/).map { |line| JSON.parse(line) }
    expect(lines.map { |line| [line['route'], line['status']] }).to eq([['GET /classes/:id', 200], ['GET /safe-keeping', 500]])
    expect(fault.body).to include("Number #{lines.last['id']}")
    expect(File.read(File.join(folder, 'log', 'requests.log'))).not_to include('Ilse')
  end

  it 'takes the names out of held classes after the chosen months, in every state, and keeps sizes and what was learnt' do
    old, newer = [200, 100].map do |days|
      state = studio.classes.find(1).state
      studio.classes.create(state.with(workshop: state.workshop.with(title: 'Long past', date: Studios::TODAY - days)))
    end
    studio.classes.edit(old, 1, 'x') { |state| state.without(state.attendees.last.key) }
    before = studio.classes.find(old).state.attendees
    send_form('/safe-keeping/names', months: 'six')
    expect([last_response.status, page]).to match([422, a_string_including('Give whole months', 'value="six"')])
    send_form('/safe-keeping/names', months: '6')
    follow_redirect!
    expect(page).to include('1 held class no longer says who came', 'value="6"')
    texts = studio.database[:class_revisions].where(class_id: old).select_map(:document).join
    expect([texts.include?('Ilse'), texts.include?('nickel'), studio.classes.find(newer).state.attendees.first.name])
      .to eq([false, false, 'Ilse Marrow'])
    after = studio.classes.find(old).state.attendees
    expect(after.map { |one| [one.level, one.measures] }).to eq(before.map { |one| [one.level, one.measures] })
    expect(after.first.name).to eq('Person 1')
    expect(app_settings.people.known.map(&:name)).not_to include('Person 1')
    get "/classes/#{old}/afterwards"
    expect(last_response.status).to eq(200)
    expect(Application::Retention.call(studio, Studios::TODAY)).to eq(0)
    send_form('/safe-keeping/names', months: '')
    expect(studio.settings.names_months).to be_nil
  end
end
