# frozen_string_literal: true

module Core
  module Sizing
    # What lies on a closed line, by place: its solid parts, the tallest first, and the bare line after each. Equal parts are one Solid.
    # Lengths along the line are whole nanometres, so that equal stretches are found to be equal.
    class LineRow
      MM = 1e6

      # solids: by place, and the first once more · kinds: [RigidPart], each once · along: of the line that each takes
      # upto: all before each place, and before the first once more
      # total: in millimetres · tallest, skin, height: of the line above the skin, at the tallest part, where it is bare, and on average, by
      # length
      # widest: across the skin
      attr_reader :solids, :kinds, :along, :upto, :total, :tallest, :skin, :height, :widest

      # @param elements [Array<Making::ThreadedElement>] in order
      def initialize(elements)
        @solids, @along, @bare = [], [], []
        @alike, @sorts = {}, {}.compare_by_identity
        @skin = @widest = 0.0
        place(elements)
        @kinds = @alike.values
        @tallest = @kinds.map(&:height).max || @skin
        return if size.zero?

        begin_with_tallest
        add_up
        note_neighbours
        @level = !bare? && @kinds.all? { |solid| solid.height == @tallest }
      end

      # @return [Integer] places
      def size
        @along.size
      end

      # @return [Boolean] whether all are equally tall and nothing is bare, so that all stand
      def level?
        @level
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

      # @return [Span] the line from one place to another
      def stretch(from, after)
        parts = @solids.values_at(from, from + 1, after - 1, after)
        Span.new(parts, run(from, after) / MM, bare_between?(from, after), after == from + 1)
      end

      private

      # Bare line before the first part belongs after the last.
      def place(elements)
        total = high = before_first = 0
        elements.each do |element|
          solid = @sorts.fetch(element) { @sorts[element] = measure(element) }
          total += (along = element.along.nm)
          high += along * element.height.nm
          if solid
            @solids << solid
            @along << along
            @bare << 0
          elsif @bare.empty?
            before_first += along
          else
            @bare[-1] += along
          end
        end
        @bare[-1] += before_first unless @bare.empty?
        @total = total / MM
        @height = total.zero? ? 0.0 : high / total / MM
      end

      # @return [RigidPart, nil] the sort of part that it is; nil where it is bare
      def measure(element)
        width = element.width.to_mm
        @widest = width if width > @widest
        if element.bare?
          height = element.height.to_mm
          @skin = height if height > @skin
          nil
        else
          @alike[[element.along.nm, element.height.nm, element.profile]] ||= RigidPart.of(element, @alike.size)
        end
      end

      # It is sure to stand.
      def begin_with_tallest
        first = @solids.index { |solid| solid.height == @tallest }
        [@solids, @along, @bare].each { |list| list.rotate!(first) }
        @solids << @solids.first
      end

      # What lies before each place, and before the first once more.
      def add_up
        @upto, @bare_upto = [upto = 0], [bare_upto = 0]
        place = -1
        while (along = @along[place += 1])
          @upto << (upto += along + @bare[place])
          @bare_upto << (bare_upto += @bare[place])
        end
      end

      # The kinds of each place and the next, and of each and the one before, as one number.
      def note_neighbours
        kinds = @kinds.size
        @pairs = kinds * kinds
        @leaving, @arriving = [], [nil]
        number = @solids.first.number
        place = 0
        while (solid = @solids[place += 1])
          pair = (number * kinds) + (number = solid.number)
          @leaving << pair
          @arriving << pair
        end
      end
    end
  end
end
