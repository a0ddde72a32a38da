# frozen_string_literal: true

module Web
  module Presenters
    # The saved designs, each drawn at a usual size.
    class Library
      # facts: how it is made, its level, what it is sized by
      Row = Core::Value.define(:design, :piece, :drawing, :why_not, :facts)

      include Printing

      attr_reader :unit

      # @param library [Application::Library] @param times [Application::Work::Job, nil] how long the designs take, as far as it is known
      # @param drawn [Core::LruCache] rows, which change with the catalogue only
      def initialize(library, times, unit, drawn)
        @drawn = drawn
        @library = library
        @times = times&.state
        @unit = unit
      end

      def rows
        @rows ||= @library.projects.map do |saved|
          @drawn.fetch([:project, saved.design.key, unit], [saved.id, @library.catalogue_digest]) { row(saved.design) }
        end
      end

      # How long one design takes. name: of its section · design: its name · running: whether the answer is still to come
      Time = Core::Value.define(:name, :design, :alone, :groups, :running)

      # @return [Time]
      def time(design)
        alone, groups = (@times&.found || {})[design.key]
        Time.new(name: "time-#{design.key}", design: design.name, alone: alone, groups: groups, running: @times ? @times.running : false)
      end

      private

      def row(design)
        piece = Core::Sizing::Blueprint.new(design, @library.table).fit_usual
        drawn = piece.is_a?(Core::Sizing::Piece)
        Row.new(design: design, piece: (piece if drawn), drawing: drawn ? draw(design, piece) : '', facts: facts(design, (piece if drawn)),
          why_not: (Formats::Wording.unfitted(piece, unit: unit) unless drawn))
      rescue Core::Making::InvalidParameters, Core::UnknownKey => e
        Row.new(design: design, piece: nil, drawing: '', facts: facts(design, nil),
          why_not: "It cannot be built any more: #{e.message}. Change it in the composer to correct it.")
      end

      def facts(design, piece)
        made = design.components.map(&:construction).uniq - [:findings]
        colours = design.colourways.size
        [made.map { |key| Formats::Wording.say("constructions.#{key}") }.join(' and '),
         (level(piece) if piece),
         Formats::Wording.say("sized.#{design.body}"),
         ("made #{design.made} alike" if design.made > 1),
         ("worn #{design.wraps} times round" if design.wraps > 1),
         (if colours.positive?
            colours == 1 ? '1 colourway' : "#{colours} colourways"
          end),
         "version #{design.version}"].compact.join(' · ')
      end

      def level(piece)
        "level #{piece.steps.map { |step| @library.table.technique(step.technique).level }.max}"
      end

      def draw(design, piece)
        UsualDrawing.of(design, piece, unit)
      end
    end
  end
end
