# frozen_string_literal: true

module Core
  module Sizing
    # A sort of part on a closed line, in millimetres. number: of the sort, from 0 · half: of the line that it takes
    # height: of the line above the skin in it
    # profile: how it meets its neighbours, see Construction::Element. Equal parts are one object, so that what is found of one holds for
    # all.
    class Solid
      attr_reader :number, :half, :height, :profile
      # While it stands on the body: how far its hole's ends are from the middle of the body, and the angle there from its own middle to
      # them.
      attr_reader :distance, :lean

      # @param element [Construction::Element]
      def self.of(element, number)
        new(number, element.along.to_mm / 2, element.height.to_mm, element.profile)
      end

      def initialize(number, half, height, profile)
        @number = number
        @half = half
        @height = height
        @profile = profile
      end

      # @param radius [Float] of the body
      def stand_on(radius)
        @distance = Math.hypot(radius + height, half)
        @lean = Math.atan(half / (radius + height))
      end
    end
  end
end
