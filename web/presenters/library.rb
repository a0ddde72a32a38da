# frozen_string_literal: true

module Web
  module Presenters
    # The saved designs, each drawn at a usual size, as far as the filter shows them.
    class Library
      # @param facts how it is made, how often, in how many colours
      # @param level of its hardest technique, nil where it cannot be built
      Row = Core::Value.define(:design, :piece, :drawing, :why_not, :facts, :level)

      include Printing

      # What the list is narrowed by.
      class Filter
        SORTS = %w[name level quickest].freeze

        attr_reader :find, :body, :level, :sort

        # @param params [Hash{String=>Object}]
        def initialize(params)
          text = ->(name) { params[name].is_a?(String) ? params[name].strip[0, 80] : '' }
          @find = text.('find')
          @body = Core::Project::Design::BODIES.find { |known| known.to_s == text.('body') }
          @level = Integer(text.('level'), 10, exception: false)
          @sort = SORTS.include?(text.('sort')) ? text.('sort') : SORTS.first
          @tests = text.('tests') == '1'
        end

        def tests?
          @tests
        end

        def narrow?
          !find.empty? || !body.nil? || !level.nil?
        end

        # @param words [String] all that is said of it
        def shows?(row, words)
          (tests? || !row.design.test_piece) && (body.nil? || row.design.body == body) && (level.nil? || row.level.to_i <= level) &&
            find.downcase.split.all? { |word| words.downcase.include?(word) }
        end
      end

      attr_reader :unit, :filter

      # @param library [Application::Library] @param times [Application::ProjectTimes::Known, nil] how long the designs take, as far as it
      #   is known
      # @param drawn [Core::LruCache] rows, which change with the catalogue only @param filter [Filter]
      def initialize(library, times, unit, drawn, filter)
        @drawn = drawn
        @library = library
        @times = times&.state
        @unit = unit
        @filter = filter
      end

      def rows
        @rows ||= sorted(all.select { |row| filter.shows?(row, "#{row.design.name} #{row.facts} #{row.design.note}") })
      end

      # @return [Array<(Symbol, Array<(Object, String)>, Object)>] what can be chosen, each with its choices and the one that is
      def selects
        [[:level, [['', 'any'], *Core::Catalogue::Technique::LEVELS.map { |level| [level, level.to_s] }], filter.level],
         [:body, [['', 'any'], *Core::Project::Design::BODIES.map { |body| [body, say("worn_on.#{body}")] }], filter.body],
         [:sort, Filter::SORTS.map { |sort| [sort, say("project_sorts.#{sort}")] }, filter.sort]]
      end

      # @return [Integer] test pieces that are not shown
      def hidden
        filter.tests? ? 0 : all.count { |row| row.design.test_piece }
      end

      USUAL_GROUP = 8

      # How long one design takes. name: of its section · design: its name · running: whether the answer is still to come
      Time = Core::Value.define(:name, :design, :alone, :groups, :running) do
        # @return [(Core::Comparison::ProjectTime::Alone, Core::Comparison::ProjectTime::Alone)] the slowest and the quickest level
        def range
          [alone.max_by(&:usual), alone.min_by(&:usual)]
        end

        # @return [Core::Comparison::ProjectTime::Group, nil] of a usual size, nil while it is not known
        def usual_group
          groups&.find { |group| group.people == Library::USUAL_GROUP }
        end

        # @return [Boolean] whether some of it is still to come
        def awaited?
          running && (alone.nil? || groups.nil?)
        end
      end

      # @return [Time]
      def time(design)
        alone, groups = (@times&.found || {})[design.key]
        Time.new(name: "time-#{design.key}", design: design.name, alone: alone, groups: groups, running: @times ? @times.running : false)
      end

      private

      def all
        @all ||= @library.projects.map do |saved|
          @drawn.fetch([:project, saved.design.key, unit], [saved.id, @library.catalogue_digest]) { row(saved.design) }
        end
      end

      def sorted(rows)
        case filter.sort
        when 'level' then rows.sort_by { |row| [row.level || 9, row.design.name] }
        when 'quickest' then rows.sort_by { |row| [usual(row.design), row.design.name] }
        else rows.sort_by { |row| row.design.name }
        end
      end

      # @return [Float] minutes of the middle level; infinite where they are not known
      def usual(design)
        alone = time(design).alone
        alone&.any? ? alone[alone.size / 2].usual : Float::INFINITY
      end

      def row(design)
        piece = Core::Sizing::Blueprint.new(design, @library.table).fit_usual
        drawn = piece.is_a?(Core::Sizing::Piece)
        Row.new(design: design, piece: (piece if drawn), drawing: drawn ? UsualDrawing.worn(design, piece) : '', facts: facts(design),
          level: (level(piece) if drawn), why_not: (Formats::Wording.unfitted(piece, unit: unit) unless drawn))
      rescue Core::Making::InvalidParameters, Core::UnknownKey => e
        Row.new(design: design, piece: nil, drawing: '', facts: facts(design), level: nil,
          why_not: "It cannot be built any more: #{e.message}. Change it in the composer to correct it.")
      end

      def facts(design)
        made = design.components.map(&:construction).uniq - [:findings]
        colours = design.colourways.size
        [made.map { |key| Formats::Wording.say("constructions.#{key}") }.join(', '),
         ("made #{design.made} alike" if design.made > 1),
         ("worn #{design.wraps} times round" if design.wraps > 1),
         (count_of(colours + 1, 'colourway') if colours.positive?)].compact.join(' · ')
      end

      def level(piece)
        piece.steps.map { |step| @library.table.technique(step.technique).level }.max
      end
    end
  end
end
