# frozen_string_literal: true

require 'net/http'
require 'socket'
require_relative '../web_helper'

# Through the real server, as browsers and others ask.
RSpec.describe Web::HttpServer do
  let(:studio) { new_studio }
  let(:folder) { File.dirname(studio.database.opts[:database]) }
  let(:log) { StringIO.new }

  # @param sharing [Web::Sharing, nil]
  # @return [Integer] port
  def serve(sharing = nil)
    app = Web::App.for_studio(studio, secret: Requests::SECRET, runner: Studios::RUNNER, folder: folder, today: -> { Studios::TODAY },
      sharing: sharing)
    @server = described_class.new(app, most_bytes: Web::RequestLimits::Bodies.of(sharing, Requests::SECRET), min_threads: 1, max_threads: 2,
      log_writer: Web::HttpServer::Log.new(log, log))
    port = @server.add_tcp_listener('127.0.0.1', 0).addr[1]
    @server.run
    port
  end

  after { @server&.stop(true) }

  # @return [Net::HTTPResponse]
  def get(port, path)
    Net::HTTP.start('127.0.0.1', port) { |http| http.get(path) }
  end

  # @return [String] what comes back for these very bytes
  def raw(port, bytes)
    socket = TCPSocket.new('127.0.0.1', port)
    socket.write(bytes)
    socket.readpartial(4000)
  ensure
    socket&.close
  end

  it 'hands out every download with its type and a name' do
    copy = File.basename(Store::Backups.new(studio.database.opts[:database]).take(:asked))
    draft = studio.drafts.begin(studio.projects.find('aurora').design)
    port = serve
    {
      "/safe-keeping/copies/#{copy}" => 'application/vnd.sqlite3', '/safe-keeping/studio.zip' => 'application/zip',
      '/classes/1/file' => 'application/json', '/classes/1.json' => 'application/json', '/classes/1.ics' => 'text/calendar',
      '/classes/1/order.csv' => 'text/csv', '/classes/1/log.csv' => 'text/csv',
      '/people/export.json?name=Ilse%20Marrow' => 'application/json',
      "/drafts/#{draft}.svg" => 'image/svg+xml', '/fit-check.json' => 'application/json'
    }.each do |path, type|
      answer = get(port, path)
      named = path.end_with?('.json') || answer['content-disposition'].to_s.include?('filename')
      expect([path, answer.code, answer['content-type'][/\A[^;]+/], named]).to eq([path, '200', type, true])
    end
    expect(get(port, "/safe-keeping/copies/#{copy}").body).to eq(File.binread(File.join(folder, 'backups', copy)))
  end

  it 'refuses a body that is too large before it is stored, announced or in chunks, from strangers sooner' do
    port = serve(Web::Sharing.new(address: '127.0.0.1'))
    stranger = Web::RequestLimits::MOST_BYTES_OF_STRANGERS
    head = "POST /sign-in HTTP/1.1\r\nHost: 127.0.0.1\r\n"
    chunk = 100_000
    chunks = "#{chunk.to_s(16)}\r\n#{'a' * chunk}\r\n" * ((stranger / chunk) + 2)
    expect(raw(port, "#{head}Content-Length: #{stranger + 1}\r\n\r\nx")).to start_with('HTTP/1.1 413')
    expect(raw(port, "#{head}Transfer-Encoding: chunked\r\n\r\n#{chunks}")).to start_with('HTTP/1.1 413')
    expect(raw(port, "#{head}Content-Length: 3\r\nConnection: close\r\n\r\na=b"))
      .to start_with('HTTP/1.1 4').and(satisfy { |said| !said.include?('413') })
  end

  bodies = Web::RequestLimits::Bodies
  [[false, true, '/sign-in', 1_000_000], [true, true, '/safe-keeping/copies/file', 20_000_000], [true, true, '/classes', 2_500_000],
   [true, false, '/safe-keeping/copies/file', 500_000_000], [true, false, '/stockroom/prices',
     10_500_000]].each do |trusted, shared, path, most|
    it "takes #{most} bytes at #{path} from #{trusted ? 'an account' : 'a stranger'}#{' of a shared studio' if shared}" do
      expect(bodies.new(trusted: ->(_) { trusted }, shared: shared).call('PATH_INFO' => path)).to eq(most)
    end
  end

  it 'answers what cannot be read with a plain 400, and notes nothing of it' do
    port = serve
    ["GET / HTTP/1.1\r\nHost: 127.0.0.1\r\nno header Ilse\r\n\r\n", "\x16\x03\x01Ilse\r\n\r\n",
      "GET http://[::1 HTTP/1.1\r\nHost: Ilse\r\n\r\n"].each do |bytes|
      expect(raw(port, bytes)).to match(%r{\AHTTP/1.\d 400.*That request could not be read}m).and(satisfy { |said| !said.include?('.rb') })
    end
    expect(log.string.lines.map(&:strip).uniq).to eq(['request: Puma::HttpParserError'])
  end

  it 'stands any bytes in an address' do
    port = serve
    paths = %w[/drafts/%s.svg /safe-keeping/studio/%s /stockroom/%s/%s /classes/1/%s /jobs/%s /safe-keeping/copies/%s /projects/%s]
    statuses = paths.product(%w[%ff %00 %c3%28 %ff%00]).map { |path, bytes| get(port, path.gsub('%s', bytes)).code.to_i }
    expect(statuses).to all(be < 500)
  end
end
