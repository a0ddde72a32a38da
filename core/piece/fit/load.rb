# frozen_string_literal: true

module Core
  module Fit
    # What a joint of a piece carries: all that hangs below it.
    class Load
      # Pieces catch and are pulled on: a joint is asked to bear so many times the weight (from memory).
      SAFETY = 5
      # Beyond this share of what a joint bears it is worth a look (from memory).
      NEAR = 0.8

      def initialize
        @scales = Catalogue::Scales.new
        @of_component = {}.compare_by_identity
        @weights = {}.compare_by_identity
      end

      # @param piece [Sizing::Piece] @param component [String] @return [Array<Making::PartUse>] its own parts, and all that hangs below:
      # the same list for people who make the same
      def carried(piece, component)
        own = piece.work_ups.fetch(component).parts
        below = piece.hung_below.fetch(component, [])
        return own if below.empty?

        @of_component[own] ||= own + below.flat_map { |other| piece.work_ups.fetch(other).parts }
      end

      # @return [(Array<Catalogue::Part>, Float)] those of unknown weight, grams of all where there are none
      def weight(uses)
        @weights[uses] ||= @scales.unknown(uses).then { |unknown| [unknown, unknown.empty? ? @scales.grams(uses) : nil] }
      end

      # @param share [Float, Integer] what is asked, as a share of what is borne @return [Symbol]
      def self.status(share)
        return :will_not if share > 1

        share > NEAR ? :tight : :fits
      end
    end
  end
end
