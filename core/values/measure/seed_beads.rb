# frozen_string_literal: true

module Core
  module Measure
    # Seed bead sizes, approximately: they vary by make (common practice, no source). along: on the line
    module SeedBeads
      Size = Value.define(:name, :across, :along, :per_inch, :per_gram)

      SIZES = [['15/0', 1.5, 1.0, nil, nil],
               ['11/0', 2.15, 1.45, 19, 110],
               ['8/0', 3.05, 2.05, 12, 38],
               ['6/0', 4.0, 2.8, 9, 15]].map do |name, across, along, inch, gram|
        Size.new(name: name, across: Length.mm(across), along: Length.mm(along), per_inch: inch, per_gram: gram)
      end.freeze

      module_function

      # @return [Size] @raise [UnknownKey]
      def fetch(name)
        SIZES.find { |size| size.name == name } || raise(UnknownKey.new(:seed_bead_size, name, SIZES.map(&:name)))
      end

      # How far a bead may differ from a size and still be of it.
      NEAR = Length.mm(0.16)

      # @param along [Length] @param across [Length] @return [Size, nil] of the beads that measure so
      def like(along, across)
        SIZES.find { |size| (size.along - along).abs <= NEAR && (size.across - across).abs <= NEAR }
      end

      # @return [Float, nil] grams of so many beads; nil where no count per gram is known
      def grams(size, count)
        size.per_gram && count.fdiv(size.per_gram)
      end

      # @return [Integer, nil] beads in so many grams
      def count(size, grams)
        size.per_gram && (grams * size.per_gram).round
      end
    end
  end
end
