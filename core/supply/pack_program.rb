# frozen_string_literal: true

require 'highs'

module Core
  module Supply
    # The choice of packs as an integer program: a whole number of each pack, a yes or no for each supplier's delivery, and
    # each supplier's minimum order (a smaller order is filled up with what will be needed anyway).
    # Solved by HiGHS (Huangfu and Hall, Mathematical Programming Computation 10, 2018).
    class PackProgram
      SECONDS = 2.0
      # The solver calls an answer the best when nothing is cheaper by more than this share: within one minor unit, that is proof.
      RELATIVE_GAP = 1e-4
      # In minor units: of two answers as cheap, the one with fewer packs.
      TIE = 1e-4

      # @param wanted [Hash{Object=>Integer}] thing => units short; every one has an offer
      # @param offers [Hash{Object=>Array<(Offer, Integer)>}] thing => offers with the units one pack holds
      # @param suppliers [Hash{String=>Supplier}]
      def initialize(wanted, offers, suppliers)
        @wanted = wanted
        @columns = wanted.keys.flat_map { |thing|
          offers.fetch(thing).map { |offer, units|
            [thing, offer, units, (wanted[thing].to_r / units).ceil]
          }
        }
        @suppliers = @columns.map { |_, offer, _, _| offer.supplier }.uniq.map { |key| suppliers.fetch(key) }
      end

      # @return [Packs::Choice, nil] nil when none was found in time
      def call
        solved = program.solve(time_limit: SECONDS)
        counts = solved[:col_value].first(@columns.size).map(&:round)
        return if @columns.zip(counts).group_by { |(thing, *), _| thing }.any? { |thing, all|
          all.sum { |(_, _, units, _), count|
            units * count
          } < @wanted[thing]
        }

        packs = @columns.zip(counts).reject { |_, count| count.zero? }.to_h { |(_, offer, _, _), count| [offer, count] }
        choice = Packs::Choice.new(packs: packs, proven: false)
        choice.with(proven: solved[:status] == :optimal && choice.goods * RELATIVE_GAP < 1)
      end

      private

      # Rows: every thing covered · no pack from a supplier without its delivery · no order below its supplier's minimum.
      def rows
        things = @wanted.keys
        covering = things.map { |thing| [entries { |of, _, units, _| units if of == thing }, @wanted[thing], 1e30] }
        open = @suppliers.each_with_index.map { |supplier, i|
          [[*entries { |_, offer, _, _|
            1 if offer.supplier == supplier.key
          },
            [@columns.size + i, -most_packs(supplier)]],
           -1e30,
           0]
        }
        least = @suppliers.each_with_index.reject { |supplier, _| supplier.minimum.zero? }
          .map { |supplier, i|
          [[*entries { |_, offer, _, _|
            offer.price.minor if offer.supplier == supplier.key
          },
            [@columns.size + i, -supplier.minimum.minor]],
           0,
           1e30]
        }
        covering + open + least
      end

      def entries
        @columns.each_with_index.filter_map { |column, i| (value = yield(*column)) && [i, value] }
      end

      # Enough to cover all that is wanted, or to reach the minimum with the cheapest pack.
      def most_packs(supplier)
        mine = @columns.select { |_, offer, _, _| offer.supplier == supplier.key }
        mine.sum { |column| column.last } + top_up(supplier)
      end

      def top_up(supplier)
        cheapest = @columns.filter_map { |_, offer, _, _|
          offer.price.minor if offer.supplier == supplier.key && offer.price.minor.positive?
        }.min
        cheapest ? (supplier.minimum.minor / cheapest) + 1 : 0
      end

      def program
        table = rows
        upper = @columns.map { |_, offer, _, most|
          most + top_up(@suppliers.find { |s|
            s.key == offer.supplier
          })
        } + ([1] * @suppliers.size)
        costs = @columns.map { |_, offer, _, _| offer.price.minor + TIE } + @suppliers.map { |supplier| supplier.delivery.minor }
        starts = table.reduce([0]) { |all, (cells, _, _)| all << (all.last + cells.size) }[0...-1]
        cells = table.flat_map(&:first)
        Highs.mip(sense: :minimize, col_cost: costs.map(&:to_f), col_lower: [0.0] * upper.size, col_upper: upper.map(&:to_f),
          row_lower: table.map { |row| row[1].to_f }, row_upper: table.map { |row| row[2].to_f }, a_format: :rowwise,
          a_start: starts, a_index: cells.map(&:first), a_value: cells.map { |cell| cell.last.to_f }, integrality: [1] * upper.size)
      end
    end
  end
end
