# frozen_string_literal: true

module Core
  module Price
    # What a seat in a class costs and should cost. All amounts are Money for the whole class unless said.
    #
    # @param materials in the kits
    # @param wastage spares, and scrap less what it brings
    # @param time as chosen
    # @param venue see time
    # @param tools see time
    # @param people who pay
    # @param unpriced [part or line] without an offer to go by
    # @param margin hundredths of the price without value added tax
    # @param vat value added tax, hundredths on top
    # @param rounding minor units
    Seat = Value.define(:materials, :wastage, :time, :venue, :tools, :people, :unpriced, :margin, :rounding, vat: 0) do
      def fixed
        time + venue + tools
      end

      def total
        fixed + materials + wastage
      end

      # @return [Money, nil] a seat's price, with value added tax, that covers the cost and leaves the margin; nil without people
      def price
        people.zero? ? nil : price_for(people)
      end

      # @param number [Integer] of people, each with what a kit costs on average
      # @return [Money]
      def price_for(number)
        asked = (Rational(fixed.minor, number) + each) / (1 - Rational(margin, 100))
        fixed.with(minor: (asked * taxed).ceil).up_to(rounding)
      end

      # @return [Integer, nil] the fewest people who pay for the class at its price; nil when no number does
      def break_even
        over = price && (without_tax(price).minor - each)
        Rational(fixed.minor, over).ceil if over&.positive?
      end

      # @return [Money, nil] what all seats bring at its price; nil without people
      def brings
        price && (price * people)
      end

      # @return [Money] what is left over at its price
      def gain
        left_of(brings)
      end

      # @return [Money, nil] value added tax in what all seats bring; nil without people
      def tax
        brings && (brings - without_tax(brings))
      end

      # @param money [Money] taken for the class @return [Money] what is left once its tax and costs are paid; negative where it does not
      #   cover them
      def left_of(money)
        without_tax(money) - total
      end

      # Who pays how much of the class: shares sum to the total.
      # @return [Array<Money>]
      def shares
        total.allocate([1] * people)
      end

      private

      # Price with tax to price without.
      def taxed
        1 + Rational(vat, 100)
      end

      # @param money [Money] with tax
      def without_tax(money)
        money * (1 / taxed)
      end

      # Minor units of material for one person, not whole.
      def each
        Rational((materials + wastage).minor, [people, 1].max)
      end
    end

    class Seat
      # @param plan [Plan] @param supply [Supply::ClassSupply] @param market [Supply::Market]
      # @return [Seat]
      def self.of(plan, supply, market)
        choices = plan.workshop.supply
        cost = ->(item) { market.unit_cost(item) || 0 }
        used = plan.needs.sum { |need| need.count * cost.(need.part) } + plan.line_totals.sum { |line, total| total.nm * cost.(line) }
        lost = plan.spares.values.sum { |spares| spares.held(choices.spares) * cost.(spares.part) } + supply.lines.sum { |line|
          (line.cuts.scrap.nm * cost.(line.line)) - line.scrap_brings
        }
        hours = Rational(plan.workshop.minutes + choices.around_minutes, 60)
        new(materials: market.money(used.ceil), wastage: market.money(lost.ceil), time: market.money(choices.hour) * hours,
          venue: market.money(choices.venue),
          tools: market.money(choices.tools_share), people: plan.people.size, margin: choices.margin, vat: choices.vat,
          rounding: [choices.rounding, 1].max,
          unpriced: (plan.needs.map(&:part) + plan.line_totals.keys).reject { |item| market.unit_cost(item) })
      end
    end
  end
end
