# frozen_string_literal: true

module Core
  module Ends
    # How lines end in a crimp or a shell, and what becomes of their tails: one choice for every construction that ends in lines.
    module CrimpedEnds
      include EndSteps

      # @param technique that shuts it
      # @param cover kind of part that hides it, or that takes its place (a clamshell)
      # @param crimped whether a crimp is in it, else a knot
      # @param glued whether the knot is
      School = Value.define(:technique, cover: nil, crimped: true, glued: false)

      # Makers differ; all of these are common practice.
      SCHOOLS = {
        flat: School.new(technique: 'flat_crimp'),
        on_edge: School.new(technique: 'on_edge_crimp'),
        rounded: School.new(technique: 'rounded_crimp'),
        folded: School.new(technique: 'folded_crimp'),
        covered: School.new(technique: 'flat_crimp', cover: :cover),
        rounded_covered: School.new(technique: 'rounded_crimp', cover: :cover),
        folded_covered: School.new(technique: 'folded_crimp', cover: :cover),
        clamshell: School.new(technique: 'clamshell', cover: :clamshell),
        clamshell_knot: School.new(technique: 'clamshell_knot', cover: :clamshell, crimped: false),
        clamshell_glued: School.new(technique: 'clamshell_knot', cover: :clamshell, crimped: false, glued: true)
      }.freeze

      TECHNIQUES = [
        Catalogue::Technique.new(key: 'on_edge_crimp', name: 'Crimp set on edge', level: 3, seconds: 100, demonstration_minutes: 3,
          prerequisites: %w[flat_crimp], easier: 'flat_crimp', tools: %w[flat_pliers], practice: 'set two on scrap cable',
          practice_minutes: 4,
          points: ['Turn the flattened crimp so that its edge lies along the piece.'],
          goes_wrong: [
            'It twists the line | turned after pressing | turn before the last squeeze | before it is pressed hard | 2 | 1 crimp'
          ]),
        Catalogue::Technique.new(key: 'rounded_crimp', name: 'Rounded crimp', level: 3, seconds: 110, demonstration_minutes: 4,
          prerequisites: %w[flat_crimp], easier: 'flat_crimp', tools: %w[crimping_pliers], practice: 'round two tubes on scrap cable',
          practice_minutes: 5, points: ['Flatten lightly first, then turn it and round it in the outer jaw.'],
          left_hand: 'Turn it towards you.',
          goes_wrong: ['It stays oval | rounded in the wrong jaw | turn it a quarter and press again | before the cover goes on | 1 | 0']),
        Catalogue::Technique.new(key: 'clamshell_knot', name: 'Clamshell over a knot', level: 2, seconds: 100, demonstration_minutes: 4,
          prerequisites: %w[overhand_knot], tools: %w[flat_pliers], practice: 'close one shell over a knot in scrap thread',
          practice_minutes: 4,
          points: ['Two knots on each other inside the shell, then close it.'],
          goes_wrong: ['The knot slips through | one knot only | tie a second knot on the first | before the shell is closed | 3 | 0'])
      ].freeze

      # Inside a loop of line that hangs at a clasp (common practice, no source; 1 to 3 about thinner things).
      LOOP = '3 mm'

      COVERED = SCHOOLS.select { |_, school| school.cover }.keys.freeze
      UNDER_COVER = SCHOOLS.select { |_, school| school.cover == :cover }.keys.freeze
      CRIMPED = SCHOOLS.select { |_, school| school.crimped }.keys.freeze

      # name => type and options; they are set together, beside the picture of the end.
      PARAMETERS = {
        school: [:choice, { of: SCHOOLS.keys, default: :flat }],
        crimp: [:part, { of: %i[crimp], required: false, only_with: { school: CRIMPED } }],
        cover: [:part, { of: %i[cover clamshell], required: false, only_with: { school: COVERED } }],
        # A bead beyond the crimp, which then stands between two beads.
        outside: [:part, { of: %i[bead finishing], required: false }],
        lines_in: [:choice, { of: %i[back straight], default: :back, only_with: { school: %i[clamshell] } }],
        loop: [:length, { default: LOOP, range: Measure::Length.mm(0.5)..Measure::Length.mm(30) }],
        guard: [:part, { of: %i[wire_guard], required: false }],
        tails: [:choice, { of: Tails::ENDS, default: :trimmed }],
        bury_through: [:integer, { default: 3, range: 1..12, only_with: { tails: %i[buried] } }],
        # In place of a number of beads: as many as reach so far.
        bury_length: [:length, { required: false, range: Measure::Length.mm(5)..Measure::Length.mm(150),
          only_with: { tails: %i[buried] } }],
        snip: [:choice, { of: %i[before_cover at_cover], default: :before_cover, only_with: { school: UNDER_COVER } }]
      }.freeze

      def self.included(construction)
        PARAMETERS.each { |name, (type, options)| construction.parameter(name, type, **options, group: :line_end) }
        construction.techniques.concat(TECHNIQUES)
        construction.extend(Companions)
      end

      # The cover or shell that a school needs: the smallest that closes over the crimp.
      module Companions
        def goes_with(parameter, way, data, table)
          kind = SCHOOLS.fetch(way).cover if parameter == :school
          return super if kind.nil? || table.parts[data['cover'].to_s]&.kind == kind

          crimp = table.parts[data['crimp'].to_s]
          covers = table.offered(:parts).select { |part| part.kind == kind && part.room && (crimp.nil? || part.room >= crimp.outer) }
          covers.min_by { |part| [part.outer, part.key] }&.then { |part| { 'cover' => part.key } }
        end
      end

      private

      def way
        SCHOOLS.fetch(school)
      end

      def end_problems
        [(problem('crimp', :crimp_missing) if way.crimped && crimp.nil?),
         (problem('cover', :cover_missing, school: school) if way.cover && cover&.kind != way.cover),
         (problem('lines_in', :straight_needs_shell) if lines_in == :straight && way.cover != :clamshell)].compact
      end

      # @param row [Array<Catalogue::Part>] what stands in the row, from the end inward
      # @param lines [Integer] that arrive in one crimp @return [Making::LineEnd]
      def line_end(line, row: [], lines: 1)
        sharing = [shared_by(row), row.size].min
        Making::LineEnd.new(line: line, lines: lines, school: way, way: lines_in, crimp: crimp, cover: cover, guard: guard,
          outside: outside, loop: loop, row: row.first(sharing + BESIDE), sharing: sharing)
      end

      # What does not depend on the row beside it: its length, and what goes into it.
      # @return [Making::LineEnd]
      def plain_end
        @plain_end ||= line_end(line, lines: in_one_end)
      end

      # @return [Integer] lines that arrive in one crimp
      def in_one_end
        1
      end

      # Beads of the row that a picture of its end shows beyond those that the tail shares.
      BESIDE = 2

      # @return [Integer] beads that a tail comes back through
      def shared_by(row)
        case tails
        when :end_beads then end_beads
        when :buried then bury_length ? beads_to(bury_length, row) : bury_through
        else 0
        end
      end

      # @return [Integer] beads that stand at the end for the tail's sake, the outermost bead where none does
      def end_beads
        1
      end

      def beads_to(length, row)
        reach = Measure::Length::ZERO
        row.index { |part| (reach += part.along) >= length }&.succ || row.size
      end

      # @return [Measure::Length] of one line beyond the parts of all these ends
      def end_tails(maker, *made)
        Measure::Length.sum(made.map { |one| one.tail(Tails.at(Tails::CRIMPED_MM, maker, one.line)) })
      end

      # @param made [Making::LineEnd] @param hanging [Integer] loops that its neighbour holds: each passes it once
      # @return [Making::Attachment] where lines hang by their loop, which over a guard has its own size; a shell hangs by its own eye
      # @param shut_with [Symbol] the fact that the end is closed
      def hanging_end(made, shut_with, hanging: made.lines)
        return Making::Attachment.new(item: cover) if way.cover == :clamshell

        Making::Attachment.new(item: made.line, passes: hanging, shut_with: shut_with, loop: guard ? nil : loop)
      end

      # @param length_mm [Float] of the component, both ends included @param role [Symbol] of what shuts them
      # @return [Array<Making::Shape>] of both ends, the loop outermost
      def end_shapes(made, length_mm, y_mm, role: :crimp)
        outside_in = [[made.outside, :outside], [made.terminal, role]].select(&:first)
        loop_mm = made.loop_length.to_mm
        middles = running(outside_in.map(&:first), loop_mm)
        shapes = outside_in.zip(middles).flat_map { |(part, of), at| [at, length_mm - at].map { |x| part_shape(part, of, x, y_mm) } } +
                 (loop_mm.zero? ? [] : [loop_mm / 2, length_mm - (loop_mm / 2)].map { |x| loop_shape(made, x, y_mm) })
        shapes.each_with_index.map { |shape, i| shape.with(since: i.even? ? :first_end : :last_end) }
      end

      def loop_shape(made, x_mm, y_mm)
        wide = made.loop_length.to_mm
        Making::Shape.new(item: made.guard || made.line, role: made.guard ? :guard : :line, x: x_mm, y: y_mm, along: wide,
          across: wide * LOOP_SHAPE, form: :loop)
      end

      # A loop with something in it lies a little longer than wide (drawing alone).
      LOOP_SHAPE = 0.8
    end
  end
end
