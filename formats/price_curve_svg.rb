# frozen_string_literal: true

require 'cgi'

module Formats
  # A small curve of a seat's price against the number of people; this class and its break-even are marked by shape.
  class PriceCurveSvg
    WIDTH = 560
    HEIGHT = 190
    LEFT = 70
    BOTTOM = 34

    # @param points [Array<(Integer, Core::Money)>] by number of people, at least two
    # @param people [Integer] of this class @param break_even [Integer, nil]
    def initialize(points, people:, break_even:, title:)
      @points = points
      @people = people
      @break_even = break_even
      @title = title
    end

    # @return [String]
    def to_s
      path = @points.each_with_index.map { |(number, price), i| "#{i.zero? ? 'M' : 'L'}#{x(number)} #{y(price.minor)}" }.join
      %(<svg class="curve" viewBox="0 0 #{WIDTH} #{HEIGHT}" role="img" aria-label="#{CGI.escapeHTML(@title)}">#{scale}<path ) +
        %(d="#{path}" fill="none" stroke="currentColor" stroke-width="2"/>#{mark}#{even}</svg>)
    end

    private

    def top
      @top ||= @points.map { |_, price| price.minor }.max * 1.05
    end

    def x(number)
      first, last = @points.first.first, @points.last.first
      (LEFT + ((WIDTH - LEFT - 20) * (number - first).fdiv(last - first))).round(1)
    end

    def y(minor)
      (HEIGHT - BOTTOM - ((HEIGHT - BOTTOM - 10) * minor / top)).round(1)
    end

    def scale
      numbers = @points.map(&:first).select { |number| (number % 4).zero? }.map { |number| %(<text x="#{x(number)}" ) +
        %(y="#{HEIGHT - 16}" font-size="12" text-anchor="middle" fill="currentColor">#{number}</text>) }
      prices = [0, 1, 2].map { |part| @points.map(&:last).max.then { |most| most.with(minor: (most.minor * part / 2.0).round) } }
      lines = prices.map { |price| %(<path d="M#{LEFT} #{y(price.minor)}H#{WIDTH - 20}" stroke="currentColor" stroke-width="0.5" ) +
        %(opacity="0.35"/><text x="#{LEFT - 6}" y="#{y(price.minor) + 4}" font-size="12" text-anchor="end" ) +
        %(fill="currentColor">#{price.to_s.split.first}</text>) }
      %(#{lines.join}#{numbers.join}<text x="#{(WIDTH + LEFT) / 2}" y="#{HEIGHT - 2}" font-size="12" text-anchor="middle" ) +
        %(fill="currentColor">people</text>)
    end

    def mark
      point = @points.find { |number, _| number == @people } or return ''

      %(<circle cx="#{x(@people)}" cy="#{y(point.last.minor)}" r="6" fill="currentColor"/><text x="#{x(@people) + 9}" ) +
        %(y="#{y(point.last.minor) - 8}" font-size="13" font-weight="700" fill="currentColor">#{CGI.escapeHTML(point.last.to_s)} at ) +
        %(#{@people}</text>)
    end

    def even
      return '' unless @break_even && @points.any? { |number, _| number == @break_even }

      %(<path d="M#{x(@break_even)} #{HEIGHT - BOTTOM}V14" stroke="currentColor" stroke-width="1.5" stroke-dasharray="5 4"/><text ) +
        %(x="#{x(@break_even) + 5}" y="24" font-size="12" fill="currentColor">pays from #{@break_even}</text>)
    end
  end
end
