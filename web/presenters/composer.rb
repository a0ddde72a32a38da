# frozen_string_literal: true

module Web
  module Presenters
    # A design being composed: its drawing at a size, its patterns as rows of items, its settings, and what is wrong where.
    class Composer
      SECTIONS = %w[strip mat patterns palette count settings].freeze
      # Sizes from a small child to a very large adult, in millimetres.
      SIZES = { wrist: 110..270, neck: 260..560, ankle: 170..380, length: 20..400 }.freeze

      # One item of a pattern. place: where it stands · item: the part, or nil for a group · inner: [Chip]
      Chip = Core::Value.define(:place, :part, :count, :fill, :inner)

      include Printing

      attr_reader :draft, :unit, :form, :notice

      # @param place [String] the chosen place @param size [String] the measure to draw at, in millimetres
      # @param library [Application::Library]
      def initialize(studio, library, draft, unit:, place: '', size: '', form: nil, notice: nil)
        @studio = studio
        @library = library
        @notice = notice
        @draft = draft
        @unit = unit
        @asked = place.to_s
        @asked_size = size.to_i
        @form = form
      end

      def id
        draft.id
      end

      def design
        draft.design
      end

      def table
        @library.table
      end

      # @return [Core::Sizing::Piece, Core::Sizing::OutOfReach, nil] nil when it cannot be built
      def piece
        built && @piece ||= built.fit(asked, Core::Construction::Maker.at(2, design.tails), ease: design.added_ease)
      end

      def drawn?
        piece.is_a?(Core::Sizing::Piece)
      end

      def buildable?
        !built.nil?
      end

      # @return [Array<Core::Construction::Problem>]
      def problems
        built
        @problems
      end

      # @return [Array<String>] words for what is wrong with one component's parameter
      def problems_at(component, parameter)
        index = design.components.index(component)
        problems.select { |p|
          p.at[0] == 'components' && p.at[1] == index && p.at[3].to_s == parameter.to_s
        }.map { |p| Formats::Wording.problem(p, unit: unit) }.uniq
      end

      # @return [Array<String>] what is wrong with the design as a whole
      def problems_of_all
        problems.reject { |p| p.at[0] == 'components' && p.at.size > 1 }.map { |p| Formats::Wording.problem(p, unit: unit) }
      end

      def sized?
        SIZES.key?(design.body)
      end

      # @return [Integer] the measure it is drawn at, in whole millimetres
      def size
        range = SIZES[design.body] or return 0
        @asked_size.zero? ? Core::Sizing::Blueprint::USUAL_MM.fetch(design.body) : @asked_size.clamp(range.begin, range.end)
      end

      def measure
        Core::Measure::Length.mm(size)
      end

      def sizes
        SIZES.fetch(design.body)
      end

      # @return [Array<(String, Integer)>] people of the coming classes with the measure this design is sized by
      def people
        @people ||= @studio.classes.all.flat_map { |klass|
          klass.state.attendees
        }.filter_map { |a| a.measures[design.body] && [a.name, a.measures[design.body].to_mm.round] }.uniq.sort
      end

      def drawing
        Formats::PieceSvg.new(piece.layout, title: design.name, span_mm: span, unit: unit, marks: marks, centre: centre_line).to_s
      end

      # @return [String, nil] a drawing of its own, to scale
      def export
        Formats::PieceSvg.new(piece.layout, title: design.name, span_mm: span, unit: unit).to_s(standalone: true) if drawn?
      end

      def finished_words
        FinishedSize.words(piece, unit)
      end

      # @return [Symbol] the worst of the finished size and of every join
      def status
        return :will_not unless drawn?

        found = [piece.status, *findings.map(&:status)]
        Core::Fit::Check::ORDER.find { |known| found.include?(known) }
      end

      def needs
        Core::Bill::Need.sum(piece.parts, times: design.made)
      end

      def cuts
        Core::Cutting::CutNeed.from(piece.cuts, times: design.made)
      end

      def offers
        Core::Sizing::NearerSizes.for(piece, table)
      end

      # @return [Array<(Core::Construction::Parameter)>] constructions that can be added
      def constructions
        Core::Construction::Registry.keys.map { |key| [key, Formats::Wording.say("constructions.#{key}")] }
      end

      def bodies
        Core::Project::Design::BODIES
      end

      def tails
        Core::Project::Design::TAILS
      end

      # @return [Array<Core::Fit::Finding>] joins worth a look
      def findings
        @findings ||= Core::Fit::Check.new(table, open_rings: @library.settings.open_rings).piece(piece).select(&:worth_a_look?)
      end

      # What the working says, from the size asked for on.
      def working
        piece.working
      end

      # @return [Array<(Core::Construction::Parameter, Array<Chip>)>] the patterns of a component
      def patterns(component)
        declared(component).select { |p| p.type == :pattern }.map do |parameter|
          data = component.parameters.fetch(parameter.name.to_s, parameter.default || [])
          [parameter, chips(data.is_a?(Array) ? data : [], [component.key, parameter.name])]
        end
      end

      def settings(component)
        declared(component).reject { |p| p.type == :pattern }
      end

      # @return [Object] a parameter's data as saved, or its default
      def value(component, parameter)
        component.parameters.fetch(parameter.name.to_s, parameter.default)
      end

      def choices(parameter)
        case parameter.type
        when :line then table.lines.values.map { |line| [line.key, line.name] }
        when :part then table.parts.values.select { |part|
          parameter.of.nil? || parameter.of.include?(part.kind)
        }.map { |part| [part.key, part.name] }
        when :choice then parameter.of.map { |choice| [choice.to_s, Formats::Wording.say("choices.#{choice}")] }
        end
      end

      # @return [String] the chosen place; the first pattern's last item when none is
      def place
        @place ||= known_places.include?(@asked) ? @asked : first_place
      end

      def palette
        table.parts.values.group_by(&:kind).sort_by { |kind, _| Core::Catalogue::Part::KINDS.index(kind) }
      end

      def closures
        @studio.catalogue.closures.map { |closure| [closure, closure_drawing(closure)] }
      end

      # @return [Array<Core::Catalogue::Part>] parts that stand in the design, whose colour may differ in a colourway
      def parts_used
        drawn? ? needs.map(&:part) : []
      end

      def alike(part)
        table.parts.values.select { |other| other.kind == part.kind }
      end

      def saved_version
        @studio.projects.find(design.key).design.version
      rescue Store::NotFound
        0
      end

      private

      def built
        return @built if defined?(@problems)

        @problems = []
        @built = Core::Sizing::Blueprint.new(design, table)
      rescue Core::Construction::InvalidParameters => e
        @problems = e.problems
        @built = nil
      end

      def asked
        design.body == :own ? built.own_size : measure
      end

      def span
        longest = [piece.on_line.to_mm, piece.target.to_mm, *piece.layout.map { |s| s.x + (s.along / 2) }].max
        Sections::Drawn.ruler(longest)
      end

      def marks
        sized? ? FinishedSize.marks(piece, unit) : []
      end

      # The middle of what fills.
      def centre_line
        edge = 0.0
        design.path.each do |component|
          length = piece.work_ups[component.key].lengths
          return edge + (length.beaded.to_mm / 2) if length.repeats

          edge += length.beaded.to_mm
        end
        nil
      end

      def declared(component)
        Core::Construction::Registry.fetch(component.construction).parameters.values
      end

      def chips(items, place)
        items.each_with_index.select { |item, _| item.is_a?(Hash) }.map do |item, index|
          here = [*place, index]
          inner = item['repeat'].is_a?(Array) ? chips(item['repeat'], here) : nil
          Chip.new(place: here.join('.'), part: inner ? nil : table.parts[item['part']], count: item[inner ? 'times' : 'count'] || 1,
            fill: item['fill'] == true, inner: inner)
        end
      end

      def known_places
        @known_places ||= design.components.flat_map { |c| patterns(c).flat_map { |p, chips| ["#{c.key}.#{p.name}", *places_in(chips)] } }
      end

      def places_in(chips)
        chips.flat_map { |chip| [chip.place, *(chip.inner ? places_in(chip.inner) : [])] }
      end

      # The pattern that fills comes first to hand.
      def first_place
        filling = design.components.find { |c| c.construction != :findings } || design.components.first
        filling ? patterns(filling).map { |p, chips| chips.last ? chips.last.place : "#{filling.key}.#{p.name}" }.first.to_s : ''
      end

      def closure_drawing(closure)
        shapes = [closure.first, closure.last].each_with_index.flat_map do |row, side|
          next [] if row.empty?

          layout = Core::Construction::Findings.build({ 'parts' => row }, table).call(target: nil,
            maker: Core::Construction::Maker.new).layout
          layout.map { |s| side.zero? ? s.with(x: 40.0 - s.x, turn: 180) : s.moved(64.0) }
        end
        Formats::PieceSvg.new(shapes, title: closure.name, span_mm: 104.0, labels: false, ruler: false).to_s
      end
    end
  end
end
