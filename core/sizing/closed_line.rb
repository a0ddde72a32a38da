# frozen_string_literal: true

module Core
  module Sizing
    # A line with all that is on it, closed round a body that is taken as a circle. It answers how long the inside is, and how much line
    # must stay bare so that the piece can bend at all. Plane geometry:
    #
    # What is tall enough stands on the body, its hole axis square to the radius at its middle. What lies lower is lifted by the taut line
    # and lies straight between two that stand. Neighbours touch on the inside of the curve, by their profiles; the line runs straight
    # from hole to hole. Bare line goes down to the body and along it, or straight across where it is short. The angles between those that
    # stand add up to a full turn. For n equal parts of length a this is 2π(a / (2 sin(π/n)) - a/2) for balls, π·a / tan(π/n) for flat
    # faces. Several turns lie on a helix whose pitch is the widest part.
    class ClosedLine
      # In millimetres.
      CLOSE_ENOUGH = 3e-4
      # A part that the line passes less than this above stands on the body.
      TOUCHING = 1e-6
      # Who stands is looked at when the radius moves no more than this.
      NEAR = 0.05
      MOST_ROUNDS = 60
      # Where two ways to lie take turns, what stood once stands from here on.
      LIFTING_ROUNDS = 30

      # @param row [Array<Construction::Element>] @param overlap [Measure::Length] that lies on the rest
      def initialize(row, wraps: 1, overlap: Measure::Length::ZERO)
        @total = row.sum { |element| element.along.to_mm }
        @wraps = wraps
        @turns = 2 * Math::PI * wraps * @total / [@total - overlap.to_mm, 1e-9].max
        @widest = row.map { |element| element.width.to_mm }.max || 0.0
        read(row)
        close
      end

      # @return [Measure::Length] once round the body
      def inside
        Measure::Length.mm(2 * Math::PI * @radius)
      end

      # @return [Measure::Length] line between the parts, on the whole piece
      def slack
        Measure::Length.mm(@slack)
      end

      private

      # Parts by place, and after each the bare line up to the next. Bare line before the first belongs after the last.
      def read(row)
        solids = row.each_index.reject { |i| row[i].bare? }
        first = solids.first || 0
        @half, @height, @profile, @bare = [], [], [], []
        row.rotate(first).each { |element| element.bare? ? add_bare(element.along.to_mm) : add(element) }
        @skin = row.select(&:bare?).map { |element| element.height.to_mm }.max || 0.0
        @level = @height.uniq.size <= 1 && @bare.none?(&:positive?)
      end

      def add(element)
        @half << (element.along.to_mm / 2)
        @height << element.height.to_mm
        @profile << element.profile
        @bare << 0.0
      end

      def add_bare(length)
        @bare[-1] += length if @bare.any?
      end

      def close
        @slack = 0.0
        tallest = @height.max || @skin
        @radius = (@total / @turns) - tallest
        return if @half.empty?
        return @radius = [@radius, 0.0].max if @half.size < 3 && @bare.none?(&:positive?)

        @radius = [@radius, tallest / 4].max
        start(tallest)
        last = nil
        settled = @level
        MOST_ROUNDS.times do |round|
          joints = lay
          now = [@radius, @angle - full_turn(tallest)]
          @radius = [nearer(now, last, tallest), now.first / 4].max
          last = now
          step = (@radius - now.first).abs
          next if step > NEAR || (settled && step > CLOSE_ENOUGH)
          break if settled && step < CLOSE_ENOUGH

          settled = !settle(joints, lifting: round < LIFTING_ROUNDS)
          next if settled

          guess_bends
          last = nil
        end
      end

      # The next radius to try: in proportion to the angle at first, then by the secant through the last two.
      # @param now [(Float, Float)] radius and how much more than a full turn it makes
      def nearer(now, last, tallest)
        radius, over = now
        return radius + ((radius + tallest) * over / @turns) if last.nil? || (over - last[1]).abs < 1e-12

        step = over * (radius - last[0]) / (over - last[1])
        radius - step.clamp(-radius / 2, radius)
      end

      # The tallest comes first: it is sure to stand.
      def start(tallest)
        first = @height.index(tallest)
        [@half, @height, @profile, @bare].each { |list| list.rotate!(first) }
        @standing = (0...@half.size).to_a
        @upto, @bare_upto = sums(@half.zip(@bare).map { |half, bare| (2 * half) + bare }), sums(@bare)
        @bends, @bends_before = [], []
        @angle = @turns
        @ends, @leans = Array.new(@half.size), Array.new(@half.size)
        measure_ends(@half.each_index)
        lift(spread) unless @level
        guess_bends
      end

      # @return [Array<Float>] of all before each place, twice round
      def sums(lengths)
        (lengths + lengths).each_with_object([0.0]) { |length, sums| sums << (sums.last + length) }
      end

      # How far the line bends on leaving and on reaching each that stands, by length alone.
      def guess_bends
        @standing.each_with_index do |from, i|
          to = @standing[i + 1] || @standing.first
          run, = between(from, to)
          around = @radius + @height.first
          @bends[from] = (@half[from] + (run.zero? ? @half[to] : run / 2)) / around
          @bends_before[to] = (@half[to] + (run.zero? ? @half[from] : run / 2)) / around
        end
      end

      # @return [Array<Float>] about where the middle of each part lies, by length alone
      def spread
        gone = -@half.first
        @half.each_index.map do |i|
          middle = gone + @half[i]
          gone += (2 * @half[i]) + @bare[i]
          middle * @turns / @total
        end
      end

      def full_turn(tallest)
        return @turns if @wraps == 1

        around = 2 * Math::PI * (@radius + tallest)
        @turns * Math.hypot(around, @widest) / around
      end

      # From one that stands to the next: where its middle is, its hole's end, and how the line goes on.
      Joint = Struct.new(:from, :to, :start, :near, :far, :span, :bends_freely)

      # Lays all out at this radius. @return [Array<Joint>]
      def lay
        @angle = @slack = 0.0
        measure_ends(@standing)
        @standing.each_with_index.map { |from, i| joint(from, @standing[i + 1] || @standing.first) }
      end

      def joint(from, to)
        near, far = @ends[from], @ends[to]
        run, free = between(from, to)
        gap = free ? 0.0 : gap(from, to)
        span = span_of(run + gap, near, far, free)
        leaving, arriving = @leans[from], @leans[to]
        found = Joint.new(from, to, @angle + leaving, near, far, span, free)
        bend(from, to, run + gap, found, leaving, arriving)
        @angle += leaving + span + arriving
        @slack += gap
        found
      end

      # How far the hole's ends of parts that stand are from the middle of the body, and the angle there from a part's middle to them.
      def measure_ends(indices)
        indices.each do |i|
          @ends[i] = Math.hypot(@radius + @height[i], @half[i])
          @leans[i] = Math.atan(@half[i] / (@radius + @height[i]))
        end
      end

      # @return [(Float, Boolean)] what lies between two that stand, and whether any of it bends by itself
      def between(from, to)
        to += @half.size if to <= from
        [@upto[to] - @upto[from] - (2 * @half[from]), @bare_upto[to] > @bare_upto[from]]
      end

      # The angle at the body's middle under a straight run, or one down to the body, along it and up again.
      def span_of(length, near, far, free)
        rest = @radius + @skin
        if free && length > tangent(near, rest) + tangent(far, rest)
          return touch(near, rest) + touch(far, rest) + ((length - tangent(near, rest) - tangent(far, rest)) / rest)
        end

        Math.acos((((near**2) + (far**2) - (length**2)) / (2 * near * far)).clamp(-1.0, 1.0))
      end

      def tangent(distance, rest)
        Math.sqrt([(distance**2) - (rest**2), 0.0].max)
      end

      def touch(distance, rest)
        Math.acos((rest / distance).clamp(-1.0, 1.0))
      end

      # How far the line bends where it leaves the one and where it enters the other.
      def bend(from, to, length, joint, leaving, arriving)
        if to == (from + 1) % @half.size || length < TOUCHING
          @bends[from] = @bends_before[to] = leaving + joint.span + arriving
        else
          foot = joint.near * joint.far * Math.sin(joint.span) / length
          @bends[from] = leaving + touch(joint.near, foot)
          @bends_before[to] = arriving + touch(joint.far, foot)
        end
      end

      def gap(from, to)
        following = (from + 1) % @half.size
        return opening(from, to, @bends[from]) if following == to

        opening(from, following, @bends[from]) + opening((to - 1) % @half.size, to, @bends_before[to])
      end

      # Line between the holes of two that touch where it bends so far.
      def opening(one, other, angle)
        return 0.0 if @profile[one] == :pointed || @profile[other] == :pointed || angle <= 0
        return mixed(one, other, angle) if @profile[one] != @profile[other]

        half = angle / 2
        @profile[one] == :round ? rolled(one, half) + rolled(other, half) : 2 * [@height[one], @height[other]].min * Math.sin(half)
      end

      # A ball, or an ellipse of revolution, against a face that leans so far.
      def rolled(index, lean)
        Math.hypot(@half[index] * Math.cos(lean), @height[index] * Math.sin(lean)) - (@half[index] * Math.cos(lean))
      end

      # The ball rolls on the other's face up to its edge, then the edge opens.
      def mixed(one, other, angle)
        ball, face = @profile[one] == :round ? [one, other] : [other, one]
        rolls = [angle, Math.atan(@height[face] * @half[ball] / (@height[ball]**2))].min
        rolled(ball, rolls) + (@height[face] * Math.sin(angle - rolls))
      end

      # Who stands at this radius. @return [Boolean] whether that changed
      def settle(joints, lifting:)
        middles = middles(joints)
        before = @standing
        @standing = pressed(joints, middles)
        lift(middles) if lifting
        @standing != before
      end

      def lift(middles)
        measure_ends(@standing)
        @standing = @standing.each_with_object([]) { |index, kept| keep(kept, index, middles) }
        @standing.pop while @standing.size > 2 && lifted?(@standing[-2], @standing[-1], @standing[0], middles)
      end

      # Those that stood, and those that the line would press into the body.
      def pressed(joints, middles)
        joints.flat_map do |joint|
          inner = []
          index = joint.from + 1
          until index % @half.size == joint.to % @half.size
            inner << index if height_on(joint, middles[index]) < @radius + @height[index] - TOUCHING
            index += 1
          end
          [joint.from, *inner]
        end
      end

      # Puts one more after those kept, and takes out again what the line then lifts.
      def keep(kept, index, middles)
        kept.pop while kept.size > 1 && lifted?(kept[-2], kept[-1], index, middles)
        kept << index
      end

      def lifted?(before, index, after, middles)
        return false if index.zero?

        start = middles[before] + @leans[before]
        finish = middles[after] - @leans[after] + (after <= before ? @angle : 0.0)
        return false if finish - start >= Math::PI

        joint = Joint.new(before, after, start, @ends[before], @ends[after], finish - start, between(before, after).last)
        height_on(joint, middles[index]) > @radius + @height[index] + TOUCHING
      end

      # @return [Array<Float>] the angle at which the middle of each part lies
      def middles(joints)
        found = Array.new(@half.size, 0.0)
        joints.each do |joint|
          found[joint.from] = joint.start - @leans[joint.from]
          length, = between(joint.from, joint.to)
          gone = @bare[joint.from]
          index = joint.from + 1
          until index % @half.size == joint.to
            found[index] = joint.start + (joint.span * (gone + @half[index]) / length)
            gone += (2 * @half[index]) + @bare[index]
            index += 1
          end
        end
        found
      end

      # How far the line between two that stand is from the middle of the body, at an angle.
      def height_on(joint, angle)
        gone = angle - joint.start
        rest = @radius + @skin
        if joint.bends_freely && joint.span > touch(joint.near, rest) + touch(joint.far, rest)
          down, up = touch(joint.near, rest) - gone, touch(joint.far, rest) - (joint.span - gone)
          return down.positive? ? rest / Math.cos(down) : up.positive? ? rest / Math.cos(up) : rest
        end
        joint.near * joint.far * Math.sin(joint.span) / ((joint.near * Math.sin(gone)) + (joint.far * Math.sin(joint.span - gone)))
      end
    end
  end
end
