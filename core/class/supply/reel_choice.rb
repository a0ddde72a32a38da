# frozen_string_literal: true

module Core
  module Supply
    # Which new reels are bought for the cuts of a class: those that cost least with delivery and minimum, the fewest, or those that leave
    # least over. Reels over patterns by price: Gilmore and Gomory, Operations Research 9 (1961). The deliveries of what the parts need
    # anyway are paid once.
    class ReelChoice
      # @param lines [LineSupply] with the cuts that were chosen
      # @param proven whether no other choice of reels is cheaper
      Chosen = Value.define(:lines, :proven)

      # Combinations of the choices for several lines that are priced one by one.
      MOST = 300

      # @param parts [Array<PartSupply>] @param lines [Array<LineSupply>] @param market [Market] @param by [Symbol] one of
      # the ways of SupplySettings#reels
      # @param offcuts [Integer] hundredths of its price that what is kept of a new reel counts for, where reels are chosen by price
      def initialize(parts, lines, market, by, offcuts: 0)
        @kept = Rational(offcuts, 100)
        @parts = parts
        @lines = lines
        @market = market
        @by = by
      end

      # @return [Chosen]
      def call
        return Chosen.new(lines: @lines, proven: true) if @by == :fewest || @lines.none? { |line| choices(line).size > 1 }
        return Chosen.new(lines: least_over, proven: true) if @by == :waste

        options = @lines.map { |line| affordable(line) }
        exact = options.map(&:size).reduce(1, :*) <= MOST
        best = exact ? options.first.product(*options.drop(1)).min_by { |cuts| cost(cuts) } : in_turn(options)
        lines = @lines.zip(best).map { |line, cuts| line.with(cuts: cuts) }
        Chosen.new(lines: lines, proven: exact && @parts.none? { |part| part.short.positive? } && certain?(lines, cost(best)))
      end

      # @param bought [Array<(LineSupply, Hash{Measure::Length=>Integer})>] @return [Integer] minor units
      def price(bought)
        wanted = bought.flat_map { |line, reels| reels.map { |length, number| [[line.line, length], number] } }.to_h
        offered = wanted.keys.to_h { |line, length| [[line, length], offers(line, length).map { |offer| [offer, 1] }] }
        return Float::INFINITY if offered.values.any?(&:empty?)

        choice = Packs.new(wanted, offered, suppliers).call
        choice.goods + choice.packs.keys.map(&:supplier).uniq.sum { |key| suppliers.fetch(key).delivery.minor }
      end

      # @param cuts [Array<Cutting::CutPlan>] a line each
      # @return [Array] what the reels cost with delivery, less what is kept of them, then what is left over
      def cost(cuts)
        kept = @lines.zip(cuts).sum { |line, plan| worth(line, plan) }
        [price(@lines.zip(cuts.map(&:to_buy))) - kept, *over_all(cuts)]
      end

      private

      def choices(line)
        line.cuts.unplaced.any? ? [line.cuts] : line.choice.plans
      end

      def least_over
        @lines.map { |line| line.with(cuts: choices(line).min_by { |cuts| over(cuts) }) }
      end

      # Ties go to what leaves less over, then to fewer reels.
      def over(cuts)
        [Measure::Length.sum(cuts.new_reels.map(&:left)).nm, cuts.new_reels.size]
      end

      # Without those that cost more than the cheapest and every delivery there is: they can never be the better ones.
      def affordable(line)
        priced = choices(line).filter_map { |cuts| (price = goods(line, cuts.to_buy)) && [cuts, price - worth(line, cuts)] }
        return [line.cuts] if priced.empty?

        most = priced.map(&:last).min + @market.suppliers.values.sum { |supplier| supplier.delivery.minor + supplier.minimum.minor }
        priced.select { |_, price| price <= most }.sort_by(&:last).map(&:first)
      end

      # @return [Integer, nil] minor units, where each length is cheapest; nil where nobody sells it
      def goods(line, reels)
        prices = reels.map do |length, number|
          least = offers(line.line, length).map { |offer| offer.price.minor }.min
          least && (least * number)
        end
        prices.include?(nil) ? nil : prices.sum
      end

      def offers(line, length)
        @market.reels_of(line).select { |offer| offer.length == length }
      end

      # @return [Numeric] minor units that the offcuts of new reels count for, and what scrap of precious wire brings
      def worth(line, cuts)
        line.scrap_brings(cuts) + (@kept.zero? ? 0 : offcuts_worth(line, cuts))
      end

      def offcuts_worth(line, cuts)
        cuts.new_reels.select { |reel| reel.left >= cuts.usable }.sum do |reel|
          least = offers(line.line, reel.length).map { |offer| offer.price.minor }.min
          least ? @kept * least * Rational(reel.left.nm, reel.length.nm) : 0
        end
      end

      # @return [Numeric] minor units: no choice costs less
      def least_without_minimums
        free = ReelChoice.new(@parts, @lines, @market.without_minimums, @by, offcuts: @kept * 100)
        free.cost(free.call.lines.map(&:cuts)).first
      end

      # @return [Numeric] minor units: the most that the leftovers of these reels are worth as scrap
      def most_of_scrap(line, lengths)
        line.scrap_brings(line.cuts.with(bars: lengths.map { |length| Cutting::Bar.new(length: length, pieces: []) },
          usable: lengths.max + Measure::Length.mm(1)))
      end

      def over_all(cuts)
        cuts.map { |plan| over(plan) }.transpose.map(&:sum)
      end

      # A supplier who delivers parts to this class can deliver its reels without another delivery charge.
      def suppliers
        @suppliers ||= begin
          free = @market.money(0)
          needed = PurchaseOrder.for(@parts, [], @market).by_supplier.keys
          @market.suppliers.to_h { |key, supplier| [key, needed.include?(key) ? supplier.with(delivery: free, minimum: free) : supplier] }
        end
      end

      # Line after line, the others kept, until nothing gets cheaper.
      def in_turn(options)
        best = options.map(&:first)
        loop do
          before = cost(best)
          options.each_index do |i|
            changes = options[i].map { |cuts| best.dup.tap { |changed| changed[i] = cuts } }
            best = changes.min_by { |changed| cost(changed) }
          end
          break best if cost(best) == before
        end
      end

      # A choice that nobody found a way to cut could still be possible, and cheaper; and where a minimum makes it dearer, other reels
      # could fill the order up for less.
      def certain?(lines, cost)
        return false if @market.suppliers.values.any? { |supplier| supplier.minimum.minor.positive? } && least_without_minimums < cost.first

        lines.all? do |line|
          line.choice.all && line.choice.doubtful.none? do |lengths|
            (price = goods(line, lengths.tally)) && (price * (1 - @kept)) - most_of_scrap(line, lengths) < cost.first
          end
        end
      end
    end
  end
end
