# frozen_string_literal: true

module Formats
  # Where the techniques of a map stand: a column a level, families together, in an order in which few lines cross. A line that passes a
  # level has a lane of its own there. The order is found by going to and fro over the columns, each put in order by the middle of what it
  # is joined to (K. Sugiyama, S. Tagawa and M. Toda, IEEE Transactions on Systems, Man and Cybernetics 11(2), 1981).
  class LadderLayout
    ROW = 50
    LANE = 12
    SWEEPS = 24

    # What stands in a column: techniques of a family, or a lane for the line of one need.
    Block = Struct.new(:techniques, :need, :y) do
      def height
        techniques.empty? ? LANE : techniques.size * ROW
      end

      # @return [Float] where the line of a technique of it, or of its need, passes
      def middle(technique = nil)
        technique ? y + (techniques.index(technique) * ROW) + (BOX / 2) : y + (LANE / 2)
      end
    end
    # Height of a technique's box.
    BOX = 40

    # @param ladder [Core::Steps::Ladder]
    def initialize(ladder)
      @needs = ladder.needs.reject { |before, technique| before.level == technique.level }
      @columns = ladder.families.each_with_index.map { |families, i| families.map { |one| Block.new(one) } + lanes(i + 1) }
      @block_of = @columns.flatten.flat_map { |block| block.techniques.map { |technique| [technique, block] } }.to_h
      stack
      sweep
    end

    # @return [Integer] height of the highest column
    def height
      @columns.map { |column| column.sum(&:height) }.max.to_i
    end

    # @return [Float] top of a technique's box
    def y(technique)
      @block_of.fetch(technique).middle(technique) - (BOX / 2)
    end

    # @return [Integer] how far down its family it stands
    def depth(technique)
      @block_of.fetch(technique).techniques.index(technique)
    end

    # @return [Array<(Technique, Technique, Array<Float>)>] each need over levels with the heights of its line, one for each level from the
    # one to the other
    def lines
      @needs.map { |before, technique| [before, technique, heights(before, technique)] }
    end

    # @return [Integer] how often two lines cross
    def crossings
      pairs = lines.flat_map { |before, _, heights| heights.each_cons(2).with_index.map { |(a, b), i| [before.level + i, a, b] } }
      pairs.group_by(&:first).values.sum do |same|
        same.combination(2).count { |(_, a, b), (_, c, d)| ((a - c) * (b - d)).negative? }
      end
    end

    private

    def lanes(level)
      @needs.select { |before, technique| before.level < level && level < technique.level }.map { |need| Block.new([], need) }
    end

    def heights(before, technique)
      between = ((before.level + 1)...technique.level).map { |level| lane(level, [before, technique]).middle }
      [@block_of[before].middle(before), *between, @block_of[technique].middle(technique)]
    end

    def lane(level, need)
      @columns[level - 1].find { |block| block.need == need }
    end

    # One under the other.
    def stack
      @columns.each do |column|
        column.reduce(0) do |top, block|
          block.y = top
          top + block.height
        end
      end
    end

    def sweep
      best = [crossings, @columns.map(&:dup)]
      SWEEPS.times do |i|
        order = (0...@columns.size).to_a
        (i.even? ? order : order.reverse).each { |column| arrange(column, i.even? ? -1 : 1) }
        best = [crossings, @columns.map(&:dup)] if crossings < best.first
      end
      @columns = best.last
      stack
    end

    # By the middle of what is joined to it on one side; what is joined to nothing there keeps its place.
    def arrange(column, side)
      middles = neighbours(column, side)
      @columns[column] = @columns[column].each_with_index.sort_by { |block, i| [middles.fetch(block.object_id, block.y), i] }.map(&:first)
      stack
    end

    # @return [Hash{Integer=>Float}] object id of a block => middle of its neighbours one column to the left or right
    def neighbours(column, side)
      met = Hash.new { |all, block| all[block] = [] }
      lines.each do |before, technique, heights|
        at = column + 1 - before.level
        next unless at.between?(0, heights.size - 1) && (at + side).between?(0, heights.size - 1)

        met[block_at(column + 1, before, technique).object_id] << heights[at + side]
      end
      met.transform_values { |heights| heights.sum / heights.size }
    end

    def block_at(level, before, technique)
      return @block_of[before] if level == before.level
      return @block_of[technique] if level == technique.level

      lane(level, [before, technique])
    end
  end
end
