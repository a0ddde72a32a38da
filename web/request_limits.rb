# frozen_string_literal: true

module Web
  # Refuses what no page of ours sends, before anything is done with it: addresses, bodies and forms beyond any use.
  # (OWASP Cheat Sheet Series: Denial of Service; File Upload.)
  class RequestLimits
    LONGEST_ADDRESS = 8_000
    # Bodies of ordinary forms.
    MOST_BYTES = 2_500_000
    # From anyone in the network who has not signed in.
    MOST_BYTES_OF_STRANGERS = 1_000_000
    # From an account of a shared studio, for any request.
    MOST_BYTES_SHARED = 20_000_000
    # Longer limits for trusted requests, by route: a price list, another studio's file, and a copy of a studio.
    LONGER = { %r{\A/stockroom/prices/?\z} => 10_500_000, %r{\A/safe-keeping/studio/?\z} => 50_500_000,
               %r{\A/safe-keeping/copies/file/?\z} => 500_000_000 }.freeze
    MOST_FIELDS = 2_000
    DEEPEST = 12

    # How many bytes a body may have, by where it is sent and who sends it. The HTTP server asks it before a body is stored.
    class Bodies
      # @param trusted [#call] env => whether it comes from someone who is in, and not from anyone in the network
      # @param shared [Boolean] whether the studio is shared in a network
      def initialize(trusted:, shared: false)
        @trusted = trusted
        @shared = shared
      end

      # @param sharing [Sharing, nil] nil: for the one person at this machine @param secret [String] signs the cookie
      # @return [Bodies]
      def self.of(sharing, secret)
        new(trusted: sharing ? SignedIn.claims(secret) : ->(_) { true }, shared: !sharing.nil?)
      end

      # @param env [Hash] of a request whose headers were read
      # @return [Integer] bytes
      def call(env)
        return MOST_BYTES_OF_STRANGERS unless @trusted.call(env)

        path = (env['PATH_INFO'] || env['REQUEST_PATH']).to_s
        most = LONGER.find { |place, _| place.match?(path) }&.last || MOST_BYTES
        @shared ? [most, MOST_BYTES_SHARED].min : most
      end
    end

    # The disk is full: what was sent could not be stored.
    NO_ROOM = [Errno::ENOSPC, Errno::EDQUOT, Errno::EFBIG].freeze

    # @param bodies [Bodies]
    def initialize(app, bodies: Bodies.new(trusted: ->(_) { false }))
      @app = app
      @bodies = bodies
    end

    def call(env)
      env['PATH_INFO'] = clean(env['PATH_INFO'].to_s)
      refusal(env) || @app.call(env)
    rescue *NO_ROOM
      answer(507, 'The disk is full. Make room on it, then send that again.')
    rescue EOFError,
           Rack::Multipart::MultipartPartLimitError,
           Rack::QueryParser::ParameterTypeError,
           Rack::QueryParser::InvalidParameterError,
           Rack::QueryParser::QueryLimitError,
           Rack::Multipart::BoundaryTooLongError,
           RangeError,
           Encoding::CompatibilityError,
           Encoding::UndefinedConversionError
      answer(400, 'That could not be read. Go back and send it again.')
    ensure
      env['rack.tempfiles']&.each { |file| file.close! if file.respond_to?(:close!) }
    end

    private

    def refusal(env)
      address = env['QUERY_STRING'].to_s.bytesize + env['PATH_INFO'].to_s.bytesize
      return answer(414, 'That address is too long. Go back and use the form.') if address > LONGEST_ADDRESS

      most = @bodies.call(env)
      too_large = env['CONTENT_LENGTH'].to_i > most || env['HTTP_TRANSFER_ENCODING']
      return answer(413, "That is more than #{most / 1_000_000} MB. Send a shorter list or a smaller file.") if too_large

      answer(400, 'That form holds more than any of ours. Go back and send it again.') if overfull?(env)
    end

    # Every part of an address is text.
    def clean(path)
      return path unless path.include?('%')

      Rack::Utils.escape_path(Rack::Utils.unescape_path(path).dup.force_encoding(Encoding::UTF_8).scrub("\uFFFD").delete("\u0000"))
    end

    # Counted before it is parsed. A form in parts is counted by rack itself.
    def overfull?(env)
      return true if fields(env['QUERY_STRING'].to_s)
      return false unless env['CONTENT_TYPE'].to_s.start_with?('application/x-www-form-urlencoded')

      body = env['rack.input'].read(MOST_BYTES)
      env['rack.input'] = StringIO.new(body || ''.b)
      fields(body.to_s)
    end

    def fields(text)
      text.count('&') > MOST_FIELDS || text.split('&').any? { |pair| pair[0, pair.index('=') || pair.size].scan(/\[|%5b/i).size > DEEPEST }
    end

    def answer(status, words)
      [status, { 'content-type' => 'text/plain; charset=utf-8', 'x-content-type-options' => 'nosniff' }, ["#{words}\n"]]
    end
  end
end
