# frozen_string_literal: true

module Application
  module Merge
    # One kind of thing in another studio's file, beside what the studio has of it.
    class Kind
      # @param studio [Store::Studio] @param content [Formats::StudioFile::Content]
      def initialize(studio, content)
        @studio = studio
        @content = content
      end

      # @return [Array<Symbol>] of each thing in the file: :fresh, :alike or :differing
      def standings
        items.map { |item| standing(item) }
      end

      # @param theirs [Boolean] whether theirs comes where the two differ @return [Integer] how many came
      def bring(theirs:)
        chosen = items.select { |item| (theirs ? %i[fresh differing] : %i[fresh]).include?(standing(item)) }
        save(chosen)
        chosen.size
      end

      private

      # @return [Array] what the file has of it, each thing once
      def items
        @items ||= @content.items.fetch(name, []).uniq { |item| key(item) }
      end

      def standing(item)
        mine = here[key(item)]
        return :fresh if mine.nil?

        alike?(mine, item) ? :alike : :differing
      end

      def here
        @here ||= present.to_h { |item| [key(item), item] }
      end

      # What tells two of a kind apart.
      def key(item)
        item.key
      end

      def alike?(mine, item)
        mine == item
      end
    end
  end
end
