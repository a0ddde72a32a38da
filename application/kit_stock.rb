# frozen_string_literal: true

module Application
  # What a class's kits do to the stock: an order is placed, arrives, and the kits leave and come back. Each is one change, all or nothing.
  class KitStock
    # @param studio [Store::Studio] @param results [Results]
    def initialize(studio, results)
      @studio = studio
      @results = results
    end

    # @return [Array<Core::Supply::Purchase>] what was put on order from one supplier
    def order(id, supplier)
      @studio.write do
        bought = purchases(id, supplier)
        @studio.orders.place(id, bought)
        bought
      end
    end

    # Puts on the shelf what has come of an order, for the class it was ordered for.
    # @param counts [Hash{Integer=>Integer}] id of what was ordered => units that came
    # @param paid [Hash{Integer=>Integer}] id => minor units paid for those, where that was written down
    # @return [Integer] how many things came
    def receive(id, counts, paid = {})
      @studio.write do
        arrived = @studio.orders.of(id).filter_map { |ordered|
          (count = [counts.fetch(ordered.id, 0), ordered.due].min).positive? && [ordered, count]
        }
        arrived.each { |ordered, count| @studio.orders.arrive(ordered.id, count, paid[ordered.id]) }
        @studio.shelve(arrived.map { |ordered, count| entry(ordered, count) })
        arrived.size
      end
    end

    # Takes a class's kits and spares from the stock: parts, the bars they are cut from, and what is left of those comes back as offcuts.
    # Its prices are kept as they are now.
    # @raise [Store::Shortfall] when something is not on the shelf; then nothing is taken @raise [Store::NotFound]
    # @return [Boolean] false when they had left already
    def take(id)
      @studio.write do
        result = @results.of(id)
        next false if @studio.ledger.taken_by(id).any? || result.supply.nil?

        @studio.seat_costs.put(id, { 'seat' => SeatRecord.write(result.seat_costs) })
        @studio.ledger.post(Core::Supply::Taking.entries(result.supply, id, note: result.workshop.title))
        true
      end
    end

    # Brings back all that a class's kits took. @raise [Store::Shortfall]
    def put_back(id)
      @studio.write do
        title = @studio.classes.title(id)
        @studio.ledger.post(@studio.ledger.taken_by(id).map { |entry|
          entry.with(quantity: -entry.quantity, reason: :returned, note: title)
        })
        @studio.seat_costs.remove(id)
      end
    end

    private

    def purchases(id, supplier)
      @results.of(id).supply&.order&.by_supplier&.fetch(supplier, nil) || []
    end

    def entry(ordered, count)
      name = @studio.market.all.suppliers[ordered.supplier]&.name.to_s
      Core::Supply::Entry.new(kind: ordered.kind, item: ordered.item, quantity: count, reason: :received, note: name,
        length: ordered.length, class_id: ordered.class_id)
    end
  end
end
