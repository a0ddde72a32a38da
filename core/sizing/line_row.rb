# frozen_string_literal: true

module Core
  module Sizing
    # What lies on a closed line, by place: its solid parts, the tallest first, and the bare line after each. Equal parts are one Solid.
    # Lengths along the line are whole nanometres, so that equal stretches are found to be equal.
    class LineRow
      MM = 1e6

      # solids: by place, and the first once more · kinds: [Solid], each once · along: of the line that each takes
      # upto: all before each place, and before the first once more
      # total: in millimetres · tallest, skin: heights of the line above the skin, at the tallest part and where it is bare
      # widest: across the skin
      attr_reader :solids, :kinds, :along, :upto, :total, :tallest, :skin, :widest

      # @param elements [Array<Construction::Element>] in order
      def initialize(elements)
        @solids, @along, @bare = [], [], []
        @alike, @sorts = {}, {}.compare_by_identity
        @skin = @widest = 0.0
        place(elements)
        @total = elements.sum { |element| element.along.nm } / MM
        @kinds = @alike.values
        @tallest = @kinds.map(&:height).max || @skin
        return if size.zero?

        begin_with_tallest
        @upto, @bare_upto = sums(@along.each_index.map { |place| @along[place] + @bare[place] }), sums(@bare)
        note_neighbours
      end

      # @return [Integer] places
      def size
        @along.size
      end

      # @return [Boolean] whether all are equally tall and nothing is bare, so that all stand
      def level?
        @kinds.map(&:height).uniq.size <= 1 && !bare?
      end

      def bare?
        @bare_upto.last.positive?
      end

      # @param after [Integer] a place after from, up to the first once more @return [Integer] what lies between the two
      def run(from, after)
        @upto[after] - @upto[from] - @along[from]
      end

      # @return [Boolean] whether any of what lies between two places bends by itself
      def bare_between?(from, after)
        @bare_upto[after] > @bare_upto[from]
      end

      # @return [Integer] equal for two pairs of places between which the line runs alike
      def likeness(from, after)
        flags = (after == from + 1 ? 1 : 0) + (bare_between?(from, after) ? 2 : 0)
        (((((run(from, after) * 4) + flags) * @pairs) + @leaving[from]) * @pairs) + @arriving[after]
      end

      # @return [Stretch] the line from one place to another
      def stretch(from, after)
        parts = @solids.values_at(from, from + 1, after - 1, after)
        Stretch.new(parts, run(from, after) / MM, bare: bare_between?(from, after), touching: after == from + 1)
      end

      private

      # Bare line before the first part belongs after the last.
      def place(elements)
        first = elements.index { |element| !element.bare? } || 0
        elements.rotate(first).each do |element|
          solid = @sorts.fetch(element) { @sorts[element] = measure(element) }
          if solid
            @solids << solid
            @along << element.along.nm
            @bare << 0
          elsif @bare.any?
            @bare[-1] += element.along.nm
          end
        end
      end

      # @return [Solid, nil] the sort of part that it is; nil where it is bare
      def measure(element)
        @widest = [@widest, element.width.to_mm].max
        if element.bare?
          @skin = [@skin, element.height.to_mm].max
          nil
        else
          @alike[[element.along.nm, element.height.nm, element.profile]] ||= Solid.of(element, @alike.size)
        end
      end

      # It is sure to stand.
      def begin_with_tallest
        first = @solids.index { |solid| solid.height == @tallest }
        [@solids, @along, @bare].each { |list| list.rotate!(first) }
        @solids << @solids.first
      end

      # @return [Array<Integer>] of all before each place, and before the first once more
      def sums(lengths)
        upto = 0
        [0, *lengths.map { |length| upto += length }]
      end

      # The kinds of each place and the next, and of each and the one before, as one number.
      def note_neighbours
        @pairs = @kinds.size**2
        @leaving = @along.each_index.map { |place| (@solids[place].number * @kinds.size) + @solids[place + 1].number }
        @arriving = [nil, *@leaving]
      end
    end
  end
end
