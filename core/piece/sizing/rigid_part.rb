# frozen_string_literal: true

module Core
  module Sizing
    # A sort of part on a closed line, in millimetres. number: of the sort, from 0 · half: of the line that it takes
    # height: of the line above the skin in it
    # profile: how it meets its neighbours, see Making::ThreadedElement. Equal parts are one object, so that what is found of one holds for
    # all.
    class RigidPart
      attr_reader :number, :half, :height, :profile
      # While it stands on the body: how far its hole's ends are from the middle of the body, and the angle there from its own middle to
      # them. For bare line that leaves it: how long it runs until it lies on the body, and over which angle.
      attr_reader :distance, :lean, :tangent, :down

      # @param element [Making::ThreadedElement]
      def self.of(element, number)
        new(number, element.along.to_mm / 2, element.height.to_mm, element.profile)
      end

      def initialize(number, half, height, profile)
        @number = number
        @half = half
        @height = height
        @profile = profile
        @distance = @lean = @tangent = @down = 0.0
      end

      # @param radius [Float] of the body @param rest [Float, nil] how far bare line on it is from its middle; nil where there is none
      def stand_on(radius, rest)
        @distance = Math.hypot(radius + height, half)
        @lean = Math.atan(half / (radius + height))
        return unless rest

        square = (@distance * @distance) - (rest * rest)
        @tangent = square > 0 ? Math.sqrt(square) : 0.0
        @down = rest < @distance ? Math.acos(rest / @distance) : 0.0
      end
    end
  end
end
