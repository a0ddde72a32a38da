# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # Skin and people: allergies, magnets, small parts, and work that minors need watching at.
      # Nickel: ask about allergy (EU REACH Annex XVII entry 27 limits its release in long contact with skin).
      # Small parts: whatever goes into the cylinder of ISO 8124-1 and 16 CFR 1501, 31.7 mm wide and 25.4 to 57.1 deep, is not for under threes.
      # Magnets: not for young children; people with implanted devices ask their doctor.
      class SuitsPerson < Rule
        key :suits_person

        CYLINDER_WIDTH = Measure::Length.mm(31.7)
        CYLINDER_DEPTH = Measure::Length.mm(57.1)
        WATCHED = %i[flame cement needles cutting].freeze
        SMALL_PARTS_UNTIL = 3
        MAGNETS_FROM = 14

        # @param attendee [People::Attendee] @param piece [Sizing::Piece] @param cautions [Array<Symbol>] of the steps they do
        # @param design [Project::Design]
        # @return [Array<Finding>] empty when there is nothing to mind
        def for(attendee, piece, cautions, design)
          parts = piece.parts.map(&:part).uniq
          [nickel(attendee, parts, design), magnets(attendee, parts), small_parts(attendee, parts), watched(attendee, cautions)].compact
        end

        private

        def nickel(attendee, parts, design)
          return unless attendee.flags.include?(:nickel)

          with = parts.reject(&:nickel_free)
          return found(nil, :fits, :nickel_free, values: { name: attendee.name }) if with.empty?

          cures = colourways(with, design) + with.flat_map { |part| free_of_nickel(part) }
          found(nil, :will_not, :nickel, values: { name: attendee.name, parts: with.map(&:name).join(', ') }, cures: ranked(cures))
        end

        def colourways(with, design)
          design.colourways.select { |_, swaps| with.all? { |part| swaps[part.key] && @table.parts[swaps[part.key]]&.nickel_free } }
                .map { |name, _| Cure.new(code: :use_colourway, change: 0, value: name, values: { colourway: name }) }
        end

        def free_of_nickel(part)
          others(part, &:nickel_free).first(1).map { |other| swap_part(part, other) }
        end

        def magnets(attendee, parts)
          magnet = parts.find(&:magnetic)
          age = attendee.age
          return unless magnet && (attendee.flags.include?(:implant) || (age && age < MAGNETS_FROM))

          code = attendee.flags.include?(:implant) ? :magnet_implant : :magnet_child
          plain = others(magnet) { |other| !other.magnetic }
          found(nil, :will_not, code, values: { name: attendee.name, part: magnet.name }, cures: ranked(plain.map { |other| swap_part(magnet, other) }))
        end

        def small_parts(attendee, parts)
          return unless attendee.age && attendee.age < SMALL_PARTS_UNTIL

          small = parts.find { |part| small?(part) } or return
          found(nil, :will_not, :small_parts, values: { name: attendee.name, part: small.name })
        end

        # Goes in whole, whichever way it is turned.
        def small?(part)
          short, long = [part.along, part.outer].sort
          short < CYLINDER_WIDTH && long < CYLINDER_DEPTH
        end

        def watched(attendee, cautions)
          seen = cautions & WATCHED
          return unless attendee.flags.include?(:minor) && seen.any?

          found(nil, :tight, :minor_watched, values: { name: attendee.name, work: seen.map { |c| c.to_s.tr('_', ' ') }.join(', ') })
        end
      end
    end
  end
end
