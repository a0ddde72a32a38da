# frozen_string_literal: true

require_relative '../web_helper'

RSpec.describe Web::Routes::StudioExchange, type: :request do
  let(:app) { @app ||= Web::App.for_studio(studio, secret: Requests::SECRET, runner: Studios::RUNNER, folder: Dir.mktmpdir) }
  let(:studio) { @studio ||= new_studio(demo: false) }

  def upload(bytes)
    file = File.join(Dir.mktmpdir, 'studio.zip')
    File.binwrite(file, bytes)
    send_form('/safe-keeping/studio', file: Rack::Test::UploadedFile.new(file, 'application/zip'))
    follow_redirect!
  end

  it 'saves the studio as a file, and shows what another one would bring before it is brought' do
    get '/safe-keeping/studio.zip'
    expect(last_response['content-type']).to eq('application/zip')
    expect(Formats::StudioFile.read(last_response.body).items[:projects].size).to eq(studio.projects.newest.size)
    other = new_studio
    other.projects.save(other.projects.newest.first.design.with(key: 'night_walk', name: 'Night walk'))
    upload(Formats::StudioFile.write(Application::StudioArchive.of(other)))
    expect(page).to include('From another studio', 'Vellamoor', 'Projects, with the parts they name: 1 new', 'Classes, with their people: ')
    file = last_request.path
    send_form(file, groups: ['projects'], once: 'a' * 32)
    follow_redirect!
    expect(page).to include('1 thing came or changed')
    send_form(file, groups: ['projects'], once: 'a' * 32)
    expect(last_response['location']).to end_with('/safe-keeping')
    expect([studio.projects.key?('night_walk'), studio.classes.all]).to eq([true, []])
  end

  it 'says what is wrong with a file, and knows none that was not sent' do
    upload('no zip')
    expect(page).to include('That file cannot be used').and include('cut off, or none')
    get "/safe-keeping/studio/#{'0' * 24}"
    expect(last_response.status).to eq(404)
  end

  it 'does the same from the command line' do
    source, target = [true, false].map { |demo| new_studio(demo: demo) }
    folders = [source, target].map { |one| File.dirname(one.database.opts[:database]) }
    file = File.join(Dir.mktmpdir, 'all.zip')
    said = StringIO.new
    run = ->(*arguments) { Application::CommandLine.new(arguments, output: said, errors: said).run }
    statuses = [run.('export', file, '--data', folders.first), run.('import', file, '--data', folders.last),
                run.('import', file, '--data', folders.last, '--only', 'classes', '--yes'),
                  run.('import', __FILE__, '--data', folders.last),
                run.('import', file, '--only', 'everything')]
    expect(statuses).to eq([0, 0, 0, 2, 2])
    expect(said.string).to include('Nothing was changed. Add --yes', 'Classes, with their people', 'things came or changed',
      'cut off, or none')
    expect(target.classes.all.size).to eq(source.classes.all.size)
  end
end
