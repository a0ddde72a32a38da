# frozen_string_literal: true

module Web
  module Presenters
    # The projects for one class, best first, with the reason in a sentence.
    class ProjectChoice
      include Printing

      # suits: Core::Comparison::Suitability · words: why it stands where it does · drawing: of the piece at a usual size
      Row = Core::Value.define(:suits, :words, :facts, :drawing, :taken)

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
        kept.map { |one| Row.new(suits: one, words: suits_words(one), facts: facts(one), drawing: drawing(one), taken: one.key == current) }
      end

      # @return [String] as a sentence of its own
      def facts_line(row)
        row.facts.join(' · ').sub(/\A./, &:upcase)
      end

      # @return [Integer] known so far, of all
      def known
        found.size
      end

      def all
        @result.projects.size
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

      def facts(one)
        return [] if one.problem

        [*(finishing(one) if one.chance),
         (one.seat ? "#{one.seat} a seat" : 'no price: some of it has no offer'),
         (one.short.zero? ? 'all in stock' : "#{count_of(one.short, 'thing')} to buy"),
         "level #{one.level}",
         lacking_words(one.lacking.keys),
         ("#{one.unmeasured} to measure" if one.unmeasured.positive?)].compact
      end

      # The chance stands in the reason where it is one.
      def finishing(one)
        by = "9 of 10 classes end by #{@result.workshop.start + one.late_end}"
        %i[good tight too_long].include?(one.reason) ? [by] : ["#{hundredths(one.chance)} in 100 chance that everyone finishes", by]
      end

      def drawing(one)
        design = @result.projects.find { |saved| saved.design.key == one.key }&.design or return ''
        piece = Core::Sizing::Blueprint.new(design, @result.catalogue).fit_usual
        piece.is_a?(Core::Sizing::Piece) ? UsualDrawing.of(design, piece, unit) : ''
      rescue Core::Error
        ''
      end
    end
  end
end
