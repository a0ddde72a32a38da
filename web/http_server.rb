# frozen_string_literal: true

require 'puma'
require 'puma/server'

module Web
  # Puma, with a limit for each request's body that is asked for before the body is stored, and with nothing of a request in its log.
  # (OWASP Cheat Sheet Series: Denial of Service, Logging.)
  class HttpServer < Puma::Server
    UNREADABLE = [400, { 'content-type' => 'text/plain; charset=utf-8' }, ["That request could not be read.\n"]].freeze
    FAULT = [500, { 'content-type' => 'text/plain; charset=utf-8' }, ["Something went wrong here.\n"]].freeze

    # Answers Puma's question whether a body is too large. Puma asks once its headers are read, and again at each chunk.
    class Limit
      # @param client [Puma::Client] @param most [#call] env => bytes
      def initialize(client, most)
        @client = client
        @most = most
      end

      # @param other [Integer] bytes, announced or read so far
      def <(other)
        (@bytes ||= @most.call(@client.env)) < other
      end
    end

    # Notes the kind of a fault, never the request: what was typed may stand there.
    class Log < Puma::LogWriter
      def parse_error(error, _client)
        note(error)
      end

      def ssl_error(error, _socket)
        note(error)
      end

      def connection_error(error, _client, text = 'connection')
        note(error, text)
      end

      def unknown_error(error, _client = nil, text = 'fault', _lines = nil)
        note(error, text)
      end

      private

      def note(error, text = 'request')
        stderr.puts "#{text}: #{error.class}"
      end
    end

    # @param most_bytes [#call] env of the request's headers => bytes that its body may have
    # @param options [Hash] Puma's
    def initialize(app, most_bytes:, **options)
      @most_bytes = most_bytes
      super(app, nil, { log_writer: Log.new($stdout, $stderr), lowlevel_error_handler: method(:plain), **options })
    end

    private

    # A verb that is none (501) is the request's fault, too.
    def plain(_error, _env, status)
      status == 500 ? FAULT.dup : UNREADABLE.dup
    end

    # Puma's own has one limit for all requests.
    def new_client(io, socket)
      super.tap { |client| client.http_content_length_limit = Limit.new(client, @most_bytes) }
    end
  end
end
