# frozen_string_literal: true

require_relative '../web_helper'

# Putting a copy back while the studio is served, as Web::Server wires it.
RSpec.describe Web::Restorer, type: :request do
  let(:file) { File.join(Dir.mktmpdir, 'studio.sqlite3') }
  let(:backups) { Store::Backups.new(file) }
  let(:app) { Web::AppSwitcher.new(nil) }
  let(:restorer) { described_class.new(backups, app, close: -> { @studio.close }, open: method(:open_app)) }

  before do
    FileUtils.cp(Studios.filled(true), file)
    allow(restorer).to(receive(:call).and_wrap_original { |original, path| @thread = original.call(path) })
    app.exchange { open_app }
  end

  def open_app
    @studio = Store::Studio.new(file)
    Web::App.for_studio(@studio, secret: Requests::SECRET, runner: Studios::RUNNER, folder: File.dirname(file), restorer: restorer)
  end

  it 'puts a copy back from the page, and keeps what was there' do
    copy = File.basename(backups.take(:asked))
    @studio.classes.remove(1)
    get "/safe-keeping/copies/#{copy}/restore"
    expect(page).to match(/#{copy} is whole: the studio “Vellamoor.+ with \d+ classes.+Would replace.+studio.sqlite3 is whole/m)
    send_form("/safe-keeping/copies/#{copy}/restore")
    expect([last_response.status, last_response['location']]).to match([303, %r{/safe-keeping\z}])
    @thread.join
    expect(@studio.classes.find(1).id).to eq(1)
    kept = backups.all.find { |one| one.reason == :before_restore }
    expect(restorer.last.kept).to eq(kept.name)
    expect(Store::Backups.check(kept.path).status).to eq(:good)
  end

  it 'leaves the studio as it was where the copy is of no use' do
    copy = backups.take(:asked)
    File.write(copy, 'no studio')
    restorer.call(copy).join
    expect(restorer.last.problem).to include('damaged')
    get '/'
    expect(last_response.status).to eq(200)
    get "/safe-keeping/copies/#{File.basename(copy)}/restore"
    expect(page).to include('This copy cannot be put back')
  end

  it 'answers "come again" meanwhile, and waits for earlier requests' do
    answers = []
    slow = Queue.new
    app.exchange { ->(env) { [200, {}, [env[:slow] ? slow.pop : 'quick']] } }
    first = Thread.new { answers << app.call(slow: true)[2] }
    Thread.pass until slow.num_waiting == 1
    exchange = Thread.new { app.exchange { answers.push('exchanged') && ->(_) { [200, {}, ['new']] } } }
    Thread.pass until app.call({})[0] == 503
    slow << 'old'
    [first, exchange].each(&:join)
    expect([answers, app.call({})[2]]).to eq([[['old'], 'exchanged'], ['new']])
  end

  it 'takes a copy from elsewhere among its own, and refuses what is none' do
    elsewhere = File.join(Dir.mktmpdir, 'elsewhere.sqlite3')
    Store::Studio.new(elsewhere).close
    { elsewhere => 'It is among the copies now', __FILE__ => 'no whole copy of a studio' }.each do |path, words|
      send_form('/safe-keeping/copies/file', file: Rack::Test::UploadedFile.new(path, 'application/vnd.sqlite3'))
      follow_redirect!
      expect(page).to include(words)
    end
    expect(backups.all.map(&:reason)).to eq([:brought])
    send_form('/safe-keeping/copies/file')
    follow_redirect!
    expect(page).to include('Choose the file', 'brought from elsewhere')
  end
end
