# frozen_string_literal: true

module Web
  module Presenters
    # The saved designs, each drawn at a usual size.
    class Library
      # facts: how it is made, its level, what it is sized by
      Row = Core::Value.define(:design, :piece, :drawing, :why_not, :facts)

      attr_reader :unit

      # @param kept [#fragments, #project_times] what is kept between requests
      def initialize(studio, kept, unit)
        @studio = studio
        @kept = kept
        @unit = unit
      end

      def rows
        @rows ||= @studio.projects.newest.map { |saved| row(saved.design) }
      end

      # How long one design takes. name: of its section · design: its name · running: whether the answer is still to come
      Time = Core::Value.define(:name, :design, :alone, :groups, :running)

      # @yieldparam time [Time] @yieldreturn [String] its HTML
      # @return [Array<Fragments::Section>] one a design, filled as far as the times are worked out
      def times
        entry = @kept.project_times.look([:projects, @studio.stamp, designs.map { |design| [design.key, design.version] }]) { times_work }
        found = entry.found || {}
        designs.map do |design|
          alone, groups = found[design.key]
          time = Time.new(name: "time-#{design.key}", design: design.name, alone: alone, groups: groups, running: entry.running?)
          @kept.fragments.section(time.name, nil) { yield time }
        end
      end

      # @return [Array<String>] the page with its sections in their places
      def filled(page, sections)
        sections.reduce(page) { |html, section| html.sub(Helpers::CONTENT + section.name + Helpers::CONTENT) { section.pieces.join(Helpers::TOKEN) } }
      end

      def designs
        @designs ||= @studio.projects.newest.map(&:design)
      end

      private

      # Reports what is known so far, a design at a time: {key => [[Alone], [Group]]}
      def times_work
        table = @studio.catalogue.table
        calibration = @studio.calibration
        known = designs
        lambda do |report|
          known.reduce({}) do |all, design|
            time = Core::Session::ProjectTime.new(design, table, calibration, Date.today)
            all.merge(design.key => [time.alone, time.groups]).tap { |so_far| report.call(so_far) }
          rescue Core::Construction::InvalidParameters, Core::UnknownKey
            all
          end
        end
      end

      def row(design)
        piece = Core::Sizing::Blueprint.new(design, @studio.catalogue.table).fit_usual
        drawn = piece.is_a?(Core::Sizing::Piece)
        Row.new(design: design, piece: (piece if drawn), drawing: drawn ? draw(design, piece) : '', facts: facts(design, (piece if drawn)),
                why_not: (Formats::Wording.unfitted(piece, unit: unit) unless drawn))
      rescue Core::Construction::InvalidParameters, Core::UnknownKey => e
        Row.new(design: design, piece: nil, drawing: '', facts: facts(design, nil), why_not: "It cannot be built any more: #{e.message}. Compose it further to mend it.")
      end

      def facts(design, piece)
        made = design.components.map(&:construction).uniq - [:findings]
        colours = design.colourways.size
        [made.map { |key| Formats::Wording.say("constructions.#{key}") }.join(' and '), (level(piece) if piece), Formats::Wording.say("sized.#{design.body}"),
         ("made #{design.made} alike" if design.made > 1), ("worn #{design.wraps} times round" if design.wraps > 1),
         (colours == 1 ? '1 colourway' : "#{colours} colourways" if colours.positive?), "version #{design.version}"].compact.join(' · ')
      end

      def level(piece)
        "level #{piece.steps.map { |step| @studio.catalogue.table.technique(step.technique).level }.max}"
      end

      def draw(design, piece)
        span = ([piece.on_line.to_mm, 220].max / 20).ceil * 20.0
        Formats::PieceSvg.new(piece.layout, title: design.name, span_mm: span, unit: unit).to_s
      end
    end
  end
end
