# frozen_string_literal: true

module Web
  module Presenters
    # What people are asked before a class: by its project, its colourways, techniques and tools. For the page, the sheet on paper and the
    # list of answers.
    class Questions
      include Printing

      # More would be a test.
      MOST_ASKED = 6
      FLAGS = %i[left_handed low_vision].freeze

      attr_reader :result, :unit

      # @param result [Application::ClassResult]
      def initialize(result, unit)
        @result = result
        @unit = unit
      end

      def workshop
        result.workshop
      end

      def design
        result.plan.design
      end

      # @return [String] what, when and where
      def about
        [design.name, workshop.date.strftime('%A %-d %B %Y'), "#{workshop.start}\u2013#{workshop.ends}",
         (workshop.venue unless workshop.venue.empty?)].compact.join(' · ')
      end

      # @return [Symbol, nil] what is measured; nil where nothing is
      def body
        design.body unless %i[own length].include?(design.body)
      end

      # @return [Array<Core::Catalogue::Technique>] of the project, easier ones first
      def asked
        @asked ||= result.plan.techniques
          .sort_by { |one| [one.level, one.name] }.then { |all| spread(all) }
      end

      # @return [Array<(String, String)>] name and picture of each colourway; none where there is no choice
      def colourways
        return [] if design.colourways.empty?

        ['', *design.colourways.keys].map { |name| [name, picture(name)] }
      end

      # @return [Array<Core::Catalogue::Tool>] that people may own
      def tools
        @tools ||= result.plan.table.tools.values_at(*result.plan.sample.tools.keys).compact if result.plan.sample.fitted?
        @tools || []
      end

      def allergies
        Core::People::Needs::ALLERGIES
      end

      # @return [Array<Symbol>] of the hand and the eyes, and what helps someone take part
      def flags
        FLAGS + Core::People::Needs::HELP
      end

      # @return [String, nil] a strip to measure with, at true size
      def strip
        Formats::TrueSize::StripSvg.new(body).to_s if body
      end

      def body_words
        say("strip.body.#{body}")
      end

      # @return [String] SVG of the piece as it is worn
      def picture(colourway = '')
        swaps = design.colourways.fetch(colourway, {})
        piece = Core::Sizing::Blueprint.new(design, result.library.table.in_colourway(swaps)).fit_usual
        return '' unless piece.is_a?(Core::Sizing::Piece)

        Formats::WornSvg.new(piece, title: colourway.empty? ? design.name : "#{design.name}, #{colourway}").to_s
      end

      private

      # Of each level as evenly as there is room.
      def spread(all)
        rows = all.group_by(&:level).values
        (0...all.size).flat_map { |i| rows.filter_map { |row| row[i] } }.first(MOST_ASKED).sort_by { |one| [one.level, one.name] }
      end
    end
  end
end
