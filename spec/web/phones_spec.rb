# frozen_string_literal: true

require 'net/http'
require_relative '../web_helper'

# A phone beside the laptop. Accounts and lockout after OWASP's Authentication and Session Management Cheat Sheets.
RSpec.describe Web::PhoneGate, type: :request do
  let(:seconds) { [0] }
  let(:access) { Web::PhoneAccess.new(clock: -> { seconds.first }, network: -> { '192.0.2.7' }) }
  let(:phone) { Rack::MockRequest.new(described_class.new(app, access)) }
  let(:door) { access.open(1, app) }

  after { access.close }

  def ask(verb, path, cookie: nil, **fields)
    phone.request(verb, path, params: fields, 'HTTP_HOST' => '192.0.2.7:9394', 'HTTP_COOKIE' => cookie.to_s)
  end

  # @return [String] the cookie of a phone that was let in
  def joined
    answer = ask('POST', '/join', code: door.code)
    expect([answer.status, answer['location']]).to eq([303, '/classes/1/live'])
    answer['set-cookie'][/\A[^;]+/]
  end

  it 'shows a phone Live of the one class, lets it tap, and nothing else' do
    cookie = joined
    live = ask('GET', '/classes/1/live', cookie: cookie)
    expect(live.status).to eq(200)
    expect(live.body).to include('Start the class')
    expect(live.body).not_to include('Stockroom', 'Let phones in', 'Back to the class')
    session = [cookie, live['set-cookie'][/\A[^;]+/]].join('; ')
    token = live.body[/name="authenticity_token" value="([^"]+)"/, 1]
    tapped = ask('POST', '/classes/1/live', cookie: session, authenticity_token: token, kind: 'start', key: 'ab' * 8)
    expect([tapped.status, tapped['location']]).to eq([303, '/classes/1/live'])
    expect(studio.live_events.of(1).map(&:kind)).to eq([:start])
    ['/', '/classes/1', '/classes/2/live', '/people', '/classes/1/file', '/safe-keeping', '/stockroom'].each do |path|
      expect([path, ask('GET', path, cookie: session)['location']]).to eq([path, '/classes/1/live'])
    end
    expect(ask('POST', '/classes/1/phones', cookie: session, authenticity_token: token, on: '0')['location']).to eq('/classes/1/live')
    expect(access.door).to eq(door)
  end

  it 'lets nobody in without the code, and locks for a minute after five wrong ones' do
    wrong = format('%06d', (door.code.to_i + 1) % 1_000_000)
    expect(ask('GET', '/classes/1/live').body).to include('Code, from the laptop').and(satisfy { |body| !body.include?('Ilse') })
    expect(ask('GET', '/classes/1/live', cookie: "#{described_class::COOKIE}=#{'0' * 48}").body).to include('Code, from the laptop')
    said = Array.new(100) { ask('POST', '/join', code: wrong).body[/That is not the code|Too many wrong codes/] }
    expect(said.tally).to eq('That is not the code' => 4, 'Too many wrong codes' => 96)
    expect(ask('POST', '/join', code: door.code).body).to include('Wait a minute')
    seconds[0] += 61
    expect(joined).to start_with(described_class::COOKIE)
  end

  it 'ends with the evening, and a new evening has another code' do
    cookie = joined
    seconds[0] += 13 * 3600
    expect(ask('GET', '/classes/1/live', cookie: cookie).body).to include('switched off')
    again = access.open(1, app)
    expect(again.code).not_to eq(door.code)
    expect(ask('GET', '/classes/1/live', cookie: cookie).body).to include('Code, from the laptop')
  end

  it 'is reached over the network while it is open, and is switched on and off in Live' do
    app_settings.set(:phones, access)
    send_form('/classes/1/phones', on: '1')
    opened = access.door
    get '/classes/1/live'
    expect(page).to include(opened.code, opened.address, 'Switch phones off')
    ask = -> { Net::HTTP.get_response(URI("http://127.0.0.1:#{opened.address[/\d+\z/]}/classes/1/live")) }
    expect(ask.call.body).to include('Code, from the laptop')
    join = ->(body) { Net::HTTP.post(URI("http://127.0.0.1:#{opened.address[/\d+\z/]}/join"), body).code }
    sent = ['code=%FF', 'code[a]=1', 'code=1&code[b]=2', 'code=%', "code=#{'9' * 3_000_000}"]
    expect(sent.map(&join)).to all(match(/\A(?:200|400|413)\z/))
    send_form('/classes/1/live', kind: 'start', key: 'cd' * 8)
    send_form('/classes/1/live', kind: 'end', key: 'ef' * 8)
    expect(access.door).to be_nil
    expect { ask.call }.to raise_error(SystemCallError)
  end

  it 'says what to do where there is no network' do
    app_settings.set(:phones, Web::PhoneAccess.new(network: -> {}))
    send_form('/classes/1/phones', on: '1')
    follow_redirect!
    expect(page).to include('This computer is in no network')
  end
end
