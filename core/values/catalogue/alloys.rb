# frozen_string_literal: true

module Core
  module Catalogue
    # What metals are made of, as far as people are allergic to it (from memory). A part that says of itself whether it is without nickel is
    # believed before this table.
    module Alloys
      # Holds it for certain.
      HOLDS = {
        brass: %w[brass],
        copper: ['copper', 'brass', 'bronze', 'nickel silver'],
        nickel: ['nickel', 'nickel silver']
      }.freeze
      # Often holds it: ask the supplier.
      MAY_HOLD = {
        brass: ['plated', 'base metal'],
        copper: ['plated', 'base metal', 'gold', 'silver'],
        nickel: ['steel', 'plated', 'base metal', 'white gold', 'bronze']
      }.freeze

      module_function

      # @param material [String, nil]
      # @param metal [Symbol] :nickel, :copper or :brass
      def holds?(material, metal)
        HOLDS.fetch(metal).include?(material)
      end

      # @return [Boolean] also of a material that is not known
      def may_hold?(material, metal)
        material.nil? || MAY_HOLD.fetch(metal).include?(material)
      end
    end
  end
end
