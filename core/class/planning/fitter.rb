# frozen_string_literal: true

module Core
  module Planning
    # Fits a design to the people of a class: each one's size, piece, materials, and what will not go together. People who differ in nothing
    # that matters share one piece.
    class Fitter
      attr_reader :design

      # @param workshop [Workshop] for its supply, and the size at which people are planned who were not measured
      # @param table [Catalogue::Table] @param fittings [Planning::Fittings] of the same design and table
      def initialize(workshop, design, attendees, table, open_rings: :warn, fittings: Fittings.new(design, table))
        @workshop = workshop
        @design = design
        @attendees = attendees
        @table = table
        @open_rings = open_rings
        @fittings = fittings
        @ways = OwnWays.new(workshop.teaching.ways, design, table)
        @check = Lazy.new { Fit::Check.new(table, open_rings: open_rings) }
        # What pieces share that are made alike.
        @shared = {}.compare_by_identity
      end

      # @return [Fitter] for others, or some, of the same class; what was fitted stays
      def among(attendees)
        dup.change(attendees)
      end

      # @return [OwnPiece]
      def own(attendee)
        known = measure_of(attendee)
        measure = known || assumed_size
        ease = design.added_ease(attendee.ease)
        piece = fit(attendee, measure, ease)
        common = { attendee: attendee, body: design.body, piece: piece, measure: measure, ease: ease, assumed: known.nil? }
        return OwnPiece.new(**common) unless piece.is_a?(Sizing::Piece)

        shared = @shared[piece.work_ups] ||= shared_by(piece)
        common[:piece] = piece.with(steps: shared[:steps]) unless shared[:steps].equal?(piece.steps)
        about = @check.value.person(attendee, piece, design).reject { |finding| finding.status == :fits }
        OwnPiece.new(needs: shared[:needs], cuts: shared[:cuts], findings: about + shared[:findings], **common)
      end

      protected

      def change(attendees)
        @attendees = attendees
        @assumed_size = nil
        self
      end

      private

      def shared_by(piece)
        {
          needs: Materials::Need.sum(piece.parts, times: design.made),
          cuts: Cutting::CutNeed.from(piece.cuts, times: design.made, off_reel: supply.method(:off_reel?)),
          findings: @fittings.found(piece, @open_rings) { @check.value.piece(piece) },
          steps: off_reel_last(piece.steps)
        }
      end

      # What is worked off the reel is cut when it is done: the step says so in place of how long to cut.
      # @return [Array<Making::StepUse>] the same where nothing is worked so
      def off_reel_last(steps)
        uncut = steps.select do |step|
          cuts = step.values[:all_cuts].to_a
          cuts.any? && cuts.all? { |cut| supply.off_reel?(cut.line) && !cut.from_reel }
        end
        return steps if uncut.empty?

        steps.map do |step|
          next step unless uncut.include?(step)

          step.with(text: :worked_off_reel, values: { **step.values, all_cuts: step.values[:all_cuts].map(&:off_reel) })
        end
      end

      def supply
        @workshop.supply
      end

      def measure_of(attendee)
        design.body == :own ? @fittings.blueprint(attendee.colourway).own_size : attendee.measures[design.body]
      end

      # People without a measure are planned too: at the size set for them, at the middle of the group's, or at a usual one.
      def assumed_size
        @assumed_size ||= begin
          known = @attendees.filter_map { |attendee| attendee.measures[design.body] }.sort
          @workshop.assumed_size || known[known.size / 2] || Sizing::SizeSearch.usual(design.body)
        end
      end

      def fit(attendee, measure, ease)
        maker = Making::Maker.at(attendee.level, design.tails, own: attendee.tails, by_line: supply.tails_by_line)
          .with(swatches: attendee.swatches)
        worked_by(attendee).fit(attendee.colourway, measure, ease, maker)
      end

      # @return [Fittings] of the design as the attendee works it
      def worked_by(attendee)
        @ways.for(attendee).reduce(@fittings) { |fittings, way| fittings.with_cure(way) }
      rescue Error
        @fittings
      end
    end
  end
end
