# frozen_string_literal: true

module Core
  module Supply
    # The kits of a class as they are packed: what goes in each bag, in bagging order, and which bags are alike.
    class Kits
      # One thing of a kit.
      #
      # @param key within the kit
      # @param item part or line
      # @param count pieces or cuts
      # @param length of each cut, nil for a part
      Item = Value.define(:key, :item, :count, length: nil)
      # One bag.
      #
      # @param letter the same for kits that hold the same
      # @param person PersonPlan
      # @param items [Item], parts then cuts
      Kit = Value.define(:key, :letter, :person, :items)

      # @param plan [Plan]
      def initialize(plan)
        @people = plan.kits.select(&:fitted?)
      end

      # @return [Array<Kit>]
      def all
        letters = Hash.new { |hash, contents| hash[contents] = letter(hash.size) }
        @all ||= @people.map do |person|
          items = items(person)
          Kit.new(key: person.attendee.key, letter: letters[items], person: person, items: items)
        end
      end

      # @return [Hash{String=>String}] kit key => letter
      def letters
        all.to_h { |kit| [kit.key, kit.letter] }
      end

      private

      def items(person)
        person.needs.map { |need| Item.new(key: "part-#{need.part.key}", item: need.part, count: need.count) } +
          person.cuts.map { |cut|
            Item.new(key: "cut-#{cut.line.key}-#{cut.role}-#{cut.length.nm}", item: cut.line, count: cut.count, length: cut.length)
          }
      end

      # A to Z, then AA, AB ...
      def letter(number)
        name = 'A'
        number.times { name = name.next }
        name
      end
    end
  end
end
