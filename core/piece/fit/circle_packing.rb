# frozen_string_literal: true

module Core
  module Fit
    # The smallest round hole that takes several round lines at once.
    module CirclePacking
      # How close a found radius is to the least one, as a share.
      PRECISION = 1e-5
      MOST_UNEQUAL = 7

      # Circles in a hole, in the unit of the diameters.
      #
      # @param radius of the hole
      # @param centres [(x, y)] from its middle
      Packed = Value.define(:radius, :centres)

      module_function

      # @param diameters [Array<Float>] of the lines
      # @return [Float] the hole's least diameter
      def diameter(diameters)
        return diameters.first * Measure::Bundle.ratio(diameters.size) if diameters.uniq.size <= 1

        pack(diameters).radius * 2
      end

      # Finds where the lines lie by shrinking the hole: in a tight packing each line rests against two others, or against
      # one and the rim, so only such places are tried, in every order, until none is left.
      # @return [Packed] @raise [ArgumentError] for more unequal lines than can be tried
      def pack(diameters)
        radii = diameters.map { |d| d / 2.0 }.sort.reverse
        return Packed.new(radius: radii.first, centres: [[0.0, 0.0]]) if radii.size == 1
        raise ArgumentError, "at most #{MOST_UNEQUAL} lines" if radii.size > MOST_UNEQUAL && radii.uniq.size > 1
        return known(radii) if radii.size > MOST_UNEQUAL

        low = [radii[0] + radii[1], Math.sqrt(radii.sum { |r| r * r })].max
        high = radii.sum
        found = nil
        while high - low > high * PRECISION
          middle = (low + high) / 2
          places = arrange(radii, middle)
          places ? (found = places) && (high = middle) : (low = middle)
        end
        Packed.new(radius: high, centres: found || arrange(radii, high) || row(radii))
      end

      # Equal lines beyond those that can be tried: one in the middle, the others in a ring about it. That is the least hole for eight and
      # nine, and little more for ten; how wide a hole must be says Measure::Bundle.
      def known(radii)
        radius = radii.first
        others = radii.size - 1
        ring = radius / Math.sin(Math::PI / others)
        around = Array.new(others) { |i| [ring * Math.cos(2 * Math::PI * i / others), ring * Math.sin(2 * Math::PI * i / others)] }
        Packed.new(radius: ring + radius, centres: [[0.0, 0.0], *around])
      end

      # @return [Array<(Float, Float)>, nil] centres inside a hole of this radius, in the radii's order
      def arrange(radii, hole)
        first = [hole - radii.first, 0.0]
        place([[*first, radii.first]], radii.drop(1), hole)&.sort_by { |_, _, r| -r }&.map { |x, y, _| [x, y] }
      end

      def place(placed, left, hole)
        return placed if left.empty?

        left.uniq.each do |radius|
          rest = left.dup.tap { |list| list.delete_at(list.index(radius)) }
          corners(placed, radius, hole).each do |x, y|
            next unless fits?(placed, x, y, radius, hole)

            done = place([*placed, [x, y, radius]], rest, hole)
            return done if done
          end
        end
        nil
      end

      # Places that touch the rim and a circle, or two circles.
      def corners(placed, radius, hole)
        rim = placed.flat_map { |x, y, r| crossings(0, 0, hole - radius, x, y, r + radius) }
        pairs = placed.combination(2).flat_map { |(ax, ay, ar), (bx, by, br)| crossings(ax, ay, ar + radius, bx, by, br + radius) }
        rim + pairs
      end

      # @return [Array<(Float, Float)>] where two circles cross
      def crossings(ax, ay, ar, bx, by, br)
        distance = Math.hypot(bx - ax, by - ay)
        return [] if distance.zero? || distance > ar + br + 1e-12 || distance < (ar - br).abs - 1e-12

        along = ((ar**2) - (br**2) + (distance**2)) / (2 * distance)
        aside = Math.sqrt([(ar**2) - (along**2), 0.0].max)
        ux = (bx - ax) / distance
        uy = (by - ay) / distance
        [1, -1].map { |side| [ax + (ux * along) - (uy * aside * side), ay + (uy * along) + (ux * aside * side)] }
      end

      def fits?(placed, x, y, radius, hole)
        slack = hole * 1e-9
        Math.hypot(x, y) <= hole - radius + slack && placed.all? { |px, py, pr| Math.hypot(px - x, py - y) >= pr + radius - slack }
      end

      # All in a row: always possible in a hole as wide as the sum.
      def row(radii)
        edge = -radii.sum
        radii.map do |r|
          edge += 2 * r
          [edge - r, 0.0]
        end
      end
      private_class_method :arrange, :place, :corners, :crossings, :fits?, :row, :known
    end
  end
end
