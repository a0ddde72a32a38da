# frozen_string_literal: true

require 'json'
require 'logger'
require 'securerandom'

module Web
  # One line for each request, in a file beside the data that is turned over: when, which route, what came of it, how long it took. Never
  # an address with what was typed, a name, a size or an allergy. The number that an error page shows finds its line.
  class RequestLog
    FILES = 5
    BYTES = 1_000_000
    HEADER = 'X-Request-Id'

    # @param folder [String, nil] nil writes nothing
    def initialize(app, folder)
      @app = app
      @log = folder && Logger.new(file(folder), FILES, BYTES, formatter: ->(_, _, _, line) { "#{line}\n" })
    end

    def call(env)
      env['eager_bench.request'] = id = SecureRandom.hex(4)
      began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      status, headers, body = @app.call(env)
      note(id, env, status, began)
      [status, { **headers, HEADER.downcase => id }, body]
    end

    private

    def file(folder)
      path = File.join(folder, 'log', 'requests.log')
      FileUtils.mkdir_p(File.dirname(path), mode: 0o700)
      path
    end

    def note(id, env, status, began)
      return if @log.nil? || App::STATIC.any? { |start| env['PATH_INFO'].start_with?(start) }

      took = ((Process.clock_gettime(Process::CLOCK_MONOTONIC) - began) * 1000).round
      @log.info(JSON.generate(at: Time.now.utc.strftime('%FT%TZ'), id: id, route: env['sinatra.route'] || "#{env['REQUEST_METHOD']} ?",
        status: status,
        ms: took))
    rescue SystemCallError
      # A full disk must not keep anyone from working.
      nil
    end
  end
end
