# frozen_string_literal: true

module Core
  module Sizing
    # The pieces of one design that were fitted so far: whoever differs in nothing that matters shares one. May outlast a plan, as long as
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
        @pieces = {}
        @cured = {}
        @found = {}.compare_by_identity
      end

      # @param colourway [String, nil] @param maker [Construction::Maker]
      # @return [Piece, OutOfReach]
      def fit(colourway, measure, ease, maker)
        key = [colourway, measure, ease, maker]
        forget if @pieces.size >= MOST
        @pieces[key] ||= blueprint(colourway, maker.swatches).fit(measure, maker, ease: ease)
      end

      # What was found of a piece holds for all that are made alike, and is kept as long as they are.
      # @param piece [Piece] @param about [Object] what it was found by @yieldreturn [Object] found now, where it was not before
      def found(piece, about)
        known = @found[piece.work_ups] ||= {}
        known.fetch(about) { known[about] = yield }
      end

      # @param cure [Fit::Cure] @return [Fittings] of the design with it, which last as long as these
      # @raise [Error] where it cannot be applied
      def with_cure(cure)
        return self if cure.for_person?

        @cured.shift if @cured.size >= MOST_CURED
        @cured[cure.key] ||= Fittings.new(cure.apply(@design), @table)
      end

      # @param swatches [Array<Catalogue::Swatch>] somebody's own; they come before the studio's @return [Blueprint]
      def blueprint(colourway, swatches = [])
        @blueprints[[colourway, swatches]] ||= Blueprint.new(@design,
          @table.measured_by(swatches).in_colourway(@design.colourways.fetch(colourway, {})))
      end

      private

      def forget
        piece = @pieces.shift.last
        @found.delete(piece.work_ups) if piece.is_a?(Piece)
      end
    end
  end
end
