# frozen_string_literal: true

module Core
  module Making
    # One peg that a wire is bent round.
    #
    # @param x millimetres from the middle of the form @param y downward
    # @param across its diameter in millimetres @param degrees turned round it, negative against the clock
    Peg = Value.define(:x, :y, :across, :degrees)

    # Where pegs stand for a bent form, at true size.
    #
    # @param pegs [Array<Peg>] in the order of the wire
    # @param path [String] of the wire's middle, as an SVG path in millimetres about the middle of the form
    # @param left_at_foot [Measure::Length] of wire beyond the path at its beginning
    # @param left_at_end [Measure::Length] and at its end
    PegBoard = Value.define(:pegs, :path, :wire, :left_at_foot, :left_at_end)
  end
end
