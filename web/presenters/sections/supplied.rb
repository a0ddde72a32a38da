# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # What sections share that speak of the stock and of money.
      module Supplied
        def supply
          @reading.supply
        end

        def market
          @reading.market
        end

        def currency
          market.currency
        end

        def choices
          workshop.supply
        end

        # @return [Boolean] whether its kits have left the stock
        def taken?
          !@reading.taken.nil?
        end

        # @return [Core::Money]
        def money(minor)
          market.money(minor.round)
        end

        # @return [String] an amount as it would be typed
        def amount(minor)
          money(minor).to_s.split.first
        end

        # @return [String] the classes that took first
        def claimants(supply)
          supply.claimed_by.filter_map { |key| @reading.others[key] }.join(', ')
        end

        def reel(length)
          Formats::OfferText.reel(length)
        end

        # @param form [Symbol] that shows them @return [Settings]
        def supplies(form)
          Settings.new(Core::Setup::SupplySettings, form, choices, draft: draft(form), currency: currency)
        end
      end
    end
  end
end
