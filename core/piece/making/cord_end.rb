# frozen_string_literal: true

module Core
  module Making
    # One end of cords, of a rope or of a braid as hands make it: what stands on it, from the piece outward. Its length, what lies on the
    # path, its parts and its picture follow.
    #
    # @param line [Catalogue::Line]
    # @param lines how many strands arrive in it
    # @param items [Array<Item>] from the piece outward
    CordEnd = Value.define(:line, :lines, :items)

    class CordEnd
      # One thing on it.
      #
      # @param kind :knot of all, :part threaded on, :loop, :band of whipping, :socket that the ends are glued into, :held in a fold of one
      #   strand
      # @param length [Measure::Length] along the end
      # @param inside [Measure::Length, nil] of a loop
      # @param part [Catalogue::Part, nil]
      # @param number of turns, or of strands where others than all are meant
      # @param beyond whether it lies beyond the length that is worn
      Item = Value.define(:kind, :length, part: nil, inside: nil, number: nil, beyond: false)

      def self.knot(length, **rest)
        Item.new(kind: :knot, length: length, **rest)
      end

      # @param kind [Symbol] :part, :socket or :held
      def self.with(part, kind = :part, **rest)
        Item.new(kind: kind, length: part.along, part: part, **rest)
      end

      # @param length [Measure::Length] that it adds, less than its inside where it lies round something
      def self.loop(inside, length = inside)
        Item.new(kind: :loop, length: length, inside: inside)
      end

      # @return [Array<Item>] within the length that is worn
      def worn
        items.reject(&:beyond)
      end

      # @return [Measure::Length] on the path
      def length
        Measure::Length.sum(worn.map(&:length))
      end

      # @param across [Measure::Length] the strands, side by side @param knot [Measure::Length] a knot of them
      # @return [Array<ThreadedElement>] from the piece outward
      def on_line(across, knot)
        worn.map do |item|
          case item.kind
          when :knot then ThreadedElement.new(along: item.length, height: knot / 2, width: knot, profile: :round)
          when :loop, :band then ThreadedElement.bare(item.length, across)
          else ThreadedElement.of(item.part)
          end
        end
      end

      # @return [Array<Catalogue::Part>]
      def parts
        items.filter_map(&:part)
      end
    end
  end
end
