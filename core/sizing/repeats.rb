# frozen_string_literal: true

module Core
  module Sizing
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

        best, *others = candidates(fill, target).sort_by { |s| [s.deviation.abs, s.fillers, -s.length] }
        best.with(options: others.first(3).freeze)
      end

      def candidates(fill, target)
        room = fill.filler ? fill.filler.step * fill.filler.most : Measure::Length::ZERO
        fewest = ((target - fill.base - room) / fill.step).floor - 1
        most = ((target - fill.base) / fill.step).floor + 1
        (fewest.clamp(fill.fewest, fill.most)..most.clamp(fill.fewest, fill.most)).flat_map do |repeats|
          (0..(fill.filler ? fill.filler.most : 0)).map { |fillers| solution(fill, target, repeats, fillers) }
        end
      end

      def solution(fill, target, repeats, fillers)
        length = fill.base + (fill.step * repeats)
        length += fill.filler.step * fillers if fillers.positive?
        Solution.new(repeats: repeats, fillers: fillers, length: length, deviation: length - target, target: target)
      end

      # Half a step short of the fewest repeats still counts as near enough.
      def reachable?(fill, target)
        return false unless fill.step.positive?

        (target + (fill.step / 2)).between?(fill.base + (fill.step * fill.fewest), fill.base + (fill.step * (fill.most + 1)))
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
      private_class_method :candidates, :solution, :reachable?, :out_of_reach
    end
  end
end
