# frozen_string_literal: true

module Web
  module Presenters
    # One tap as it was sent: what, whom, and by which name, so that sent twice it counts once.
    class LiveTap
      KEY = /\A[0-9a-f]{8,40}\z/.freeze
      PERSON = /\A[\w-]{1,40}\z/.freeze
      # A device whose clock is wrong, or that was without a connection for longer, counts as now.
      LATEST = 12 * 3600

      # @param now [Integer] seconds @param unit [Symbol] of a length that names none
      def initialize(params, now, unit = :mm)
        @params = params
        @unit = unit
        @now = now
      end

      # @return [Core::Live::Event, nil] nil where it does not read
      def event
        kind = Core::Live::Event::KINDS.find { |known| known.to_s == text('kind') }
        return if kind.nil? || !KEY.match?(text('key'))
        return if Core::Live::Event::ABOUT_PEOPLE.include?(kind) && !PERSON.match?(text('person'))
        return if kind == :undo && !KEY.match?(text('undoes'))

        said = Core::Live::Event::SAYING.include?(kind) ? detail(kind) : nil
        return if Core::Live::Event::SAYING.include?(kind) && said.nil?

        Core::Live::Event.new(key: text('key'), kind: kind, at: at, person: (text('person') unless text('person').empty?),
          undoes: (text('undoes') if kind == :undo), detail: said)
      end

      private

      def text(name)
        value = @params[name]
        value.is_a?(String) ? value.dup.force_encoding(Encoding::UTF_8).scrub[0, 60] : ''
      end

      # A length in the studio's unit where none is written; all else is a key.
      def detail(kind)
        said = text('detail').strip
        return (said if said.match?(%r{\A[\w:/-]{1,60}\z})) unless %i[measured measured_flat].include?(kind)

        length = Core::Measure::Length.parse(said, default_unit: @unit)
        length.to_s if length.to_mm.between?(20, 2000)
      rescue Core::Measure::NotALength
        nil
      end

      def at
        sent = text('at')
        return @now unless sent.match?(/\A\d{9,11}\z/)

        ((@now - LATEST)..@now).cover?(sent.to_i) ? sent.to_i : @now
      end
    end
  end
end
