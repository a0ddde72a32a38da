# frozen_string_literal: true

module Application
  # How the stock is shared out among the coming classes whose kits have not left it.
  class StockSharing
    # @param kept [Core::LruCache] what each class got, as long as what it is worked out from is as it was
    def initialize(studio, moment, kept)
      @studio = studio
      @moment = moment
      @kept = kept
    end

    # @return [Hash{Integer=>Core::Supply::ClassSupply}] a class that cannot be built claims nothing
    def call
      claims = @moment.reserving.to_h { |stored| [stored.id, claim(stored)] }.compact
      Core::Supply::Allocation.new(@studio.ledger.stock, @moment.library.market, bought: @studio.ledger.bought, due: due,
        kept: @kept).call(claims)
    end

    private

    # Kept with its digest, so that a studio of many classes need not plan them all before one can be shown.
    def claim(stored)
      digest = "claim-#{@moment.inputs_digest(stored)}"
      known = Core::Supply::StockDemand.read(@studio.result_cache[digest], @moment.library.table)
      return known if known

      plan = @moment.outcome(stored)
      return unless plan.is_a?(Core::Planning::Plan)

      Core::Supply::StockDemand.of(plan).tap { |claim| @studio.result_cache.put(digest, claim.to_data) }
    end

    def due
      @studio.orders.open.group_by(&:class_id).transform_values do |ordered|
        entries = ordered.map { |one| Core::Supply::Entry.new(kind: one.kind, item: one.item, length: one.length,
          quantity: one.due, reason: :received) }
        Core::Supply::Stock.of(entries)
      end
    end
  end
end
