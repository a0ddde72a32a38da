# frozen_string_literal: true

module Core
  module Sizing
    # A line that does not stretch, with weights along it, hung at two points of one height: in each piece between two weights the pull has
    # the same part sideways, and its part upward changes by each weight (statics of a funicular polygon). Both are found so that the line
    # ends where it is hung.
    class HangingLine
      ROUNDS = 200
      # How near the ends must come to where they hang, in millimetres.
      CLOSE = 1e-7

      # A weight. at: along the line, in millimetres from its first end · grams
      Weight = Value.define(:at, :grams)
      # Where it lies: x from the first end to the right, y down, in millimetres.
      Place = Value.define(:x, :y, :at)

      # @param length [Float] of the line @param span [Float] between its ends, shorter than the line, millimetres
      # @param weights [Array<Weight>] in any order; at least one is heavier than nothing
      def initialize(length, span, weights)
        @length = length
        @span = span
        @weights = weights.select { |one| one.grams.positive? && one.at.between?(0, length) }.sort_by(&:at)
        @pieces = [0.0, *@weights.map(&:at), length].each_cons(2).map { |from, to| to - from }
      end

      # @return [Array<Place>] both ends, and each weight between them
      def places
        @places ||= begin
          x = y = at = 0.0
          [Place.new(x: x, y: y, at: at)] + pulls.zip(@pieces).map do |(side, up), long|
            whole = Math.hypot(side, up)
            x += long * side / whole
            y += long * up / whole
            at += long
            Place.new(x: x, y: y, at: at)
          end
        end
      end

      # @param at [Float] along the line @return [Place] there
      def place(at)
        before, after = places.each_cons(2).find { |_, to| at <= to.at } || places.last(2)
        share = after.at == before.at ? 0.0 : (at - before.at) / (after.at - before.at)
        Place.new(x: before.x + ((after.x - before.x) * share), y: before.y + ((after.y - before.y) * share), at: at)
      end

      # @return [Place] the lowest
      def lowest
        places.max_by(&:y)
      end

      # @return [Float] where its weight hangs, from the first end to the right
      def centre
        @weights.zip(places[1..-2]).sum { |weight, place| weight.grams * place.x } / @weights.sum(&:grams)
      end

      # @return [Float] grams that pull at the first end, and so the line is asked to bear
      def pull
        [pulls.first, pulls.last].map { |side, up| Math.hypot(side, up) }.max
      end

      private

      # @return [Array<(Float, Float)>] sideways and downward pull in each piece, in grams
      def pulls
        @pulls ||= forces(*solved)
      end

      def forces(side, up)
        [up, *@weights.map { |one| up -= one.grams }].map { |force| [side, force] }
      end

      # Newton's method with halved steps, from a start that always holds: the logarithm keeps the pull sideways above zero.
      # @return [(Float, Float)] pull sideways, and downward in the first piece
      def solved
        weight = @weights.sum(&:grams)
        guess = [Math.log(weight * 0.3), weight / 2]
        ROUNDS.times do
          missed = missed(guess)
          break if missed.map(&:abs).max < CLOSE

          guess = stepped(guess, missed, weight)
        end
        [Math.exp(guess[0]), guess[1]]
      end

      def stepped(guess, missed, weight)
        small = [1e-6, weight * 1e-6]
        columns = [0, 1].map { |i|
          moved = guess.dup.tap { |one| one[i] += small[i] }
          missed(moved).zip(missed).map { |now, was| (now - was) / small[i] }
        }
        whole = (columns[0][0] * columns[1][1]) - (columns[1][0] * columns[0][1])
        step = [((columns[1][1] * missed[0]) - (columns[1][0] * missed[1])) / whole,
                ((columns[0][0] * missed[1]) - (columns[0][1] * missed[0])) / whole]
        shortened(guess, step, missed)
      end

      def shortened(guess, step, missed)
        size = missed.sum { |one| one**2 }
        share = 1.0
        40.times do
          tried = guess.zip(step).map { |one, by| one - (by * share) }
          return tried if missed(tried).sum { |one| one**2 } < size

          share /= 2
        end
        guess
      end

      # @return [(Float, Float)] by how much the last end misses its place, to the right and down
      def missed((log, up))
        side = Math.exp(log)
        ends = forces(side, up).zip(@pieces).map { |force, long| force.map { |part| long * part / Math.hypot(*force) } }
        [ends.sum(&:first) - @span, ends.sum(&:last)]
      end
    end
  end
end
