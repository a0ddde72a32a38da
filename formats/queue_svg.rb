# frozen_string_literal: true

require 'cgi'

module Formats
  # Draws when people wait: for tools upward and solid, for help downward and striped, along the clock.
  class QueueSvg
    WIDTH = 1000
    LABEL = 150
    HALF = 46

    # @param queues [Array<(Float, Float, Float)>] minute, waiting for tools, waiting for help, in equal stretches
    # @param start [Core::Measure::ClockTime] @param span [Float] minutes shown
    def initialize(queues, start:, span:, title:)
      @queues = queues
      @start = start
      @span = span
      @title = title
      @stretch = queues.size > 1 ? queues[1].first - queues[0].first : 5.0
    end

    # @return [String]
    def to_s
      %(<svg class="queue" viewBox="0 0 #{WIDTH} #{(2 * HALF) + 24}" role="img" aria-label="#{CGI.escapeHTML(@title)}">#{bars}<path ) +
        %(d="M#{LABEL} #{HALF}H#{WIDTH - 10}" stroke="currentColor"/>#{words}#{hours}</svg>)
    end

    private

    def most
      @most ||= [@queues.flat_map { |_, tools, help| [tools, help] }.max || 0, 1.0].max
    end

    def x(minute)
      (LABEL + ((WIDTH - LABEL - 10) * minute / @span)).round(1)
    end

    def bars
      @queues.map do |minute, tools, help|
        wide = [x(minute + @stretch) - x(minute) - 1.5, 1].max.round(1)
        up, down = [tools, help].map { |number| (number / most * (HALF - 4)).round(1) }
        %(#{%(<rect class="span-wait_tool" x="#{x(minute)}" y="#{(HALF - up).round(1)}" width="#{wide}" ) +
          %(height="#{up}"/>) if up.positive?}#{%(<rect class="span-wait_help" x="#{x(minute)}" y="#{HALF}" width="#{wide}" ) +
          %(height="#{down}"/>) if down.positive?})
      end.join
    end

    def words
      { 'waiting for tools' => HALF - 14, 'waiting for help' => HALF + 24 }.map { |text, y| %(<text x="#{LABEL - 8}" y="#{y}" ) +
        %(font-size="13" text-anchor="end" fill="currentColor">#{text}</text>) }.join +
        %(<text x="#{LABEL + 4}" y="12" font-size="12" fill="currentColor">full height: #{format('%.1f', most)} people</text>)
    end

    def hours
      (0..(@span / 30).floor).map { |i| x(i * 30) < WIDTH - 15 ? %(<text x="#{x(i * 30)}" y="#{(2 * HALF) + 20}" font-size="12" ) +
        %(text-anchor="middle" fill="currentColor">#{@start + (i * 30)}</text>) : '' }.join
    end
  end
end
