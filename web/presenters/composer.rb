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

      attr_reader :draft, :unit, :form, :notice

      # @param place [String] the chosen place @param size [String] the measure to draw at, in millimetres
      # @param letter [String] that paints charts
      # @param library [Application::Library] @param coming [Array<Store::Classes::Stored>] classes whose people it is drawn for
      def initialize(studio, library, draft, coming:, unit:, place: '', size: '', form: nil, notice: nil, letter: '')
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

      # @return [Array<(String, String)>] what a component can hang from: whole components and the items of their patterns
      def places_for(component)
        others = (design.components - [component]).reject(&:apart).select { |other| takes_hanging?(other) }
        [['', 'the middle of the piece']] + others.flat_map do |other|
          [[other.key, name_of(other)], *item_places(other)]
        end
      end

      # @return [Core::Project::Hanging] where it hangs
      def hanging(component)
        Core::Project::Hanging.parse(component.hung_at) || Core::Project::Hanging::CENTRE
      end

      WHICH = %w[each every_2 every_3 every_4 every_5 every_6 middle first last].freeze

      def which
        WHICH
      end

      # @return [String] one of WHICH
      def which_of(component)
        place = hanging(component)
        place.which == :every ? "every_#{place.step}" : place.which.to_s
      end

      # @return [String] of places_for
      def place_of(component)
        place = hanging(component)
        [place.component, *place.item].compact.join('.')
      end

      # @return [String] '' for what takes the rest
      def own_length_of(component)
        return length(component.own_length) if component.length || component.hung_at || component.apart

        ''
      end

      # @return [Boolean] whether it repeats until a length is met
      def own_length?(component)
        Core::Construction::Kinds.fetch(component.construction).method_defined?(:fill) &&
          built_fill?(component)
      end

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
        Formats::PieceSvg.new(piece.layout, title: design.name, span_mm: span, unit: unit, marks: marks, centre: centre_line).to_s
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

      # @return [Array<Core::Fit::Result>] joins worth a look
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
        declared(component).reject { |p| %i[pattern chart].include?(p.type) }
      end

      # Whether it is written over several lines.
      def written?(parameter)
        %i[path work].include?(parameter.type)
      end

      # @param component [Core::Project::Component] @param parameter [Core::Construction::Parameter]
      # @return [String] in the words of its construction, where those differ from the usual ones
      def label(component, parameter)
        own = "parameters_of.#{component.construction}.#{parameter.name}"
        say(Formats::Wording.words?(own) ? own : "parameters.#{parameter.name}")
      end

      # A chart to be painted. at: its place · letters: [(letter, part or nil)] · rows: [[letter]] · problems: [words]
      ChartGrid = Core::Value.define(:at, :name, :label, :letters, :rows, :problems)

      # @return [Array<ChartGrid>] empty rows where it was not begun
      def charts(component)
        declared(component).select { |p| p.type == :chart }.map do |parameter|
          data = component.parameters[parameter.name.to_s]
          data = nil unless data.is_a?(Hash) && data['rows'].is_a?(Array) && data['palette'].is_a?(Hash)
          ChartGrid.new(at: "#{component.key}.#{parameter.name}", name: name_of(component).capitalize,
            label: label(component, parameter), rows: data ? data['rows'].map(&:chars) : [],
            letters: data ? data['palette'].map { |letter, key| [letter, table.parts[key]] } : [],
            problems: problems_at(component, parameter.name))
        end
      end

      # @return [String] the letter that paints
      def letter(grid)
        grid.letters.map(&:first).include?(@letter) ? @letter : grid.letters.first&.first
      end

      def beads
        @library.table.offered(:parts).select(&:bead?).map { |part| [part.key, part.name] }
      end

      # @return [Object] a parameter's data as saved, or its default
      def value(component, parameter)
        component.parameters.fetch(parameter.name.to_s, parameter.default)
      end

      # @param now [Object] the current value: it is always among the choices
      def choices(parameter, now)
        case parameter.type
        when :line then named(:lines, parameter, now)
        when :part then named(:parts, parameter, now)
        when :choice then parameter.of.map { |choice| [choice.to_s, Formats::Wording.say("choices.#{choice}")] }
        end
      end

      def named(name, parameter, now)
        suited = table.offered(name).select { |item| parameter.allows?(item) }
        [*suited, table.public_send(name)[now.to_s]].compact.uniq(&:key).map { |item| [item.key, item.name] }
      end

      # @return [String] the chosen place; the first pattern's last item when none is
      def place
        @place ||= known_places.include?(@asked) ? @asked : first_place
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

      def coloured(name, swaps)
        made = Core::Sizing::Blueprint.new(design, @library.table.in_colourway(swaps)).fit(asked,
          Core::Making::Maker.at(2, design.tails), ease: design.added_ease)
        return Colourway.new(name: name, swaps: swaps, drawing: nil, words: unfitted_words(made)) unless made.is_a?(Core::Sizing::Piece)

        drawing = Formats::PieceSvg.new(made.layout, title: name.empty? ? 'as designed' : name, span_mm: span, unit: unit, ruler: false,
          labels: false).to_s
        Colourway.new(name: name, swaps: swaps, drawing: drawing, words: nil)
      rescue Core::Making::InvalidParameters => e
        Colourway.new(name: name, swaps: swaps, drawing: nil,
          words: e.problems.map { |problem| Formats::Wording.problem(problem, unit: unit) }.uniq.join(' '))
      end

      def below(component, depth)
        hung = design.hung.select { |other| (hanging(other).component || design.path.first&.key) == component.key }
        [Row.new(component: component, depth: depth), *hung.flat_map { |other| depth > 8 ? [] : below(other, depth + 1) }]
      end

      # What hangs from nothing that is there must still be seen.
      def astray
        shown = design.makes + design.path.flat_map { |component| below(component, 0).map(&:component) }
        (design.components - shown).map { |component| Row.new(component: component, depth: 1) }
      end

      def takes_hanging?(component)
        Core::Construction::Kinds.fetch(component.construction).takes_hanging?
      end

      def name_of(component)
        "#{say("constructions.#{component.construction}")}#{" (#{component.key[/\d+\z/]})" if component.key.match?(/_\d+\z/)}"
      end

      def item_places(component)
        patterns(component).flat_map { |_, chips| leaves(chips) }.filter_map do |chip|
          [chip.place, "#{chip.part.name} of the #{name_of(component)}"] if chip.part
        end
      end

      def leaves(chips)
        chips.flat_map { |chip| chip.inner ? leaves(chip.inner) : [chip] }
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
        Core::Construction::Kinds.fetch(component.construction).parameters.values
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

          layout = Core::Construction::Kinds::Findings.build({ 'parts' => row }, table).call(target: nil,
            maker: Core::Making::Maker.new).layout
          layout.map { |s| side.zero? ? s.with(x: 40.0 - s.x, turn: 180) : s.moved(64.0) }
        end
        Formats::PieceSvg.new(shapes, title: closure.name, span_mm: 104.0, labels: false, ruler: false).to_s
      end
    end
  end
end
