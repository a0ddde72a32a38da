# frozen_string_literal: true

module Core
  module Planning
    # The pieces of one design that were fitted so far: people whose inputs are equal share one. May outlast a plan, as long as
    # the design and what it is made of stay the same.
    class Fittings
      # Pieces that are remembered.
      MOST = 500
      # Cured designs whose pieces are remembered.
      MOST_CURED = 30

      attr_reader :design

      # @param design [Project::Design] @param table [Catalogue::Table]
      def initialize(design, table)
        @design = design
        @table = table
        @blueprints = {}
        @pieces = LruCache.new(MOST)
        @cured = LruCache.new(MOST_CURED)
        @found = LruCache.new(MOST)
      end

      # @param colourway [String, nil] @param maker [Making::Maker]
      # @return [Piece, OutOfReach]
      def fit(colourway, measure, ease, maker)
        @pieces.fetch([colourway, measure, ease, maker]) { blueprint(colourway, maker.swatches).fit(measure, maker, ease: ease) }
      end

      # What was found of a piece holds for all that are made alike, whose work-ups are one and the same object.
      # @param piece [Piece] @param about [Object] what it was found by @yieldreturn [Object] found now, where it was not before
      def found(piece, about, &find)
        @found.fetch([piece.work_ups.object_id, about], &find)
      end

      # @param cure [Fit::Cure] @return [Fittings] of the design with it, which last as long as these
      # @raise [Error] where it cannot be applied
      def with_cure(cure)
        cure.for_person? ? self : @cured.fetch(cure.key) { Fittings.new(cure.apply(@design), @table) }
      end

      # @param swatches [Array<Catalogue::Swatch>] someone's own; they come before the studio's @return [Blueprint]
      def blueprint(colourway, swatches = [])
        @blueprints[[colourway, swatches]] ||= Sizing::Blueprint.new(@design,
          @table.measured_by(swatches).in_colourway(@design.colourways.fetch(colourway, {})))
      end
    end
  end
end
