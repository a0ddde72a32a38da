# frozen_string_literal: true

module Core
  module Making
    # The order of the beads on one line, as it is read out: groups with how often each is repeated, and, where the second half mirrors
    # the first, that half alone.
    #
    # @param groups [Array<(Array<Catalogue::Part>, Integer)>] the shortest telling, up to the middle where it is mirrored
    # @param mirrored whether it is read to the middle and back
    # @param middle [Catalogue::Part, nil] the bead there, which is no part of the groups
    BeadOrder = Value.define(:groups, mirrored: false, middle: nil)

    class BeadOrder
      # A group that is longer is hardly seen as one.
      LARGEST_GROUP = 12
      # What saying how often, and saying to go back, weighs beside one bead.
      REPEATED = 1
      BACK = 1
      LEAST_MIRRORED = 5

      class << self
        # @param parts [Array<Catalogue::Part>] from the first end @return [BeadOrder]
        def of(parts)
          whole = told(parts)
          return new(groups: whole) if parts.size < LEAST_MIRRORED || parts != parts.reverse

          half = told(parts.first(parts.size / 2))
          return new(groups: whole) if cost(half) + BACK >= cost(whole)

          new(groups: half, mirrored: true, middle: (parts[parts.size / 2] if parts.size.odd?))
        end

        private

        def cost(groups)
          groups.sum { |group, times| group.size + (times > 1 ? REPEATED : 0) }
        end

        # Beads that stand alone are read together.
        def told(row)
          groups = cheapest(row.map { |part| row.index(part) }).map { |from, size, times| [row[from, size], times] }
          groups.chunk_while { |(_, times), (_, other)| times == 1 && other == 1 }
            .map { |alone| alone.size == 1 ? alone.first : [alone.flat_map(&:first), 1] }
        end

        # By dynamic programming from the end: at each place the cheapest of all groups that begin there, as often as they repeat.
        # @param row [Array<Integer>] a number for each kind of bead @return [Array<(Integer, Integer, Integer)>] from, size, times
        def cheapest(row)
          costs, first = [0], []
          alike = Array.new(LARGEST_GROUP + 1, 0)
          (row.size - 1).downto(0) do |from|
            1.upto(LARGEST_GROUP) { |size| alike[size] = row[from] == row[from + size] ? alike[size] + 1 : 0 }
            costs[row.size - from], *first[from] = best(row.size - from, alike, costs)
          end
          walk(first)
        end

        # @param left [Integer] beads from here on
        # @param alike [Array<Integer>] by size: how many beads from here on equal the one so far behind
        # @param costs [Array<Integer>] of what is left, by how many beads that are
        # @return [(Integer, Integer, Integer)] cost, size and times
        def best(left, alike, costs)
          found = [costs[left - 1] + 1, 1, 1]
          1.upto(LARGEST_GROUP) do |size|
            2.upto((alike[size] / size) + 1) do |times|
              cost = costs[left - (size * times)] + size + REPEATED
              found = [cost, size, times] if cost < found.first || (cost == found.first && size == found[1])
            end
          end
          found
        end

        def walk(first)
          from = 0
          [].tap do |groups|
            while from < first.size
              size, times = first[from]
              groups << [from, size, times]
              from += size * times
            end
          end
        end
      end
    end
  end
end
