# frozen_string_literal: true

module Core
  module Making
    # The order of the beads on one line, as it is read out: groups with how often each is repeated, and, where the second half mirrors
    # the first, that half alone.
    #
    # @param parts [Array<Catalogue::Part>] from the first end
    BeadOrder = Value.define(:parts) do
      # @return [Boolean] whether it is read to the middle and back
      def mirrored?
        parts.size >= BeadOrder::LEAST_MIRRORED && parts == parts.reverse && cost(told(half)) + BeadOrder::BACK < cost(told(parts))
      end

      # @return [Array<(Array<Catalogue::Part>, Integer)>] the shortest telling in groups, up to the middle where it is mirrored; the bead
      #   in the middle is no part of them
      def groups
        told(mirrored? ? half : parts)
      end

      # @return [Catalogue::Part, nil] the bead in the middle, where it is mirrored and one stands there
      def middle
        parts[parts.size / 2] if mirrored? && parts.size.odd?
      end

      private

      def half
        parts.first(parts.size / 2)
      end

      def cost(groups)
        groups.sum { |group, times| group.size + (times > 1 ? BeadOrder::REPEATED : 0) }
      end

      # Cheapest first by dynamic programming: from each place, every group that begins there, as often as it repeats at once.
      def told(row)
        best = Array.new(row.size + 1)
        best[row.size] = [0, nil]
        (row.size - 1).downto(0) { |from| best[from] = cheapest(row, from, best) }
        joined(walk(row, best))
      end

      def walk(row, best)
        from = 0
        [].tap do |groups|
          while from < row.size
            size, times = best[from].last
            groups << [row[from, size], times]
            from += size * times
          end
        end
      end

      # Beads that stand alone are read together.
      def joined(groups)
        groups.chunk_while { |(_, times), (_, other)| times == 1 && other == 1 }
          .map { |alone| alone.size == 1 ? alone.first : [alone.flat_map(&:first), 1] }
      end

      # @return [(Integer, (Integer, Integer))] what the rest costs to tell, and the size and repeats of its first group
      def cheapest(row, from, best)
        ways = [[best[from + 1].first + 1, [1, 1]]]
        1.upto([BeadOrder::LARGEST_GROUP, (row.size - from) / 2].min) do |size|
          2.upto(repeats(row, from, size)) do |times|
            ways << [best[from + (size * times)].first + size + BeadOrder::REPEATED, [size, times]]
          end
        end
        ways.min_by.with_index { |(cost, (size, _)), i| [cost, size, -i] }
      end

      def repeats(row, from, size)
        times = 1
        times += 1 while row[from + (size * times), size] == row[from, size]
        times
      end
    end

    class BeadOrder
      # A group that is longer is hardly seen as one.
      LARGEST_GROUP = 12
      # What saying how often, and saying to go back, weighs beside one bead.
      REPEATED = 1
      BACK = 1
      LEAST_MIRRORED = 5
    end
  end
end
