# frozen_string_literal: true

module Core
  module Ends
    # How lines end in a crimp or a shell, and what becomes of their tails: one choice for every construction that ends in lines.
    module CrimpedEnds
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

      # What hands do to the crimp.
      PRESSES = { rounded: :round, rounded_covered: :round, folded: :fold, folded_covered: :fold }.freeze

      # Until a glued knot can be handled; it cures overnight (from memory).
      GLUE_MINUTES = 10

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

      def self.included(construction)
        construction.parameter :school, :choice, of: SCHOOLS.keys, default: :flat
        construction.parameter :crimp, :part, of: %i[crimp], required: false
        construction.parameter :cover, :part, of: %i[cover clamshell], required: false
        construction.parameter :loop, :length, required: false, range: Measure::Length.mm(0.5)..Measure::Length.mm(30)
        construction.parameter :guard, :part, of: %i[wire_guard], required: false
        construction.parameter :tails, :choice, of: Tails::ENDS, default: :trimmed
        construction.parameter :bury_through, :integer, default: 3, range: 2..4
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
         (problem('cover', :cover_missing, school: school) if way.cover && cover&.kind != way.cover)].compact
      end

      # @param passes [Integer] of lines in its crimp
      # @return [End] where lines hang by their loop, which over a guard has its own size; a shell hangs by its own eye
      def line_end(line, closing_step, passes:)
        return Making::Attachment.new(item: cover) if way.cover == :clamshell

        Making::Attachment.new(item: line, passes: passes, closing_step: closing_step, loop: guard ? nil : loop)
      end

      # @return [Catalogue::Part] what the eye sees at each end of the beads: the crimp itself, or what hides it
      def terminal
        way.cover ? cover : crimp
      end

      def buried?
        tails == :buried
      end

      # @param ends [Integer] of lines, both sides counted @return [Array<PartUse>]
      def end_parts(ends)
        [(count(crimp, ends, :crimp) if way.crimped), (count(cover, ends, cover.kind) if way.cover),
          (count(guard, ends, :guard) if guard)].compact
      end

      # A line folded back in the crimp passes the hole of a shell twice, one that ends in a knot in it once.
      # @param passes [Integer] lines in one crimp @param beside [Catalogue::Part, nil] what stands next to it
      # @return [Array<Join>]
      def end_joins(line, passes: 2, beside: nil)
        [(Making::Join.new(kind: :crimp_on_lines, inner: line, outer: crimp, at: 0.0, passes: passes) if way.crimped),
         (Making::Join.new(kind: :cover_on_crimp, inner: crimp, outer: cover, at: 0.0) if way.cover && way.crimped),
         (Making::Join.new(kind: :lines_through, inner: line, outer: cover, at: 0.0,
           passes: way.crimped ? passes : [passes / 2, 1].max) if way.cover == :clamshell),
         (Making::Join.new(kind: :cover_beside, inner: beside, outer: cover, at: 0.0) if way.cover == :cover && beside),
         *(guard ? through(line, [guard], passes: 2) : [])].compact
      end

      # @param beads [Array<Catalogue::Part>] from the end inward @return [Measure::Length] for one end
      def end_tail(maker, line, beads)
        Tails.crimped(maker, line, through: buried? ? beads.first(bury_through) : [])
      end

      # @param ends [Integer] of lines, both sides counted @param after [Array<String>] steps that close them
      # @return [Array<StepUse>] what follows when the ends are closed
      def end_steps(ends, after:)
        [(step('covers', 'crimp_cover', ends, optional: true, adds: %i[cover], after: after) if way.cover == :cover),
         (step('glue', 'gluing', ends, waits: GLUE_MINUTES, after: after, cautions: %i[cement]) if way.glued),
         step(buried? ? 'bury_tails' : 'trim_tails', 'trimming', ends, after: way.glued ? ['glue'] : after,
           cautions: %i[cutting sharp_tails])]
          .compact.map { |one| one.with(text: :"ends_#{one.key}") }
      end

      # A step that closes ends, in the words of its school.
      def closing(step)
        also = [(:guard if guard), (:on_edge if school == :on_edge)].compact
        told = step.with(values: { hung: [], **step.values, press: PRESSES.fetch(school, :flatten), also: also,
          through: (bury_through if buried?) })
        return told.with(text: :ends_knot_in_shell) unless way.crimped

        way.cover == :clamshell ? told.with(text: :ends_crimp_in_shell) : told
      end
    end
  end
end
