# frozen_string_literal: true

module Web
  module Presenters
    # A design being composed: its drawing at a size, its patterns as rows of items, its settings, and what is wrong where.
    class Composer
      SECTIONS = %w[strip mat patterns palette count settings colourways].freeze
      # Sizes from a small child to a very large adult, in millimetres.
      SIZES = { wrist: 110..270, neck: 260..560, ankle: 170..380, length: 20..400 }.freeze

      # One item of a pattern. place: where it stands · item: the part, or nil for a group · inner: [Chip]
      Chip = Core::Value.define(:place, :part, :count, :fill, :inner)

      # A component as it stands in the list. depth: 0 on the path, more for each thing it hangs below
      Row = Core::Value.define(:component, :depth)

      include Printing
      include ParameterFields
      include DrawnPiece
      include HangingPlaces

      attr_reader :draft, :unit, :form, :notice

      # @param place [String] the chosen place @param size [String] the measure to draw at, in millimetres
      # @param letter [String] that paints charts
      # @param library [Application::Library] @param coming [Array<Store::Classes::Stored>] classes whose people it is drawn for
      def initialize(studio, library, draft, coming:, unit:, place: '', size: '', form: nil, notice: nil, letter: '',
                     way: '')
        @studio = studio
        @library = library
        @coming = coming
        @notice = notice
        @letter = letter
        @draft = draft
        @unit = unit
        @asked = place.to_s
        @asked_size = size.to_i
        @form = form
        @way = way
      end

      def id
        draft.id
      end

      def design
        draft.design
      end

      # @return [Core::Catalogue::Table] with what the design makes, as far as it can be built
      def table
        @table ||= buildable? ? built.table : @library.table.with(parts: @library.table.parts.merge(unbuilt_makes))
      end

      # @return [Array<Row>] what is made first, then the path, each with what hangs from it below
      def rows
        made = design.makes.map { |component| Row.new(component: component, depth: 0) }
        made + design.path.flat_map { |component| below(component, 0) } + astray
      end

      # @return [Array<Core::Catalogue::Part>] what this design makes, to be used like parts
      def made_here
        table.parts.values.select(&:made?)
      end

      WHICH = %w[each every_2 every_3 every_4 every_5 every_6 middle first last].freeze

      # @return [String] what a component is and where it stands
      def role_words(component)
        return 'made first, used like a part' if component.apart
        return '' unless component.hung_at

        found = places_for(component).to_h[place_of(component)]
        return 'hung at the middle' if place_of(component).empty?

        "hung on #{say("hanging.#{which_of(component)}")}: #{found || 'nothing that is there'}"
      end

      def problems_of(component)
        index = design.components.index(component)
        problems.select { |p| p.at[0] == 'components' && p.at[1] == index && %w[hung_at length apart construction].include?(p.at[2].to_s) }
          .map { |p| Formats::Wording.problem(p, unit: unit) }.uniq
      end

      # @return [Array<Core::Making::DesignProblem>]
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

      # @return [Array<(Core::Construction::Parameter)>] constructions that can be added
      def constructions
        Core::Construction::Kinds.keys.map { |key| [key, Formats::Wording.say("constructions.#{key}")] }
      end

      def bodies
        Core::Project::Design::BODIES
      end

      def tails
        Core::Project::Design::TAILS
      end

      # A chart to be painted. at: its place · letters: [(letter, part or nil)] · rows: [[letter]] · problems: [words]
      ChartGrid = Core::Value.define(:at, :name, :label, :letters, :rows, :problems)

      def beads
        @library.table.offered(:parts).select(&:bead?).map { |part| [part.key, part.name] }
      end

      # @return [String] the chosen place; the first pattern's last item when none is
      def place
        @place ||= known_places.include?(@asked) ? @asked : first_place
      end

      # What pressing a part in the palette does.
      PALETTE_WAYS = %w[insert replace replace_alike hang_part].freeze

      # @return [Array<(String, Boolean)>] each way, and whether it is taken
      def palette_ways
        taken = PALETTE_WAYS.include?(@way) ? @way : PALETTE_WAYS.first
        PALETTE_WAYS.map { |way| [way, way == taken] }
      end

      def palette
        @library.table.offered(:parts).group_by(&:kind).sort_by { |kind, _| Core::Catalogue::Part::KINDS.index(kind) }
      end

      def closures
        @studio.catalogue.closures.map { |closure| [closure, closure_drawing(closure)] }
      end

      # One colourway beside the others. drawing: SVG, nil where it does not come out · words: why not, or nil
      Colourway = Core::Value.define(:name, :swaps, :drawing, :words)

      # @return [Array<Colourway>] the first as designed, with no name
      def colourways
        [['', {}], *design.colourways].map { |name, swaps| coloured(name, swaps) }
      end

      # @return [Array<Core::Catalogue::Part, Core::Catalogue::Line>] what stands in the design, and may differ in a colourway
      def items_used
        drawn? ? (needs.map(&:part) + cuts.map(&:line)).uniq(&:key) : []
      end

      # @return [Array<Core::Catalogue::Part, Core::Catalogue::Line>] what can take an item's place
      def alike(item)
        table = item.is_a?(Core::Catalogue::Line) ? @library.table.lines : @library.table.parts
        table.values.select { |other| other.kind == item.kind }
      end

      def saved_version
        @studio.projects.find(design.key).design.version
      rescue Store::NotFound
        0
      end

      private

      # @return [(String, String), nil] component and part of the chosen item
      def chosen_part
        at = Core::Project::Edit::Place.parse(place)
        items = at && design.component(at.component)&.parameters&.fetch(at.parameter, nil)
        item = Core::Project::PatternEdit.item(items, at.path) if items.is_a?(Array) && at.path.any?
        item.is_a?(Hash) && item['part'] ? [at.component, item['part']] : []
      end

      def coloured(name, swaps)
        made = Core::Sizing::Blueprint.new(design, @library.table.in_colourway(swaps)).fit(asked,
          Core::Making::Maker.at(2, design.tails), ease: design.added_ease)
        return Colourway.new(name: name, swaps: swaps, drawing: nil, words: unfitted_words(made)) unless made.is_a?(Core::Sizing::Piece)

        drawing = Formats::PieceSvg.new(made.layout, title: name.empty? ? 'as designed' : name, span_mm: span, unit: unit, ruler: false,
          labels: false, lit: true).to_s
        Colourway.new(name: name, swaps: swaps, drawing: drawing, words: nil)
      rescue Core::Making::InvalidParameters => e
        Colourway.new(name: name, swaps: swaps, drawing: nil,
          words: e.problems.map { |problem| Formats::Wording.problem(problem, unit: unit) }.uniq.join(' '))
      end

      def built_fill?(component)
        construction = Core::Construction::Kinds.fetch(component.construction).build(component.parameters, table)
        !construction.fill.nil?
      rescue Core::Making::InvalidParameters, Core::UnknownKey
        false
      end

      # What cannot be built yet still stands in patterns.
      def unbuilt_makes
        design.makes.to_h do |component|
          size = Core::Measure::Length.mm(5)
          [component.part_key, Core::Catalogue::Part.new(key: component.part_key, name: component.key.tr('_', ' '), kind: :connector,
            along: size,
            outer: size, form: :connector, made: component.key)]
        end
      end

      def built
        return @built if defined?(@problems)

        @problems = []
        @built = Core::Sizing::Blueprint.new(design, @library.table)
      rescue Core::Making::InvalidParameters => e
        @problems = e.problems
        @built = nil
      end

      def closure_drawing(closure)
        shapes = [closure.first, closure.last].each_with_index.flat_map do |row, side|
          next [] if row.empty?

          layout = Core::Construction::Kinds::Findings.build({ 'parts' => row }, table).call(target: nil,
            maker: Core::Making::Maker.new).layout
          layout.map { |s| side.zero? ? s.with(x: 40.0 - s.x, turn: 180) : s.moved(64.0) }
        end
        Formats::PieceSvg.new(shapes, title: closure.name, span_mm: 104.0, labels: false, ruler: false, lit: true).to_s
      end
    end
  end
end
