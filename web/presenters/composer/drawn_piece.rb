# frozen_string_literal: true

module Web
  module Presenters
    class Composer
      # The design at a size: its drawing, what it needs, and what is wrong with it.
      module DrawnPiece
        # @return [Core::Sizing::Piece, Core::Making::OutOfReach, nil] nil when it cannot be built
        def piece
          built && @piece ||= built.fit(asked, Core::Making::Maker.at(2, design.tails), ease: design.added_ease)
        end

        def drawn?
          piece.is_a?(Core::Sizing::Piece)
        end

        def buildable?
          !built.nil?
        end

        def sized?
          SIZES.key?(design.body)
        end

        # @return [Integer] the measure it is drawn at, in whole millimetres
        def size
          range = SIZES[design.body] or return 0
          @asked_size.zero? ? Core::Sizing::SizeSearch::USUAL_MM.fetch(design.body) : @asked_size.clamp(range.begin, range.end)
        end

        def measure
          Core::Measure::Length.mm(size)
        end

        def sizes
          SIZES.fetch(design.body)
        end

        # @return [Array<(String, Integer)>] people of the coming classes with the measure this design is sized by
        def people
          @people ||= begin
            attendees = @coming.flat_map { |klass| klass.state.attendees }
            attendees.filter_map { |one| one.measures[design.body] && [one.name, one.measures[design.body].to_mm.round] }.uniq.sort
          end
        end

        def drawing
          Formats::PieceSvg.new(piece.layout, title: design.name, span_mm: span, unit: unit, marks: marks, centre: centre_line,
            lit: true, handles: method(:chosen?)).to_s
        end

        # @return [Boolean] whether a shape was made of the item that is chosen
        def chosen?(shape)
          @chosen ||= chosen_part
          @chosen == [shape.owner, shape.item.key]
        end

        # @return [String, nil] a drawing of its own, to scale
        def export
          Formats::PieceSvg.new(piece.layout, title: design.name, span_mm: span, unit: unit).to_s(standalone: true) if drawn?
        end

        def finished_words
          called = design.body == :neck && Core::Measure::Necklaces.name(piece.inside)
          called ? "#{Formats::FinishedSize.words(piece, unit)}, #{called} length" : Formats::FinishedSize.words(piece, unit)
        end

        # @return [Symbol] the worst of the finished size and of every join
        def status
          return :will_not unless drawn?

          found = [piece.status, *findings.map(&:status)]
          Core::Fit::Check::ORDER.find { |known| found.include?(known) }
        end

        # @return [Symbol] of the finished size alone
        def size_status
          drawn? ? piece.status : :will_not
        end

        # @return [Symbol, nil] the worst of the joins
        def joins_status
          Core::Fit::Check::ORDER.find { |known| findings.map(&:status).include?(known) } if drawn?
        end

        # @return [String, nil] how many joins are how; nil where all go together
        def joins_words
          worst = joins_status or return
          say("composer_joins.#{worst}", count: findings.count { |one| one.status == worst })
        end

        def needs
          Core::Materials::Need.sum(piece.parts, times: design.made)
        end

        def cuts
          Core::Cutting::CutNeed.from(piece.cuts, times: design.made)
        end

        # @return [String, nil] what links in batches save; nil where nothing is worked so
        def saved
          saved = Core::Measure::Length.sum(piece.cuts.map(&:saved)) * design.made
          "Working links in batches saves #{length(saved)} of wire." if saved.positive?
        end

        def offers
          Core::Sizing::NearerSizes.for(piece, Core::Fit::Additions.for(piece, table))
        end

        # @return [Array<Core::Fit::Result>] joins worth a look
        def findings
          @findings ||= Core::Fit::Check.new(table, open_rings: @library.settings.open_rings).piece(piece).select(&:worth_a_look?)
        end

        # What the working says, from the size asked for on.
        def working
          piece.working
        end

        private

        def asked
          design.body == :own ? built.own_size : measure
        end

        def span
          longest = [piece.laid_flat.to_mm, piece.target.to_mm, *piece.layout.map { |s| s.x + (s.along / 2) }].max
          Sections::Drawn.ruler(longest)
        end

        def marks
          sized? ? Formats::FinishedSize.marks(piece, unit) : []
        end

        # The middle of all that fills, from the start of the first to the end of the last.
        def centre_line
          edge = 0.0
          spans = design.path.filter_map do |component|
            lengths = piece.work_ups[component.key].lengths
            start, edge = edge, edge + lengths.beaded.to_mm
            [start, edge] if lengths.repeats
          end
          (spans.first.first + spans.last.last) / 2 if spans.any?
        end
      end
    end
  end
end
