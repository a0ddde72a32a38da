# frozen_string_literal: true

module Core
  module Cutting
    # Cuts pieces from what is on hand and from as few new reels as can be, and says whether fewer are impossible; then, with
    # their number kept, takes the shortest reels that will do, and leaves bars alone that are not needed.
    #
    # First fit decreasing first; where the sum of lengths does not prove it best, the linear bound over cutting patterns
    # (Gilmore and Gomory, "A linear programming approach to the cutting-stock problem", Operations Research 9, 1961),
    # and that solution rounded, what is left over packed again.
    class Reels
      # What is left is kept from this length on (from memory).
      USABLE = Measure::Length.mm(250)
      LIFTS = [0.0, 0.3, 0.5, 0.7].freeze
      MOST_COMBINATIONS = 2000
      # Sets of reels for which no way to cut was found before it is given up.
      MOST_DOUBTFUL = 40

      # @param pieces [Array<WantedCut>] @param reel_lengths [Array<Measure::Length>] of reels that can be bought; may be empty
      # @param on_hand [Hash{Measure::Length=>Integer}] bars in stock, offcuts and reels
      # @return [CutPlan] every piece that fits anything stands in exactly one bar
      def self.plan(pieces, reel_lengths, on_hand: {}, usable: USABLE)
        new(pieces, Array(reel_lengths), on_hand, usable).plan
      end

      # The same cuts from other new reels: every choice of them from which none can be left out.
      #
      # @param plans [CutPlan], the one with the fewest new reels first
      # @param doubtful [[Measure::Length]] choices for which no way to cut was found, nor that there is none
      # @param all whether no choice was left out for want of time
      Choice = Value.define(:plans, :doubtful, :all)

      # @return [Choice] see .plan for the rest
      def self.choices(pieces, reel_lengths, on_hand: {}, usable: USABLE)
        new(pieces, Array(reel_lengths), on_hand, usable).choices
      end

      def initialize(pieces, reel_lengths, on_hand, usable)
        @pieces = pieces.sort_by { |piece| -piece.length }
        @reel_lengths = reel_lengths.uniq.sort
        @reel = @reel_lengths.last
        @stock = on_hand.select { |_, count| count.positive? }.sort.flat_map { |length, count| [length] * [count, pieces.size].min }
        @usable = usable
      end

      # @return [CutPlan]
      def plan
        longest = [@reel, @stock.last].compact.max
        return CutPlan.new(bars: [], bound: 0, too_long: [], unplaced: @pieces, usable: @usable) if longest.nil?

        fitting, too_long = @pieces.partition { |piece| piece.length <= longest }
        bars, bound, unplaced = fitting.empty? ? [[], 0, []] : best(fitting)
        CutPlan.new(bars: tidied(bars).sort_by { |bar|
          [bar.fresh? ? 1 : 0, -bar.length]
        }, bound: bound, too_long: too_long, unplaced: unplaced, usable: @usable)
      end

      # @return [Choice]
      def choices
        first = plan
        fresh = first.new_reels
        return Choice.new(plans: [first], doubtful: [], all: true) if fresh.empty? || @reel_lengths.size == 1

        pieces = fresh.flat_map(&:pieces).sort_by { |piece| -piece.length }
        sets = ReelSets.new(pieces, @reel_lengths)
        found = [fresh.map(&:length)]
        doubtful = []
        others = sets.all.first(MOST_COMBINATIONS).filter_map do |set|
          next if doubtful.size >= MOST_DOUBTFUL || found.any? { |held| within?(held, set) }
          next doubtful.push(set) && nil unless (bars = held_by(pieces, set))

          found << set
          first.with(bars: (first.on_hand + bars).sort_by { |bar| [bar.fresh? ? 1 : 0, -bar.length] })
        end
        Choice.new(plans: [first, *others], doubtful: doubtful,
          all: sets.lengths == @reel_lengths && sets.all.size <= MOST_COMBINATIONS && doubtful.size < MOST_DOUBTFUL)
      end

      private

      # @return [Boolean] whether a set of reels is part of another
      def within?(some, others)
        some.tally.all? { |length, number| others.count(length) >= number }
      end

      # @return [Array(Array<Bar>, Integer, Array<WantedCut>)] bars, bound on new reels, pieces without a place
      def best(pieces)
        return from_stock_alone(pieces) if @reel.nil?

        bound = by_sum(pieces)
        plans = [@stock, @stock.reverse].uniq.map { |stock| filled_up(pieces, stock) }
        if fewest(plans) > bound && pieces.first.length <= @reel
          relaxed = PatternProgram.new(pieces.map { |piece| piece.length.nm }.tally, @reel.nm, @stock.map(&:nm).tally).solve
          bound = [bound, (relaxed.value - 1e-6).ceil].max
          plans += LIFTS.map { |lift| rounded(pieces, relaxed, lift) } if fewest(plans) > bound
        end
        [plans.min_by { |bars| merit(bars) }, bound, []]
      end

      def fewest(plans)
        plans.map { |bars| bars.count(&:fresh?) }.min
      end

      # Fewest new reels, then the least length opened, so that offcuts go first; then least scrap, then fewest bars.
      def merit(bars)
        [bars.count(&:fresh?), bars.sum { |bar| bar.length.nm }, bars.map(&:left).select { |left| left < @usable }.sum(&:nm), bars.size]
      end

      # No plan with fewer new reels has enough length, even if every bar on hand were used to its end.
      def by_sum(pieces)
        shortest = pieces.last.length
        held = Measure::Length.sum(@stock.select { |length| length >= shortest })
        [((Measure::Length.sum(pieces.map(&:length)) - held) / @reel).ceil, 0].max
      end

      def from_stock_alone(pieces)
        bars = fill(pieces.dup, @stock.reverse)
        placed = bars.flat_map(&:pieces)
        [bars, 0, without(pieces, placed)]
      end

      # Bars on hand in this order, each as full as it can be, then new reels.
      def filled_up(pieces, stock)
        left = pieces.dup
        fill(left, stock) + first_fit(left)
      end

      # Takes what is placed out of the pieces it is given.
      def fill(left, stock)
        stock.filter_map do |length|
          taken = fullest(left, length)
          next if taken.empty?

          taken.each { |piece| take_out(left, piece) }
          Bar.new(length: length, pieces: taken.sort_by { |piece| -piece.length }, fresh: false)
        end
      end

      # The pieces that fill a length best: subset sum over the pieces' common grid, the sums that can be reached held as bits.
      def fullest(pieces, length)
        grid = pieces.map { |piece| piece.length.nm }.reduce(:gcd) or return []
        sizes = pieces.map { |piece| piece.length.nm / grid }
        room = (1 << ((length.nm / grid) + 1)) - 1
        reached = sizes.reduce([1]) { |sums, size| sums << (sums.last | ((sums.last << size) & room)) }
        at = reached.last.bit_length - 1
        (pieces.size - 1).downto(0).each_with_object([]) do |i, taken|
          next if reached[i][at] == 1

          at -= sizes[i]
          taken << pieces[i]
        end
      end

      # @param pieces [Array<WantedCut>] longest first
      def first_fit(pieces)
        room = []
        held = pieces.each_with_object([]) do |piece, reels|
          at = room.index { |left| left >= piece.length } || reels.size
          (reels[at] ||= []) << piece
          room[at] = (room[at] || @reel) - piece.length
        end
        held.map { |same| Bar.new(length: @reel, pieces: same) }
      end

      # Whole patterns of the relaxed solution, then what is left where there is room.
      def rounded(pieces, relaxed, lift)
        waiting = pieces.group_by { |piece| piece.length.nm }.transform_values(&:dup)
        bars = relaxed.patterns.sort_by { |*, times| -times }.flat_map do |length, held, counts, times|
          Array.new((times + lift).floor) { counts.flat_map { |size, count| waiting[size].shift(count) } }.reject(&:empty?)
            .map { |taken| Bar.new(length: Measure::Length.new(length), pieces: taken, fresh: !held) }
        end
        bars, spilled = within(bars)
        refill(bars, (waiting.values.flatten + spilled).sort_by { |piece| -piece.length })
      end

      # No more bars than are on hand: rounding up may have taken one too many.
      def within(bars)
        kept = bars.group_by { |bar|
          [bar.fresh?, bar.length]
        }.flat_map { |(new, length), same| new ? same : same.first(@stock.count(length)) }
        [kept, without(bars.flat_map(&:pieces), kept.flat_map(&:pieces))]
      end

      # Puts what is left where there is room, then on bars not yet opened, then on new reels.
      def refill(bars, left)
        homeless = left.reject do |piece|
          at = bars.index { |bar| bar.left >= piece.length }
          bars[at] = bars[at].adding([piece]) if at
        end
        return bars if homeless.empty?

        unopened = bars.reject(&:fresh?).each_with_object(@stock.dup) { |bar, rest| rest.delete_at(rest.index(bar.length)) }
        more = fill(homeless, unopened)
        bars + more + (homeless.empty? ? [] : first_fit(homeless))
      end

      # Equal pieces may be one object: each that is placed takes one away.
      def without(pieces, placed)
        placed.each_with_object(pieces.dup) { |piece, left| take_out(left, piece) }
      end

      def take_out(pieces, piece)
        pieces.delete_at(pieces.index { |other| other.equal?(piece) })
      end

      # Pieces move out of bars that others have room for, and new reels become as short as will do.
      def tidied(bars)
        shorter(emptied(bars))
      end

      def emptied(bars)
        bars.sort_by { |bar| bar.pieces.sum { |piece| piece.length.nm } }.reduce(bars) do |all, bar|
          rest = all.reject { |other| other.equal?(bar) }
          next all if rest.size == all.size || (bar.fresh? && rest.none?(&:fresh?) && rest.empty?)

          moved = bar.pieces.reduce(rest) do |others, piece|
            at = others&.index { |other| other.left >= piece.length }
            at && others.each_with_index.map { |other, i| i == at ? other.adding([piece]) : other }
          end
          moved || all
        end
      end

      # With their number kept: combinations of reel lengths, the shortest first, until one holds all of the new reels' pieces.
      def shorter(bars)
        fresh = bars.select(&:fresh?)
        return bars if fresh.empty? || @reel_lengths.size == 1

        pieces = fresh.flat_map(&:pieces).sort_by { |piece| -piece.length }
        needed = Measure::Length.sum(pieces.map(&:length))
        combinations = @reel_lengths.repeated_combination(fresh.size).select { |lengths|
          lengths.last >= pieces.first.length && lengths.sum(&:nm) >= needed.nm
        }
        found = combinations.sort_by { |lengths| lengths.sum(&:nm) }.first(MOST_COMBINATIONS)
          .lazy.filter_map { |lengths| held_by(pieces, lengths) }.first
        bars.reject(&:fresh?) + (found || fresh)
      end

      def held_by(pieces, lengths)
        left = pieces.dup
        bars = fill(left, lengths.sort).map { |bar| bar.with(fresh: true) }
        bars if left.empty?
      end
    end
  end
end
