# frozen_string_literal: true

require 'csv'

module Formats
  # An order as CSV, one row a pack to buy; amounts of money with the currency beside them.
  module OrderCsv
    HEADINGS = ['supplier', 'article', 'item', 'packs', 'content', 'price of a pack', 'cost', 'currency'].freeze

    module_function

    # @param order [Core::Supply::PurchaseOrder] @param market [Core::Supply::Market] @param supplier [String, nil] key of one only
    # @param table [Core::Catalogue::Table, nil] names what comes in an assortment @return [String] UTF-8
    def write(order, market, supplier: nil, table: nil)
      CSV.generate do |csv|
        csv << HEADINGS
        order.purchases.select { |bought| supplier.nil? || bought.offer.supplier == supplier }.each do |bought|
          csv << [market.suppliers.fetch(bought.offer.supplier).name,
                  bought.offer.article,
                  [bought.item.name, OfferText.others(bought.also, table)].reject(&:empty?).join(' '),
                  bought.number,
                  OfferText.content(bought.offer, :mm),
                  amount(bought.offer.price),
                  amount(bought.cost),
                  order.currency].map { |cell|
            SafeCell.call(cell)
          }
        end
      end
    end

    def amount(money)
      money.to_s.delete_suffix(" #{money.currency}")
    end
    private_class_method :amount
  end
end
