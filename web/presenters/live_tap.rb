# frozen_string_literal: true

module Web
  module Presenters
    # One tap as it was sent: what, whom, and by which name, so that sent twice it counts once.
    class LiveTap
      KEY = /\A[0-9a-f]{8,40}\z/.freeze
      PERSON = /\A[\w-]{1,40}\z/.freeze
      # A device whose clock is wrong, or that was without a connection for longer, counts as now.
      LATEST = 12 * 3600

      # @param now [Integer] seconds
      def initialize(params, now)
        @params = params
        @now = now
      end

      # @return [Core::Live::Event, nil] nil where it does not read
      def event
        kind = Core::Live::Event::KINDS.find { |known| known.to_s == text('kind') }
        return if kind.nil? || !KEY.match?(text('key'))
        return if Core::Live::Event::ABOUT_PEOPLE.include?(kind) && !PERSON.match?(text('person'))
        return if kind == :undo && !KEY.match?(text('undoes'))

        Core::Live::Event.new(key: text('key'), kind: kind, at: at, person: (text('person') unless text('person').empty?),
          undoes: (text('undoes') if kind == :undo))
      end

      private

      def text(name)
        value = @params[name]
        value.is_a?(String) ? value.dup.force_encoding(Encoding::UTF_8).scrub[0, 60] : ''
      end

      def at
        sent = text('at')
        return @now unless sent.match?(/\A\d{9,11}\z/)

        (@now - LATEST..@now).cover?(sent.to_i) ? sent.to_i : @now
      end
    end
  end
end
