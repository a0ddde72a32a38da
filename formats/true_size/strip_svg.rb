# frozen_string_literal: true

module Formats
  module TrueSize
    # A strip to cut out and measure a wrist, neck or ankle with, in pieces that are glued where their letters meet. Its end goes through
    # the slit at zero; the number at the slit is the measure.
    class StripSvg
      include Sheet

      # The longest that is measured, in millimetres (from memory).
      LONGEST = { wrist: 230, neck: 480, ankle: 320 }.freeze
      HIGH = 14.0
      GAP = 9.0
      TAB = 12.0
      EVERY = 10
      # Beyond the last number.
      END_MM = 5

      # @param body [Symbol] what is measured
      def initialize(body)
        @body = body
        @long = LONGEST.fetch(body)
      end

      # @return [Boolean] whether there is anything to measure
      def self.for?(body)
        LONGEST.key?(body)
      end

      # @return [String]
      def to_s
        high = (pieces.size * (HIGH + GAP)) + 6
        drawn = pieces.each_with_index.map { |(from, to), row| piece(from, to, row) }.join
        page(high, Wording.say("strip.title.#{@body}"), drawn + check_bar(0, high - 3))
      end

      private

      # @return [Array<(Integer, Integer)>] from and to which millimetre each piece goes
      def pieces
        room = (WIDEST - TAB - 14).floor(-1)
        0.step(@long, room).map { |from| [from, [from + room, @long].min] }.reject { |from, to| from == to }
      end

      # The first begins with the slit, the others with a tab that goes under the one before.
      def piece(from, to, row)
        left = TAB
        top = row * (HIGH + GAP)
        long = (to - from).to_f + (to == @long ? END_MM : 0)
        edge = stroke("M0 #{n(top)}H#{n(left + long)}V#{n(top + HIGH)}H0Z")
        edge + start(row, left, top) + ticks(from, to, left, top) + meeting(row, left + long, top)
      end

      def start(row, left, top)
        return slit(left, top) if row.zero?

        stroke("M#{n(left)} #{n(top)}v#{HIGH}", dashes: '1.5 1') + words(letter(row - 1), 2, top + 5, size: 4, bold: true) +
          words(Wording.say('strip.glue'), 2, top + 11, size: 2.2)
      end

      def slit(left, top)
        stroke("M#{n(left)} #{n(top + 2)}v#{n(HIGH - 4)}", wide: 0.5) + words(Wording.say('strip.slit'), 1, top + 8, size: 2.4)
      end

      def meeting(row, right, top)
        row == pieces.size - 1 ? '' : words(letter(row), right - 4, top + 5, size: 4, bold: true, anchor: 'end')
      end

      def letter(row)
        ('A'..'Z').to_a[row]
      end

      def ticks(from, to, left, top)
        lines = (from..to).map { |at| "M#{n(left + at - from)} #{n(top + HIGH)}v#{(at % EVERY).zero? ? -5 : ((at % 5).zero? ? -3.5 : -2)}" }
        numbers = (from..to).select { |at| (at % EVERY).zero? && at.positive? && (at < to || to == @long) }
        stroke(lines.join, wide: 0.15) + numbers.map { |at|
          words(at, left + at - from, top + HIGH - 6, size: 2.6, anchor: 'middle')
        }.join
      end
    end
  end
end
