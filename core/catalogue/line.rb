# frozen_string_literal: true

module Core
  module Catalogue
    # Thread, cord, cable, wire, elastic or rope. thickness: diameter · rated_load_grams: nil when the maker states none
    # reel_length: what one reel, hank or coil holds, nil when not known · material: nil when not known
    Line = Value.define(:key, :name, :kind, :thickness, colour: '#6b7280', rated_load_grams: nil, reel_length: nil, material: nil)

    class Line
      prepend Keyed

      KINDS = %i[cable thread cord wire memory_wire elastic rope].freeze
    end
  end
end
