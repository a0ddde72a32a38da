# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # What sections share that draw pieces: all on one ruler, with the same marks and pins.
      module Drawn
        # Room on the ruler for the words beside the last mark.
        LABEL_MM = 34
        RULER_STEP_MM = 20
        # Shorter pieces are drawn on a ruler as long as this, or their words would be as large as posters.
        LEAST_MM = 140

        # @param longest [Float] millimetres @return [Float] a ruler in whole steps with room for the words beside its last mark
        def self.ruler(longest)
          scale = [longest / Formats::PieceSvg::USUAL_SPAN, 1.0].max
          [((longest + (LABEL_MM * scale)) / RULER_STEP_MM).ceil * RULER_STEP_MM, LEAST_MM].max.to_f
        end

        # @return [String] SVG
        def drawing_of(person, **options)
          Formats::PieceSvg.new(person.piece.layout, title: drawing_title(person), span_mm: span, unit: unit, lit: true, **options).to_s
        end

        # @return [Float] the ruler that every drawing on the page shares, in millimetres
        def span
          @span ||= Drawn.ruler([plan.sample, *people].select(&:fitted?).flat_map { |person|
            [person.piece.laid_flat.to_mm, person.piece.target.to_mm]
          }.max || 180.0)
        end

        def marks_of(person)
          Formats::FinishedSize.marks(person.piece, unit)
        end

        def finished_words(person)
          Formats::FinishedSize.words(person.piece, unit)
        end

        def pins_of(person)
          numbers = Findings.new(plan, chosen).numbers
          person.findings.select { |finding| finding.worth_a_look? && finding.join }
            .map { |finding| Formats::PieceSvg::Pin.new(at: finding.at, status: finding.status, text: numbers[finding.key].to_s) }
        end

        # @return [Symbol] the worst of anything found for one person
        def status_of(person)
          return :will_not unless person.fitted?

          found = [person.piece.status, (:unknown if person.assumed), *person.findings.map(&:status)].compact
          Core::Fit::Check::ORDER.find { |status| found.include?(status) } || :fits
        end

        private

        def drawing_title(person)
          name = person.attendee.name.empty? ? plan.design.name : person.attendee.name
          "#{name}: #{length(person.piece.laid_flat)} laid flat, #{count_of(person.bead_count, 'bead')}"
        end
      end
    end
  end
end
