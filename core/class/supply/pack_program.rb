# frozen_string_literal: true

module Core
  module Supply
    # The choice of packs as an integer program: a whole number of each pack, a yes or no for each supplier's delivery, and
    # each supplier's minimum order (a smaller order is filled up with what will be needed anyway). A pack may hold several things.
    class PackProgram
      # Of the search tree: as many as a large order needs; a count, so that a busy computer changes nothing.
      MOST_NODES = 20_000
      # The solver calls an answer the best when nothing is cheaper by more than this share: within one minor unit, that is proof.
      RELATIVE_GAP = 1e-4
      # In minor units: of two answers as cheap, the one with fewer packs.
      TIE = 1e-4

      # One pack to choose.
      #
      # @param held {thing => units in it}
      # @param most so many cover all that is wanted of what it holds
      Column = Value.define(:offer, :held, :most)

      # @param wanted [Hash{Object=>Integer}] thing => units short; every one has an offer
      # @param offers [Hash{Object=>Array<(Offer, Integer)>}] thing => offers with the units one pack holds
      # @param suppliers [Hash{String=>Supplier}]
      def initialize(wanted, offers, suppliers)
        @wanted = wanted
        @columns = columns(offers)
        @suppliers = @columns.map { |column| column.offer.supplier }.uniq.map { |key| suppliers.fetch(key) }
      end

      # @return [Packs::Choice, nil] nil when none was found within the nodes
      def call
        solved = solve
        counts = solved.values.first(@columns.size).map(&:round)
        got = ->(thing) { @columns.zip(counts).sum { |column, count| column.held.fetch(thing, 0) * count } }
        return unless @wanted.all? { |thing, units| got.(thing) >= units }

        packs = @columns.zip(counts).reject { |_, count| count.zero? }.to_h { |column, count| [column.offer, count] }
        choice = Packs::Choice.new(packs: packs, proven: false)
        choice.with(proven: solved.optimal && choice.goods * RELATIVE_GAP < 1)
      end

      private

      def columns(offers)
        held = Hash.new { |all, offer| all[offer] = {} }
        @wanted.each_key { |thing| offers.fetch(thing).each { |offer, units| held[offer][thing] = units } }
        held.map do |offer, things|
          Column.new(offer: offer, held: things, most: things.map { |thing, units| (@wanted[thing].to_r / units).ceil }.max)
        end
      end

      # Everything covered · no pack from a supplier without its delivery · no order below its supplier's minimum.
      def rows
        covering = @wanted.map { |thing, units| row(cells { |column| column.held[thing] }, least: units) }
        open = each_supplier { |supplier, own|
          row([*cells { |column| 1 if from?(column, supplier) }, [own, -most_packs(supplier)]], most: 0)
        }
        least = each_supplier { |supplier, own|
          next if supplier.minimum.zero?

          spent = cells { |column| column.offer.price.minor if from?(column, supplier) }
          row([*spent, [own, -supplier.minimum.minor]], least: 0)
        }
        covering + open + least
      end

      # @yieldparam own [Integer] the column that says whether anything is bought of a supplier
      def each_supplier
        @suppliers.each_with_index.filter_map { |supplier, i| yield supplier, @columns.size + i }
      end

      def from?(column, supplier)
        column.offer.supplier == supplier.key
      end

      def cells
        @columns.each_with_index.filter_map { |column, i| (value = yield(column)) && [i, value] }
      end

      # Enough to cover all that is wanted, or to reach the minimum with the cheapest pack.
      def most_packs(supplier)
        @columns.select { |column| from?(column, supplier) }.sum(&:most) + top_up(supplier)
      end

      def top_up(supplier)
        cheapest = @columns.filter_map { |column|
          column.offer.price.minor if from?(column, supplier) && column.offer.price.minor.positive?
        }.min
        cheapest ? (supplier.minimum.minor / cheapest) + 1 : 0
      end

      def row(cells, **bounds)
        LinearProgram::Row.new(cells: cells.to_h, **bounds)
      end

      def solve
        tops = @suppliers.to_h { |supplier| [supplier.key, top_up(supplier)] }
        upper = @columns.map { |column| column.most + tops.fetch(column.offer.supplier) } + ([1] * @suppliers.size)
        costs = @columns.map { |column| column.offer.price.minor + TIE } + @suppliers.map { |supplier| supplier.delivery.minor }
        LinearProgram.solve(costs: costs, upper: upper, rows: rows, nodes: MOST_NODES)
      end
    end
  end
end
