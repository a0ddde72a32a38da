# frozen_string_literal: true

module Core
  module Construction
    # An order of parts along a line. Groups that fill repeat until a length is met; where there are several, all equally often.
    #
    # As data: [{"part": "round_8", "count": 2}, {"repeat": [...], "times": 3}, {"repeat": [...], "fill": true}]
    class Pattern
      LARGEST = 2000

      Run = Value.define(:part, :count)
      Group = Value.define(:items, :times, fill: false)

      attr_reader :items

      def initialize(items)
        @items = items.freeze
        freeze
      end

      # @param repeats [Integer] times each filling group stands in it
      # @return [Array<Catalogue::Part>] part by part
      def expand(repeats = 0)
        Pattern.flatten(items, repeats)
      end

      # @param name [String] of the parameter @return [Array<String>] where in the pattern each part of #expand comes from
      def origins(repeats, name)
        Pattern.trace(items, repeats, name)
      end

      # @return [Integer] parts of #expand, without expanding anything
      def size(repeats = 0)
        Pattern.count(items, repeats)
      end

      # @return [Array<Catalogue::Part>] one of each filling group, empty when nothing fills
      def unit
        filling.flat_map { |group| Pattern.flatten(group.items, 0) }
      end

      def fills?
        filling.any?
      end

      # @return [Measure::Length] threaded on a line, without the filling groups
      def fixed_length
        Measure::Length.sum(expand(0).map(&:threaded))
      end

      def unit_length
        Measure::Length.sum(unit.map(&:threaded))
      end

      def empty?
        items.empty?
      end

      # @return [Boolean] whether it reads the same from both ends
      def palindrome?
        keys = expand(1).map(&:key)
        keys == keys.reverse
      end

      def self.count(items, repeats)
        items.sum { |item| item.is_a?(Run) ? item.count : count(item.items, repeats) * (item.fill ? repeats : item.times) }
      end

      def self.flatten(items, repeats)
        items.flat_map do |item|
          case item
          when Run then [item.part] * item.count
          else flatten(item.items, repeats) * (item.fill ? repeats : item.times)
          end
        end
      end

      def self.trace(items, repeats, at)
        items.each_with_index.flat_map do |item, index|
          here = "#{at}.#{index}"
          item.is_a?(Run) ? [here] * item.count : trace(item.items, repeats, here) * (item.fill ? repeats : item.times)
        end
      end

      private

      def filling
        @items.select { |item| item.is_a?(Group) && item.fill }
      end
    end
  end
end
