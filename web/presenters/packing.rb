# frozen_string_literal: true

module Web
  module Presenters
    # Packing the kits of a class: what goes in each bag, and what is already in it.
    class Packing
      attr_reader :id, :plan

      def initialize(studio, plan, id)
        @studio = studio
        @plan = plan
        @id = id
      end

      def kits
        @kits ||= Core::Supply::Kits.new(plan).all
      end

      def packed?(kit, item)
        marks[[kit.key, item.key]]
      end

      def full?(kit)
        kit.items.all? { |item| packed?(kit, item) }
      end

      # @return [Integer] things of one kit that are in its bag
      def done(kit)
        kit.items.count { |item| packed?(kit, item) }
      end

      # @return [Array(Integer, Integer)] full bags, and bags in all
      def progress
        [kits.count { |kit| full?(kit) }, kits.size]
      end

      # @return [Integer] hundredths of all things that are in their bags
      def percent
        all = kits.sum { |kit| kit.items.size }
        all.zero? ? 0 : kits.sum { |kit| done(kit) } * 100 / all
      end

      # @return [Boolean] whether the kits have left the stock
      def taken?
        @taken ||= @studio.ledger.taken_by(id).any? ? :yes : :no
        @taken == :yes
      end

      def weight(item)
        item.length ? '' : Formats::OfferText.handed_out(item.item, item.count)
      end

      private

      # Marks of things that no longer belong in a kit count for nothing: their keys are never asked for.
      def marks
        @marks ||= @studio.packing.of(id).to_h { |pair| [pair, true] }
      end
    end
  end
end
