# frozen_string_literal: true

require 'json'
require_relative '../web_helper'

RSpec.describe Web::Routes::Keeping, type: :request do
  it 'shows where all is kept, and says what is wrong' do
    get '/safe-keeping'
    expect(page).to include('Safe keeping', 'What is kept about people', 'There is no copy yet')
    get '/safe-keeping/copies/studio-20261127-120000-daily.sqlite3'
    expect(last_response.status).to eq(404)
    get '/safe-keeping/copies/..%2Fsecret'
    expect(last_response.status).to eq(404)
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
end
