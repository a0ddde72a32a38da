# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      class FlowerChain
        # The way of both threads through flowers and separators.
        module Weaving
          # Slots of one flower: the first petal, upper left, lower left, the middle, upper right, lower right, the last petal,
          # the separators above and below. A thread that comes in below leaves above, and the other way round. With each slot: whether the
          # thread enters it from the far side.
          FROM_BELOW = [[0, false], [1, false], [3, false], [5, true], [6, true], [7, false]].freeze
          FROM_ABOVE = [[0, true], [2, true], [3, true], [4, false], [6, false], [8, false]].freeze
          # The same where both petals of a side are threaded at once; both ends come back through the centre towards the start.
          ROUND_FROM_BELOW = [[0, false], [1, false], [4, false], [3, true], [2, true], [5, true], [6, true], [7, false]].freeze
          ROUND_FROM_ABOVE = [[0, true], [2, true], [5, true], [3, true], [1, false], [4, false], [6, false], [8, false]].freeze
          ROUTES = { across: [FROM_BELOW, FROM_ABOVE], out_and_round: [ROUND_FROM_BELOW, ROUND_FROM_ABOVE] }.freeze
          PETALS_AT = [180, 120, 240, nil, 60, 300, 0].freeze

          private

          # @param number [Integer] of flowers @return [Threads]
          def threads(number)
            flowers = (0...number).map { |i| slots_of(i, last: i == number - 1) }
            ways = { 'first' => [], 'second' => [] }
            flowers.each_with_index do |slots, i|
              start = i * flowers.first.size
              { 'first' => i.even?, 'second' => i.odd? }.each do |name, below|
                passed = visits(below, last: slots.size == 7)
                ways[name].concat(passed.map { |slot, back| Making::Threads::Visit.new(slot: start + slot, back: back) })
              end
            end
            Making::Threads.new(flowers.flatten, ways)
          end

          # @return [Array<(Integer, Boolean)>] slots that one thread goes through, each with whether it comes from the far side
          def visits(below, last:)
            ROUTES.fetch(route)[below ? 0 : 1].flat_map do |slot, back|
              next [[slot, back]] if slot < 7

              last ? [] : (0...separators_between).map { |number| [slot + (2 * number), back] }
            end
          end

          # @return [Array<Threads::Slot>]
          def slots_of(index, last:)
            petal = petal_parts[index % petal_parts.size]
            at = at_end.to_mm + (petal.outer.to_mm / 2) + radius + (index * fill.step.to_mm)
            centre = Making::Threads::Slot.new(part: middle, role: :middle, x: at, y: 0.0, turn: route == :across ? 90 : 0)
            flower = PETALS_AT.map { |degrees| degrees ? petal_slot(petal, at, degrees) : centre }
            edge = at + radius + (petal.outer.to_mm / 2)
            return flower if last

            flower + (0...separators_between).flat_map { |number| separators(edge + (separator.along.to_mm * (number + 0.5))) }
          end

          # Its hole lies along the round.
          def petal_slot(petal, at, degrees)
            angle = degrees * Math::PI / 180
            Making::Threads::Slot.new(part: petal, role: :petal, x: at + (radius * Math.cos(angle)), y: -radius * Math.sin(angle),
              turn: 90 - degrees)
          end

          def separators(at)
            aside = separator.outer.to_mm / 2
            [-aside, aside].map { |y| Making::Threads::Slot.new(part: separator, role: :separator, x: at, y: y) }
          end
        end
      end
    end
  end
end
