# frozen_string_literal: true

module Core
  module Catalogue
    # What metals are made of, as far as people are allergic to it. A part that says of itself whether it is without nickel is believed
    # before this table.
    #
    # @param contents {material => {metal => CONTAINS or MAY_CONTAIN}}, both as texts; the usual ones are from memory, and a studio keeps
    #   its own
    Alloys = Value.define(contents: {
      'brass' => { 'copper' => 'contains', 'brass' => 'contains' },
      'bronze' => { 'copper' => 'contains', 'nickel' => 'may_contain' },
      'copper' => { 'copper' => 'contains' },
      'nickel' => { 'nickel' => 'contains' },
      'nickel silver' => { 'nickel' => 'contains', 'copper' => 'contains' },
      'steel' => { 'nickel' => 'may_contain' },
      'gold' => { 'copper' => 'may_contain' },
      'white gold' => { 'nickel' => 'may_contain' },
      'silver' => { 'copper' => 'may_contain' },
      'plated' => { 'nickel' => 'may_contain', 'copper' => 'may_contain', 'brass' => 'may_contain' },
      'base metal' => { 'nickel' => 'may_contain', 'copper' => 'may_contain', 'brass' => 'may_contain' }
    }.transform_values(&:freeze).freeze) do
      # @param material [String, nil] @param metal [Symbol] one of METALS
      def contains?(material, metal)
        contents.dig(material, metal.to_s) == Alloys::CONTAINS
      end

      # Often it does: ask the supplier.
      # @return [Boolean] also of a material that is not known
      def may_contain?(material, metal)
        material.nil? || contents.dig(material, metal.to_s) == Alloys::MAY_CONTAIN
      end
    end

    class Alloys
      METALS = %i[nickel copper brass].freeze
      CONTAINS = 'contains'
      MAY_CONTAIN = 'may_contain'
    end
  end
end
