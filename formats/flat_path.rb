# frozen_string_literal: true

module Formats
  # The points of a drawn path, close enough to draw it bent round something. Knows M, L, H, V, Q, T and C, large or small: what
  # constructions draw of lines that are bent with the piece (SVG 1.1, section 8.3).
  class FlatPath
    KNOWN = /\A[MLHVQTCmlhvqtc\d. -]+\z/
    STEPS = 6
    TAKES = { 'M' => 2, 'L' => 2, 'H' => 1, 'V' => 1, 'Q' => 4, 'T' => 2, 'C' => 6 }.freeze

    def self.known?(path)
      path.match?(KNOWN)
    end

    # @param path [String] @return [Array<Array<(Float, Float)>>] points of each stretch that hangs together
    def self.points(path)
      new.read(path)
    end

    def initialize
      @stretches = []
      @at = [0.0, 0.0]
      @control = nil
    end

    def read(path)
      path.scan(/([MLHVQTC])([^MLHVQTC]*)/i).each do |letter, numbers|
        numbers.scan(/-?[\d.]+/).map(&:to_f).each_slice(TAKES.fetch(letter.upcase)) { |given| go(letter, given) }
      end
      @stretches
    end

    private

    def go(letter, given)
      small = letter == letter.downcase
      case letter.upcase
      when 'M' then @stretches << [@at = place(given, small)]
      when 'L' then straight(place(given, small))
      when 'H' then straight([given[0] + (small ? @at[0] : 0), @at[1]])
      when 'V' then straight([@at[0], given[0] + (small ? @at[1] : 0)])
      when 'T' then curve([mirrored, place(given, small)])
      else curve(given.each_slice(2).map { |pair| place(pair, small) })
      end
    end

    def place((right, down), small)
      small ? [@at[0] + right, @at[1] + down] : [right, down]
    end

    def mirrored
      @control ? [(2 * @at[0]) - @control[0], (2 * @at[1]) - @control[1]] : @at
    end

    def straight(to)
      @stretches.last << (@at = to)
      @control = nil
    end

    # By de Casteljau, of as many points as there are.
    def curve(points)
      all = [@at, *points]
      (1..STEPS).each { |step| @stretches.last << along(all, step.to_f / STEPS) }
      @at, @control = points.last, points[-2]
    end

    def along(points, share)
      return points.first if points.size == 1

      along(points.each_cons(2).map { |(ax, ay), (bx, by)| [ax + ((bx - ax) * share), ay + ((by - ay) * share)] }, share)
    end
  end
end
