# frozen_string_literal: true

module Core
  module Catalogue
    # Anything countable that goes into a piece: a bead or a finding.
    #
    # @param along length it takes on the line
    # @param outer width across
    # @param hole inner diameter the lines pass (nil when not measured)
    # @param hole_height hole axis above the skin (nil means drilled through the middle, outer / 2)
    # @param play how much an adjustable finding can be let out (an extender chain), zero otherwise of a crimp, cap or
    #   end, and the inner room of a ring or cover; of a shell the hole that the line passes
    # @param wire thickness of a ring's wire, or of the eye by which a finding hangs in another (nil when not measured)
    # @param gap opening left in a ring that is not soldered
    # @param mass_mg weighed, else worked out from material and size
    # @param nickel_free nil when not known
    # @param malleable can be pressed wider by hand
    # @param faces_with :odd or :even, the number of rings with which it faces front
    # @param quarter_turned whether its two eyes stand a quarter turn apart, as a ring's neighbours do
    # @param holds_grams the load at which it lets go or breaks, nil when not known
    # @param wall what a cap or a pendant takes of the line at its hole; nil takes what is usual for a cap, and the wire of a pendant's eye
    # @param tested how many of the lot were threaded before class, and how many of those would not do
    # @param rejected see tested
    # @param smallest_hole among them
    # @param made key of the component that is made apart as this part, nil for what is bought
    # @param surface how it catches light, one of Surface::KINDS; nil looks as its material usually does
    # @param form how it is drawn;
    # @param colour '#rrggbb';
    # @param mark one or two letters that stand for it in drawings and lists
    Part = Value.define(
      :key, :name, :kind, :along, :outer,
      hole: nil,
      hole_height: nil,
      play: Measure::Length::ZERO,
      form: :round,
      colour: '#8a8f98',
      mark: '?',
      lines: 1,
      soldered: true,
      gap: nil,
      wire: nil,
      material: nil,
      mass_mg: nil,
      nickel_free: nil,
      malleable: false,
      magnetic: false,
      faces_with: nil,
      quarter_turned: false,
      made: nil,
      holds_grams: nil,
      tested: 0,
      rejected: 0,
      smallest_hole: nil,
      wall: nil,
      surface: nil
    ) do
      # Of what lies across several lines, outer is the width over all of them: it lies as low as its holes are wide.
      # @return [Measure::Length] of the hole's axis
      def height_above_skin
        hole_height || (lines > 1 && hole ? hole : outer / 2)
      end

      # A ring on a line stands on edge; a cap lies over its bead and adds its wall; a pendant hangs by its eye or bail.
      # @return [Measure::Length] what it takes of a line that runs through it
      def threaded
        case kind
        when *Part::RINGS then wire_thickness || along
        when :cap then wall || [Part::USUAL_WALL, along].min
        when :pendant then wall || wire_thickness || outer
        else along
        end
      end

      # A hinged chain of parts, pulled taut, is as long as the inner lengths of its links and the inside diameters of its rings together:
      # where one part hangs in another, their wires cross (plane geometry). A bought link or clasp takes the length that is stated for it.
      # @return [Measure::Length] what it adds to a chain of parts that hang in one another
      def linked
        # It sits behind the ear.
        return Measure::Length::ZERO if kind == :ear_back
        return hole || along if Part::RINGS.include?(kind)

        made? ? along - (link_overlap * hinges) : along
      end

      # @return [Measure::Length] what of it lies beyond the place where a neighbour would hang: it counts at an outer end of a piece
      def beyond
        Part::RINGS.include?(kind) || made? ? link_overlap : Measure::Length::ZERO
      end

      # @return [Measure::Length] over all, as it is drawn
      def drawn_along
        Part::RINGS.include?(kind) ? outer : along
      end

      # @return [Integer] how many of its ends hang in another part
      def hinges
        kind == :pendant ? 1 : 2
      end

      # @return [Measure::Length, nil] the hole that lines must pass: the smallest that was found, else the stated one
      def tightest_hole
        [hole, smallest_hole].compact.min
      end

      # What was found of a sample, against a beta distribution that knows nothing (H. Jeffreys, Theory of Probability, 1961).
      # @return [Float] share of the lot that will not do; none where nothing was tested
      def reject_rate
        tested.zero? ? 0.0 : (rejected + 0.5) / (tested + 1)
      end

      # @return [Measure::Length] what it has room for inside, where it closes over something
      def room
        kind == :clamshell ? outer - (Part::SHELL_WALL * 2) : hole || outer
      end

      # @return [Measure::Length, nil] what of it lies in the ring or eye that it hangs in
      def wire_thickness
        wire || (Part::RINGS.include?(kind) && hole ? (outer - hole) / 2 : nil)
      end

      # @return [Measure::Length] what is lost of its length where another hangs in it: the wires lie one inside the other
      def link_overlap
        wire_thickness || Measure::Length::ZERO
      end

      # @return [Boolean] whether what hangs in it turns a quarter
      def turns?
        Part::RINGS.include?(kind) || quarter_turned
      end

      # @return [Boolean] whether another closed thing can be hung in it
      def opens?
        !soldered || Part::OPENING.include?(kind)
      end

      # @return [Numeric, nil] the load in grams at which it lets go: stated, or that at which the gap of a ring or eye opens
      def bears_grams
        holds_grams || (OpenRing.grams(wire_thickness, hole, material) if !soldered && hole && wire_thickness && kind != :split_ring)
      end

      # @return [Part] of a lot whose beads are so many times as long, wide and heavy
      def of_lot(size:, weight:)
        grams = Mass.milligrams(self)
        with(along: along * size, outer: outer * size, mass_mg: grams && (grams * weight))
      end

      def made?
        !made.nil?
      end

      # @return [Array<Symbol>] what contradicts itself among the measures, as wording keys
      def contradictions
        [(:size_not_positive unless along.positive? && outer.positive?),
          (:hole_larger_than_part if hole && hole >= outer && !made?), (:more_rejected_than_tested if rejected > tested)].compact
      end

      def bead?
        kind == :bead
      end

      # @return [Boolean, nil] whether it is without nickel: stated, or of a material that holds none; nil when not known
      def without_nickel
        nickel_free.nil? && Part::NO_METAL.include?(material) ? true : nickel_free
      end
    end

    # The kinds of part, in bagging order.
    class Part
      prepend Keyed

      # Of a cap (from memory).
      USUAL_WALL = Measure::Length.mm(0.5)
      RINGS = %i[ring split_ring].freeze
      NO_METAL = %w[glass stone shell pearl wood horn resin].freeze
      KINDS = %i[bead
                 finishing
                 crimp
                 cover
                 clamshell
                 clasp
                 ring
                 extender
                 chain
                 connector
                 spacer_bar
                 cap
                 cord_end
                 slider
                 pendant
                 tape
                 split_ring
                 wire_guard
                 ear_wire
                 ear_post
                 ear_back
                 hook
                 head_pin
                 eye_pin].freeze
      # Kinds that open by what they are.
      OPENING = %i[split_ring ear_wire hook clamshell].freeze
      # Of a shell's metal (from memory).
      SHELL_WALL = Measure::Length.mm(0.3)
      # What goes through the ear.
      EAR = %i[ear_wire ear_post].freeze
      PINS = %i[head_pin eye_pin].freeze
      FORMS = %i[round oval bicone tube rounded disc flat drop petal crimp cover clasp ring chain connector bar cap slider hook pin
                 arc].freeze
    end
  end
end
