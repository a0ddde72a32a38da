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
      MM = 1e6

      # @param row [Array<Construction::Element>] @param overlap [Measure::Length] that lies on the rest
      def initialize(row, wraps: 1, overlap: Measure::Length::ZERO)
        @total = row.sum { |element| element.along.nm } / MM
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
      # Lengths along the line are whole nanometres here, so that equal stretches are found to be equal.
      def read(row)
        first = row.index { |element| !element.bare? } || 0
        @solids, @along, @bare = [], [], []
        @kinds = {}
        row.rotate(first).each { |element| element.bare? ? add_bare(element) : add(element) }
        @skin = row.select(&:bare?).map { |element| element.height.to_mm }.max || 0.0
        @level = @kinds.each_value.map(&:height).uniq.size <= 1 && @bare.none?(&:positive?)
      end

      def add(element)
        @along << element.along.nm
        kind = [element.along, element.height, element.profile]
        @solids << (@kinds[kind] ||= Solid.new(element.along.to_mm / 2, element.height.to_mm, element.profile))
        @bare << 0
      end

      def add_bare(element)
        @bare[-1] += element.along.nm if @bare.any?
      end

      def close
        @slack = 0.0
        tallest = @kinds.each_value.map(&:height).max || @skin
        @radius = (@total / @turns) - tallest
        return if @solids.empty?
        return @radius = [@radius, 0.0].max if @solids.size < 3 && @bare.none?(&:positive?)

        @radius = [@radius, tallest / 4].max
        start(tallest)
        last = nil
        settled = @level
        MOST_ROUNDS.times do |round|
          lay
          now = [@radius, @angle - full_turn(tallest)]
          @radius = [nearer(now, last, tallest), now.first / 4].max
          last = now
          step = (@radius - now.first).abs
          next if step > NEAR || (settled && step > CLOSE_ENOUGH)
          break if settled && step < CLOSE_ENOUGH

          settled = !settle(joints, lifting: round < LIFTING_ROUNDS)
          next if settled

          stretch_out
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
        first = @solids.index { |solid| solid.height == tallest }
        [@solids, @along, @bare].each { |list| list.rotate!(first) }
        @standing = (0...@solids.size).to_a
        @upto, @bare_upto = sums(@along.zip(@bare).map(&:sum)), sums(@bare)
        @known = {}
        @angle = @turns
        stand(@solids)
        lift(spread) unless @level
        stretch_out
      end

      # @return [Array<Integer>] of all before each place, twice round
      def sums(lengths)
        (lengths + lengths).each_with_object([0]) { |length, sums| sums << (sums.last + length) }
      end

      # The line between those that stand: [Stretch] in their order, and how often each.
      def stretch_out
        @stretches = @standing.each_with_index.map { |from, i| stretch(from, @standing[i + 1] || @standing.first) }
        @counts = @stretches.tally
        @on_body = @stretches.map(&:from).uniq
        around = @radius + @solids.first.height
        @counts.each_key { |stretch| stretch.guess(around) }
      end

      def stretch(from, to)
        run, bare = between(from, to)
        touching = to == (from + 1) % @solids.size
        parts = @solids.values_at(from, (from + 1) % @solids.size, (to - 1) % @solids.size, to)
        @known[[*parts, run, bare, touching]] ||= Stretch.new(parts, run / MM, bare: bare, touching: touching)
      end

      # @return [Array<Float>] about where the middle of each part lies, by length alone
      def spread
        @solids.each_index.map { |i| (@upto[i] + ((@along[i] - @along.first) / 2.0)) / MM * @turns / @total }
      end

      def full_turn(tallest)
        return @turns if @wraps == 1

        around = 2 * Math::PI * (@radius + tallest)
        @turns * Math.hypot(around, @widest) / around
      end

      # Lays all out at this radius.
      def lay
        @on_body.each { |solid| solid.stand_on(@radius) }
        @angle = @slack = 0.0
        @counts.each do |stretch, times|
          stretch.lay(@radius + @skin)
          @angle += stretch.turn * times
          @slack += stretch.gap * times
        end
      end

      def stand(solids)
        solids.uniq.each { |solid| solid.stand_on(@radius) }
      end

      # From one that stands to the next: where its hole ends, and how the line goes on.
      Joint = Struct.new(:from, :to, :start, :near, :far, :span, :bare)

      # @return [Array<Joint>] as laid
      def joints
        angle = 0.0
        @standing.each_with_index.map do |from, i|
          stretch = @stretches[i]
          one, other = stretch.from, stretch.to
          start = angle + one.lean
          angle += stretch.turn
          Joint.new(from, @standing[i + 1] || @standing.first, start, one.distance, other.distance, stretch.span, stretch.bare?)
        end
      end

      # @return [(Integer, Boolean)] nanometres of what lies between two that stand, and whether any of it bends by itself
      def between(from, to)
        to += @solids.size if to <= from
        [@upto[to] - @upto[from] - @along[from], @bare_upto[to] > @bare_upto[from]]
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
        stand(@standing.map { |index| @solids[index] })
        @standing = @standing.each_with_object([]) { |index, kept| keep(kept, index, middles) }
        @standing.pop while @standing.size > 2 && lifted?(@standing[-2], @standing[-1], @standing[0], middles)
      end

      # Those that stood, and those that the line would press into the body.
      def pressed(joints, middles)
        joints.flat_map do |joint|
          inner = within(joint).select { |index| height_on(joint, middles[index]) < @radius + @solids[index].height - TOUCHING }
          [joint.from, *inner]
        end
      end

      # @return [Array<Integer>] the places between the two of a joint
      def within(joint)
        till = joint.to <= joint.from ? joint.to + @solids.size : joint.to
        ((joint.from + 1)...till).map { |index| index % @solids.size }
      end

      # Puts one more after those kept, and takes out again what the line then lifts.
      def keep(kept, index, middles)
        kept.pop while kept.size > 1 && lifted?(kept[-2], kept[-1], index, middles)
        kept << index
      end

      def lifted?(before, index, after, middles)
        return false if index.zero?

        one, other = @solids.values_at(before, after)
        start = middles[before] + one.lean
        finish = middles[after] - other.lean + (after <= before ? @angle : 0.0)
        return false if finish - start >= Math::PI

        joint = Joint.new(before, after, start, one.distance, other.distance, finish - start, between(before, after).last)
        height_on(joint, middles[index]) > @radius + @solids[index].height + TOUCHING
      end

      # @return [Array<Float>] the angle at which the middle of each part lies
      def middles(joints)
        found = Array.new(@solids.size, 0.0)
        joints.each do |joint|
          found[joint.from] = joint.start - @solids[joint.from].lean
          length, = between(joint.from, joint.to)
          gone = @upto[joint.from] + @along[joint.from]
          within(joint).each do |index|
            upto = index < joint.from ? @upto[index + @solids.size] : @upto[index]
            found[index] = joint.start + (joint.span * (upto - gone + (@along[index] / 2.0)) / length)
          end
        end
        found
      end

      # How far the line between two that stand is from the middle of the body, at an angle.
      def height_on(joint, angle)
        gone = angle - joint.start
        rest = @radius + @skin
        if joint.bare && joint.span > Stretch.touch(joint.near, rest) + Stretch.touch(joint.far, rest)
          down, up = Stretch.touch(joint.near, rest) - gone, Stretch.touch(joint.far, rest) - (joint.span - gone)
          return down.positive? ? rest / Math.cos(down) : up.positive? ? rest / Math.cos(up) : rest
        end
        joint.near * joint.far * Math.sin(joint.span) / ((joint.near * Math.sin(gone)) + (joint.far * Math.sin(joint.span - gone)))
      end
    end
  end
end
