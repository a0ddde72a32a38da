# frozen_string_literal: true

require 'timeout'

module Web
  # Refuses what no page of ours sends, before anything is done with it: addresses, bodies and forms beyond any use, and work without end.
  # (OWASP Cheat Sheet Series: Denial of Service; File Upload.)
  class RequestLimits
    LONGEST_ADDRESS = 8_000
    MOST_BYTES = 2_500_000
    # What may be longer from whoever is trusted, by where it is sent: a price list, another studio's file, and a copy of a studio.
    LONGER = { %r{\A/stockroom/prices/?\z} => 10_500_000, %r{\A/safe-keeping/studio/?\z} => 50_500_000,
               %r{\A/safe-keeping/copies/file/?\z} => 500_000_000 }.freeze
    MOST_FIELDS = 2_000
    DEEPEST = 12
    SECONDS = 20

    # The request took too long.
    class TookTooLong < StandardError; end

    # @param trusted [#call] env => whether it comes from somebody who is in, and not from anybody in the network
    def initialize(app, trusted: ->(_) { false })
      @app = app
      @trusted = trusted
    end

    def call(env)
      refusal(env) || Timeout.timeout(SECONDS, TookTooLong) { @app.call(env) }
    rescue TookTooLong
      answer(503, 'That took too long and was stopped. Nothing was changed. Try again with less at once.')
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

      longer = LONGER.find { |place, _| place.match?(env['PATH_INFO'].to_s) }&.last
      most = longer && @trusted.call(env) ? longer : MOST_BYTES
      too_large = env['CONTENT_LENGTH'].to_i > most || env['HTTP_TRANSFER_ENCODING']
      return answer(413, "That is more than #{most / 1_000_000} MB. Send a shorter list or a smaller file.") if too_large

      answer(400, 'That form holds more than any of ours. Go back and send it again.') if overfull?(env)
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
