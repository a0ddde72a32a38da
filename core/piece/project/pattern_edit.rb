# frozen_string_literal: true

module Core
  module Project
    # Changes to a pattern's data. A path is a list of positions: [2] is the third item, [2, 0] the first inside it.
    # Every change gives new data back; one that cannot be made gives the same data.
    module PatternEdit
      MOST_COUNT = 500

      module_function

      # @param items [Array<Hash>] a pattern's data @param path [Array<Integer>] where the new item will stand
      def insert(items, path, item)
        within(items, path) { |list, at| list.dup.insert(at.clamp(0, list.size), item) }
      end

      def remove(items, path)
        within(items, path) { |list, at| list.reject.with_index { |_, i| i == at } }
      end

      # @param by [Integer] places, negative towards the start; stays within its list
      def move(items, path, by)
        within(items, path) do |list, at|
          next list unless list[at]

          rest = list.reject.with_index { |_, i| i == at }
          rest.insert((at + by).clamp(0, rest.size), list[at])
        end
      end

      def count(items, path, by)
        change(items, path) do |item|
          name = item.key?('repeat') ? 'times' : 'count'
          item['fill'] ? item : item.merge(name => (item.fetch(name, 1) + by).clamp(1, MOST_COUNT))
        end
      end

      # @param part [String] key @return [Array<Hash>] with this part at a path, as many as there were
      def replace(items, path, part)
        change(items, path) { |item| item.key?('part') ? item.merge('part' => part) : item }
      end

      # @return [Array<Hash>] with one part in the place of another, wherever it stands
      def replace_alike(items, from, part)
        items.map do |item|
          next item.merge('repeat' => replace_alike(item['repeat'], from, part)) if item['repeat'].is_a?(Array)

          item['part'] == from ? item.merge('part' => part) : item
        end
      end

      # Joins an item with the one after it into a group.
      def group(items, path)
        within(items, path) do |list, at|
          next list unless list[at]

          [*list.first(at), { 'repeat' => list[at, 2], 'times' => 1 }, *list.drop(at + 2)]
        end
      end

      def ungroup(items, path)
        within(items, path) { |list, at| list.flat_map.with_index { |item, i| i == at && item['repeat'] ? item['repeat'] : [item] } }
      end

      # Makes this item repeat until the length is met, as often as others that do; a second time takes that back.
      def fill(items, path)
        at = path.first
        items.each_with_index.map do |item, i|
          if i != at then item
          elsif item['fill'] then item.except('fill').merge('times' => 1)
          elsif item['repeat'] then item.except('times').merge('fill' => true)
          else { 'repeat' => [item], 'fill' => true }
          end
        end
      end

      # @return [Hash, nil] the item at a path
      def item(items, path)
        path.drop(1).reduce(items[path.first]) { |found, at| found && found['repeat'] && found['repeat'][at] }
      end

      # @return [Array<Integer>, nil] where this very item stands
      def path_of(items, wanted)
        items.each_with_index do |item, index|
          return [index] if item.equal?(wanted)

          inside = item['repeat'].is_a?(Array) && path_of(item['repeat'], wanted)
          return [index, *inside] if inside
        end
        nil
      end

      def within(items, path, &block)
        return items unless items.is_a?(Array) && path.any?
        return block.call(items, path.first) if path.size == 1
        return items unless items[path.first].is_a?(Hash) && items[path.first]['repeat']

        items.each_with_index.map { |item, i|
          i == path.first ? item.merge('repeat' => within(item['repeat'], path.drop(1), &block)) : item
        }
      end

      def change(items, path)
        within(items, path) { |list, at| list.each_with_index.map { |item, i| i == at ? yield(item) : item } }
      end
      private_class_method :within, :change
    end
  end
end
