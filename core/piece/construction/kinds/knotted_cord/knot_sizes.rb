# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      class KnottedCord
        # How long and wide a knot is, and how much cord it takes.
        module KnotSizes
          private

          # @return [Measure::Length] across all cords bundled, by the circle-packing ratio
          def bundle
            cord.thickness * Measure::Bundle.ratio(cords)
          end

          def knot_length
            bundle * KNOT_ALONG
          end

          def knot_across
            bundle * KNOT_ACROSS
          end

          def row_height
            [tallest(sequence), knot_across / 2].max
          end

          # @param number [Integer] cords that are tied into it @return [Measure::Length] cord that one knot takes, for each cord
          def taken_by_knot(number = cords)
            (@taken ||= {})[number] ||= Measure::Length.mm(knot_measure(number).value)
          end

          # A barrel knot of t turns takes (2π·t + 4) thicknesses of what is knotted (from memory).
          def knot_measure(number)
            usual = cord.thickness.to_mm * Measure::Bundle.ratio(number) * (knot == :barrel ? barrel(turns) : OVERHAND)
            measure(:knot_takes, cord, "#{knot}#{turns if knot == :barrel}-#{number}", usual)
          end

          def barrel(turns)
            (2 * Math::PI * turns) + 4
          end
        end
      end
    end
  end
end
