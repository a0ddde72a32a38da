# frozen_string_literal: true

module Core
  module Making
    # Finds the whole number of repeats, and of fillers, that comes nearest to a target length.
    #
    # Among candidates: smallest deviation first, then fewest fillers, then the longer (a loose piece can be worn).
    # Without fillers the deviation is never more than half a step.
    module Repeats
      module_function

      # @param fill [Fill] @param target [Measure::Length]
      # @return [Solution, OutOfReach]
      def solve(fill, target)
        return out_of_reach(fill, target) unless reachable?(fill, target)

        best, *others = nearest(fill, target, 1 + OPTIONS)
        solution(fill, target, best, Lazy.new { others.map { |other| solution(fill, target, other) } })
      end

      # Other ways that are told: as far as two steps to either side, for a piece that came out far from what was asked for.
      REACH = 2
      OPTIONS = 2 * REACH

      # @return [Array<(Integer, Integer)>] repeats and fillers, the best first
      def nearest(fill, target, number)
        most_fillers = fill.filler ? fill.filler.most : 0
        room = target.nm - fill.base.nm
        fewest = ((room - (filler_step(fill) * most_fillers)).div(fill.step.nm) - REACH).clamp(fill.fewest, fill.most)
        most = (room.div(fill.step.nm) + REACH).clamp(fill.fewest, fill.most)
        ways = []
        fewest.upto(most) do |repeats|
          next unless fill.allows?(repeats)

          0.upto(most_fillers) { |fillers| ways << [(length(fill, repeats, fillers) - target.nm).abs, fillers, -repeats] }
        end
        ways.min(number).map { |_, fillers, negative| [-negative, fillers] }
      end

      # @param way [(Integer, Integer)] repeats and fillers
      def solution(fill, target, way, other_ways = Lazy::NOTHING)
        repeats, fillers = way
        length = Measure::Length.new(length(fill, repeats, fillers))
        Solution.new(repeats: repeats, fillers: fillers, length: length, deviation: length - target, target: target,
          other_ways: other_ways)
      end

      # @return [Integer] nanometres
      def length(fill, repeats, fillers)
        fill.base.nm + (fill.step.nm * repeats) + (filler_step(fill) * fillers)
      end

      def filler_step(fill)
        fill.filler ? fill.filler.step.nm : 0
      end

      # Half a step short of the fewest repeats still counts as near enough.
      def reachable?(fill, target)
        step = fill.step.nm
        room = target.nm - fill.base.nm + ((step + 1) / 2)
        step.positive? && room.between?(step * fill.fewest, step * (fill.most + 1))
      end

      def out_of_reach(fill, target)
        least = fill.base + (fill.step * fill.fewest)
        most = fill.base + (fill.step * fill.most)
        if target > most
          return OutOfReach.new(target: target, causes: [Cause.new(code: :too_long, values: { most: most, target: target })],
            cures: [Cause.new(code: :shorten_by, values: { by: target - most })])
        end
        cause = fill.centre >= target ? Cause.new(code: :centre_too_wide, values: { centre: fill.centre, target: target })
                                      : Cause.new(code: :fixed_parts_too_long, values: { least: least, target: target })
        OutOfReach.new(target: target, causes: [cause],
          cures: [Cause.new(code: :take_out, values: { by: least - target }),
          Cause.new(code: :wear_longer, values: { by: least - target })])
      end
      private_class_method :nearest, :solution, :length, :filler_step, :reachable?, :out_of_reach
    end
  end
end
