# frozen_string_literal: true

module Core
  module Supply
    # The cheapest packs that cover what is short, with each supplier's delivery and minimum order.
    #
    # For a given set of suppliers every thing is covered on its own, exactly. The cheapest set bounds every answer from below, so it
    # is the answer when its minimum orders are met; only otherwise, and where a pack holds several things, are all things weighed
    # together, by the integer program.
    class Packs
      # @param packs {Offer => number}
      # @param proven no cheaper combination exists
      Choice = Value.define(:packs, :proven) do
        # @return [Integer] minor units, without delivery
        def goods
          packs.sum { |offer, number| offer.price.minor * number }
        end
      end

      # More suppliers than this have too many sets to try each.
      MOST_SUPPLIERS = 6

      # @param wanted [Hash{Object=>Integer}] thing => units short; every one has an offer
      # @param offers [Hash{Object=>Array<(Offer, Integer)>}] thing => offers with the units one pack holds, at least 1
      # @param suppliers [Hash{String=>Supplier}]
      def initialize(wanted, offers, suppliers)
        @wanted = wanted.select { |_, units| units.positive? }
        @offers = offers
        @suppliers = @wanted.keys.flat_map { |thing|
          offers.fetch(thing).map { |offer, _|
            offer.supplier
          }
        }.uniq.map { |key| suppliers.fetch(key) }
        @all = suppliers
        @covers = {}
      end

      # @return [Choice]
      def call
        return Choice.new(packs: {}, proven: true) if @wanted.empty?
        return better_of(program, unproven) if @suppliers.size > MOST_SUPPLIERS || assorted?

        ways = sets.filter_map { |set| covered(set) }.sort_by(&:first).map(&:last)
        return ways.first if minimums_met?(ways.first)

        better_of(program, ways.find { |one| minimums_met?(one) }&.with(proven: false)) || ways.first.with(proven: false)
      end

      private

      # @return [Boolean] whether a pack holds several of the things
      def assorted?
        all = @wanted.keys.flat_map { |thing| @offers.fetch(thing).map(&:first) }
        all.any? { |offer| offer.also.any? } && all.tally.values.max > 1
      end

      def program
        PackProgram.new(@wanted, @offers, @all).call
      end

      # The program may have been ended before it found what covering each thing by itself finds.
      def better_of(*choices)
        choices.compact.min_by { |one| [minimums_met?(one) ? 0 : 1, total(one), one.proven ? 0 : 1] }
      end

      # @return [Integer] minor units, with delivery
      def total(choice)
        choice.goods + choice.packs.keys.map(&:supplier).uniq.sum { |key| @all.fetch(key).delivery.minor }
      end

      # The cheapest cover of each thing by itself: always an answer, seldom the best one.
      def unproven
        covered(@suppliers).last.with(proven: false)
      end

      def sets
        (1..@suppliers.size).flat_map { |size| @suppliers.combination(size).to_a }
      end

      # @return [Array(Integer, Choice), nil] cost with delivery; nil when something has no offer among these suppliers
      def covered(set)
        keys = set.map(&:key)
        covers = @wanted.map { |thing, units| cover(thing, units, keys) or return }
        [covers.sum(&:cost) + set.sum { |supplier|
          supplier.delivery.minor
        },
         Choice.new(packs: together(covers), proven: true)]
      end

      # A pack that several need covers each of them.
      def together(covers)
        covers.map(&:packs).reduce({}) { |all, one| all.merge(one) { |_, a, b| [a, b].max } }
      end

      def cover(thing, units, keys)
        among = @offers.fetch(thing).select { |offer, _| keys.include?(offer.supplier) }
        return if among.empty?

        @covers[among] ||= PackCover.of(units, among)
      end

      def minimums_met?(choice)
        choice.packs.group_by { |offer, _| offer.supplier }.all? do |key, packs|
          packs.sum { |offer, number| offer.price.minor * number } >= @all.fetch(key).minimum.minor
        end
      end
    end
  end
end
