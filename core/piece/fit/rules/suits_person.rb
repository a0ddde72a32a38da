# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # Skin and people: allergies, magnets, small parts, and work that minors are watched at.
      # Nickel: ask about allergy (EU REACH Annex XVII entry 27 limits its release in long contact with skin).
      # Small parts: all that fits into the cylinder of ISO 8124-1 and 16 CFR 1501, 31.7 mm wide and 25.4 to 57.1 deep, is not for under
      # threes. Magnets: not for young children; people with implanted devices ask their doctor.
      class SuitsPerson < Rule
        key :suits_person
        rank 150

        CYLINDER_WIDTH = Measure::Length.mm(31.7)
        CYLINDER_DEPTH = Measure::Length.mm(57.1)
        WATCHED = %i[flame cement needles cutting].freeze
        SMALL_PARTS_UNTIL = 3
        MAGNETS_FROM = 14
        METALS = %i[brass copper].freeze
        # Wire lies on the skin; the steel of a cable is coated.
        BARE_WIRE = %i[wire memory_wire].freeze
        NOTHING_NEEDED = People::Needs.new

        # @param attendee [People::Attendee] @param piece [Sizing::Piece] @param design [Project::Design]
        # @return [Array<Result>] empty when there is nothing to look out for
        def for(attendee, piece, design)
          needs = attendee.needs
          return [] if needs == NOTHING_NEEDED

          @attendee = attendee
          parts = piece.parts.map(&:part).uniq
          lines = piece.cuts.map(&:line).uniq
          [nickel(needs, parts, lines, design),
           *METALS.map { |metal|
             metal(metal, needs, parts + lines)
           },
           latex(needs, lines),
           other(needs),
           magnets(needs, parts),
           small_parts(needs, parts),
           watched(needs, piece.steps)].compact
        end

        # @param needs [People::Needs] @param part [Catalogue::Part]
        # @return [Boolean] whether it is or may be something that this person must not wear
        def forbids?(needs, part)
          return true if needs.allergic_to?(:nickel) && !part.without_nickel
          return true if METALS.any? { |metal| needs.allergic_to?(metal) && (holds?(part, metal) || may_hold?(part, metal)) }

          part.magnetic && (needs.help.include?(:implant) || needs.under?(MAGNETS_FROM))
        end

        private

        def about(status, code, **rest)
          values = rest.delete(:values) || {}
          found(nil, status, code, values: { name: @attendee.name, **values }, **rest)
        end

        def holds?(item, metal)
          @table.alloys.contains?(item.material, metal)
        end

        def may_hold?(item, metal)
          @table.alloys.may_contain?(item.material, metal)
        end

        def nickel(needs, parts, lines, design)
          return unless needs.allergic_to?(:nickel)

          wires = lines.select { |line| BARE_WIRE.include?(line.kind) }
          stated, open = parts.partition { |part| !part.without_nickel.nil? }
          with = stated.reject(&:without_nickel) + (open + wires).select { |item| holds?(item, :nickel) }
          unknown = open.reject { |part| holds?(part, :nickel) } + wires.select { |wire| may_hold?(wire, :nickel) }
          return about(:fits, :nickel_free) if with.empty? && unknown.empty?
          return about(:unknown, :nickel_unknown, values: { parts: unknown.map(&:name).join(', ') }) if with.empty?

          cures = colourways(with, design) + with.grep(Catalogue::Part).flat_map { |part| free_of_nickel(part) }
          about(:will_not, :nickel, values: { parts: with.map(&:name).join(', ') }, cures: ranked(cures))
        end

        def colourways(with, design)
          design.colourways.select { |_, swaps| with.all? { |part| swaps[part.key] && @table.parts[swaps[part.key]]&.without_nickel } }
            .keys.map { |name| Cures::UseColourway.new(name) }
        end

        def free_of_nickel(part)
          others(part, &:without_nickel).first(1).map { |other| swap_part(part, other) }
        end

        def metal(metal, needs, items)
          return unless needs.allergic_to?(metal)

          metallic = items.reject { |item| item.is_a?(Catalogue::Line) && !BARE_WIRE.include?(item.kind) }
          with, rest = metallic.partition { |item| holds?(item, metal) }
          unknown = rest.select { |item| may_hold?(item, metal) }
          allergic(metal, with, unknown) { |part| others(part) { |other| !holds?(other, metal) && !may_hold?(other, metal) } }
        end

        def latex(needs, lines)
          return unless needs.allergic_to?(:latex)

          elastic = lines.select { |line| line.kind == :elastic }
          allergic(:latex, elastic.select { |line| line.material == 'latex' }, elastic.select { |line| line.material.nil? }) { [] }
        end

        def allergic(allergen, with, unknown, &better)
          return about(:will_not, :"#{allergen}_allergy", values: { parts: with.map(&:name).join(', ') },
            cures: ranked(swaps(with, &better))) if with.any?

          about(:unknown, :"#{allergen}_unknown", values: { parts: unknown.map(&:name).join(', ') }) if unknown.any?
        end

        def swaps(items)
          items.grep(Catalogue::Part).flat_map { |part| yield(part).first(1).map { |other| swap_part(part, other) } }
        end

        def other(needs)
          about(:tight, :other_allergy, values: { allergy: needs.other_allergy }) unless needs.other_allergy.empty?
        end

        def magnets(needs, parts)
          magnet = parts.find(&:magnetic)
          implant = needs.help.include?(:implant)
          return unless magnet && (implant || needs.under?(MAGNETS_FROM))

          plain = others(magnet) { |other| !other.magnetic }
          about(:will_not, implant ? :magnet_implant : :magnet_child, values: { part: magnet.name }, cures: ranked(plain.map { |other|
            swap_part(magnet, other)
          }))
        end

        # A child whose age is not known may be that young.
        def small_parts(needs, parts)
          return unless needs.under?(SMALL_PARTS_UNTIL) && (small = parts.find { |part| small?(part) })

          needs.age ? about(:will_not, :small_parts,
            values: { part: small.name }) : about(:unknown, :age_unknown, values: { part: small.name })
        end

        # Fits in whole, in some direction.
        def small?(part)
          short, long = [part.along, part.outer].sort
          short < CYLINDER_WIDTH && long < CYLINDER_DEPTH
        end

        def watched(needs, steps)
          seen = WATCHED & steps.flat_map { |step| step.cautions + @table.technique(step.technique).cautions }
          about(:watch, :minor_watched, values: { work: seen.map { |c| c.to_s.tr('_', ' ') }.join(', ') }) if needs.minor? && seen.any?
        end
      end
    end
  end
end
