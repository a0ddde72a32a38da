# frozen_string_literal: true

module Core
  module Construction
    # What one component comes to at one length: the only thing sizing, fit, bill, cutting, techniques, forecast,
    # drawing and printing know of a construction.
    #
    # parts: [PartUse] · cuts: [Cut] · steps: [StepUse] · joins: [Join] · drawing: Lazy of [Shape] · lengths: Lengths
    # ends: {first: End, last: End} where the neighbours on the path attach · anchors: {place => Anchor} where things hang
    WorkUp = Value.define(:parts, :cuts, :steps, :joins, :drawing, :lengths, ends: {}.freeze, anchors: {}.freeze) do
      # @return [Array<Shape>] what it looks like, laid flat
      def layout
        drawing.value
      end
    end
  end
end
