# frozen_string_literal: true

module Web
  module Presenters
    # The projects for one class, best first, with the reason in a sentence.
    class ProjectChoice
      include Printing

      # One project.
      #
      # @param suits [Core::Comparison::Suitability]
      # @param words why it stands where it does
      # @param drawing of the piece, as it is worn
      # @param cells what stands in each of COLUMNS, nil where it is not known
      # @param more what else matters for these people
      Row = Core::Value.define(:suits, :words, :drawing, :cells, :more, :taken)

      COLUMNS = %i[chance end_by seat level to_buy].freeze

      attr_reader :unit

      # @param result [Application::ClassResult] @param state [Application::Work::Job::State] @param given [Hash] of the filters
      def initialize(result, state, given, unit)
        @result = result
        @state = state
        @given = given
        @unit = unit
      end

      def id
        @result.id
      end

      def revision
        @result.revision
      end

      def title
        @result.workshop.title
      end

      def running?
        @state.running?
      end

      def percent
        @state.percent
      end

      def failed?
        !@state.error.nil?
      end

      # @return [String] who they are compared for
      def group
        people = @result.state.attendees
        return nobody_yet if people.empty?

        levels = people.map(&:level).minmax.uniq
        words = "#{levels.size > 1 ? 'levels' : 'level'} #{levels.join(' to ')}"
        "For #{count_of(people.size, 'person', 'people')}, #{words}, in #{@result.workshop.minutes} minutes."
      end

      # @return [Array<Row>] those the filters leave, best first
      def rows
        kept = found.select { |one| kept?(one) }.sort_by(&:rank)
        kept.map { |one|
 Row.new(suits: one, words: suits_words(one), drawing: drawing(one), cells: cells(one), more: more(one), taken: one.key == current) }
      end

      # @return [Array<Symbol>]
      def columns
        COLUMNS
      end

      # @return [Integer] known so far, of all
      def known
        found.size
      end

      def all
        @result.projects.count { |saved| !saved.design.test_piece }
      end

      def hidden
        found.size - rows.size
      end

      # What the filters hold, as typed.
      def chosen(name)
        @given[name.to_s].is_a?(String) ? @given[name.to_s][0, 40] : ''
      end

      # @return [String, nil] what is wrong with the price asked for
      def price_error
        'Give an amount, such as 12.50, or leave it empty.' if most.nil? && !chosen(:price).empty?
      end

      # @return [Array<String>] techniques that some project teaches
      def techniques
        found.flat_map(&:techniques).uniq.sort
      end

      def bodies
        found.map(&:body).uniq
      end

      private

      def found
        @state.found || []
      end

      def current
        @result.projects.find { |saved| saved.id == @result.state.project_version_id }&.design&.key
      end

      # @return [Core::Money, nil]
      def most
        Core::Money.parse(chosen(:price), @result.market.currency)
      end

      def kept?(one)
        level = chosen(:level)
        [level.empty? || one.level <= level.to_i, most.nil? || (!one.seat.nil? && one.seat <= most),
         chosen(:body).empty? || one.body.to_s == chosen(:body),
         chosen(:technique).empty? || one.techniques.include?(chosen(:technique))].all?
      end

      def nobody_yet
        number = Application::Comparisons::USUAL_GROUP
        "Nobody has signed up yet, so they are compared for #{number} people of usual sizes and mixed levels."
      end

      def lacking_words(names)
        return 'nobody lacks a technique' if names.empty?

        "#{count_of(names.size, 'person lacks', 'people lack')} a technique: #{some_names(names)}"
      end

      # @return [Hash{Symbol=>String}]
      def cells(one)
        return {} if one.problem

        { chance: one.chance && "#{hundredths(one.chance)} in 100", end_by: one.chance && (@result.workshop.start + one.late_end).to_s,
          seat: one.seat&.to_s, level: one.level.to_s, to_buy: one.short.zero? ? 'nothing' : count_of(one.short, 'thing') }
      end

      # @return [String]
      def more(one)
        return '' if one.problem

        told = [lacking_words(one.lacking.keys), ("#{one.unmeasured} to measure" if one.unmeasured.positive?)]
        told.compact.join(' · ').sub(/\A./, &:upcase)
      end

      def drawing(one)
        design = @result.projects.find { |saved| saved.design.key == one.key }&.design or return ''
        piece = Core::Sizing::Blueprint.new(design, @result.catalogue).fit_usual
        piece.is_a?(Core::Sizing::Piece) ? UsualDrawing.worn(design, piece) : ''
      rescue Core::Error
        ''
      end
    end
  end
end
