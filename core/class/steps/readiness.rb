# frozen_string_literal: true

module Core
  module Steps
    # Who lacks what for a class's project, and what would make it possible.
    class Readiness
      # New techniques to most beyond this number make a class heavy (from memory).
      MOST_NEW = 2

      # One attendee. lacking: [Lack], the hardest first
      Person = Value.define(:attendee, :lacking)
      # One technique someone does not know.
      #
      # @param far more than one level above theirs
      # @param way [Way], what would help, gentlest first
      Lack = Value.define(:technique, :far, :ways)
      # @param code :practice, :easier, :prepare, :neighbour or :first_learn
      # @param minutes of practice
      # @param name of a neighbour or technique
      Way = Value.define(:code, minutes: 0, name: '')

      # @param attendees [Array<People::Attendee>] in seating order
      # @param steps [Array<Making::StepUse>] @param table [Catalogue::Table] @param on [Date]
      # @param spared [Hash{People::Attendee=>Array<String>}] keys of steps that someone does not do
      # @param worked [Hash{People::Attendee=>Array<String>}] techniques of those whose ways differ; others take all
      def initialize(attendees, steps, table, on, spared: {}, worked: {})
        @spared = spared
        @worked = worked
        @attendees = attendees
        @steps = steps
        @table = table
        @on = on
      end

      # @return [Array<Person>] those who lack something
      def people
        @people ||= @attendees.map { |attendee| Person.new(attendee: attendee, lacking: lacking(attendee)) }
          .reject { |person| person.lacking.empty? }
      end

      # @return [Array<Technique>] new to more than half of the class
      def new_to_most
        @new_to_most ||= techniques.select { |technique| number_new_to(technique) * 2 > @attendees.size }
      end

      def heavy?
        new_to_most.size > MOST_NEW
      end

      # @return [Array<(Technique, Array<People::Attendee>)>] techniques that some who need them cannot reach by any way but learning others
      #   first
      def out_of_reach
        far = people.flat_map do |person|
          hopeless = person.lacking.select { |lack| lack.ways.all? { |way| way.code == :first_learn } }
          hopeless.map { |lack| [lack.technique, person.attendee] }
        end
        far.group_by(&:first).map { |technique, pairs| [technique, pairs.map(&:last)] }
      end

      # @param designs [Hash{Object=>Array<String>}] other designs with the techniques they use
      # @return [Array<Object>] those that ask less of the same people, the nearest first
      def gentler(designs)
        here = asked(techniques)
        asked = designs.transform_values { |keys| asked(keys.uniq.filter_map { |key| @table.techniques[key] }) }
        asked.select { |_, lacks| lacks < here }.sort_by { |_, lacks| -lacks }.map(&:first)
      end

      private

      def techniques
        @techniques ||= @steps.map(&:technique).uniq.map { |key| @table.technique(key) }
      end

      # How much of these techniques the class lacks, added up.
      def asked(techniques)
        techniques.sum { |technique| number_new_to(technique) * technique.level }
      end

      def number_new_to(technique)
        @number_new_to ||= {}
        @number_new_to[technique.key] ||= @attendees.count { |attendee| new_to?(attendee, technique) && does?(attendee, technique) }
      end

      # @return [Boolean] whether any step that takes the technique is theirs; techniques of other designs are everyone's
      def does?(attendee, technique)
        return false unless takes?(attendee, technique)

        spared = @spared.fetch(attendee, [])
        return true if spared.empty?

        own = @steps.select { |step| step.technique == technique.key }
        own.empty? || own.any? { |step| !spared.include?(step.key) }
      end

      def takes?(attendee, technique)
        worked = @worked[attendee]
        worked.nil? || worked.include?(technique.key) || @steps.none? { |step| step.technique == technique.key }
      end

      def familiarity(attendee, technique)
        @familiarity ||= {}.compare_by_identity
        (@familiarity[attendee] ||= {})[technique.key] ||= People::Familiarity.of(attendee, technique, @on)
      end

      def new_to?(attendee, technique)
        familiarity(attendee, technique) < People::Familiarity::KNOWN
      end

      def lacking(attendee)
        found = techniques.select { |technique| new_to?(attendee, technique) && does?(attendee, technique) }
        found.sort_by { |technique| -technique.level }.map do |technique|
          far = technique.level > attendee.level + 1
          Lack.new(technique: technique, far: far, ways: ways(attendee, technique, far))
        end
      end

      def ways(attendee, technique, far)
        before = technique.prerequisites.filter_map { |key| @table.techniques[key] }.select { |needed| new_to?(attendee, needed) }
        easier = technique.easier && @table.techniques[technique.easier]
        [(Way.new(code: :practice, minutes: technique.practice_minutes) if technique.practice_minutes.positive? && !far),
         (Way.new(code: :easier, name: easier.name) if easier && easier.level <= attendee.level + 1),
         (Way.new(code: :prepare) if @steps.select { |step| step.technique == technique.key }.all?(&:preparable)),
         (neighbour = neighbour(attendee, technique)) && Way.new(code: :neighbour, name: neighbour.name),
         (Way.new(code: :first_learn, name: before.map(&:name).join(', '),
           minutes: before.sum(&:practice_minutes) + technique.practice_minutes) if far || before.any?)].compact
      end

      # The nearest at the table who is sure of it.
      def neighbour(attendee, technique)
        here = @attendees.index(attendee)
        sure = @attendees.each_index.select { |at| at != here && familiarity(@attendees[at], technique) >= People::Familiarity::SURE }
        nearest = sure.min_by { |at| (at - here).abs }
        nearest && @attendees[nearest]
      end
    end
  end
end
