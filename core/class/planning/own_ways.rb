# frozen_string_literal: true

module Core
  module Planning
    # Ways to work a piece that only some of a class take: all up to a level, or one person. A person's own way comes before that of a
    # level, and that of few levels before that of more.
    class OwnWays
      # @param who "to-2" for levels up to 2, "person-KEY" for one person
      # @param component its key
      # @param parameter Symbol, of its construction
      # @param way Symbol
      Entry = Value.define(:who, :component, :parameter, :way) do
        def to_s
          "#{who} #{component}/#{parameter}/#{way}"
        end

        # @return [Integer, nil] the highest level that takes it, nil for one person's own
        def up_to
          who[/\Ato-(\d)\z/, 1]&.to_i
        end

        # @param attendee [People::Attendee]
        def for?(attendee)
          up_to ? attendee.level <= up_to : who == "person-#{attendee.key}"
        end

        # @return [Array] what it chooses
        def about
          [component, parameter]
        end
      end

      WRITTEN = %r{\A(to-[1-5]|person-[\w-]{1,40}) ([\w-]{1,60})/(\w{1,40})/(\w{1,40})\z}

      # @param texts [Array<String>] see Setup::TeachingSettings @param design [Project::Design] @param table [Catalogue::Table]
      def initialize(texts, design, table)
        @texts = texts
        @design = design
        @table = table
        @cures = {}
      end

      # @return [Array<Entry>] those that the design has a place for
      def entries
        @entries ||= @texts.filter_map { |text| read(text) }.select { |entry| cure(entry) }
      end

      # @param attendee [People::Attendee] @return [Array<Fit::Cures::SetWay>]
      def for(attendee)
        return [] if entries.empty?

        nearest = entries.select { |entry| entry.for?(attendee) }.sort_by { |entry| entry.up_to || 0 }
        nearest.uniq(&:about).map { |entry| cure(entry) }
      end

      # @param cures [Array<Fit::Cures::SetWay>] @return [Array<String>] the texts with these chosen too, in place of what the same people
      #   took before
      def self.choosing(texts, who, cures)
        chosen = cures.map { |cure| Entry.new(who: who, component: cure.component, parameter: cure.parameter, way: cure.way) }
        kept = texts.reject { |text| chosen.any? { |entry| text.start_with?("#{who} #{entry.component}/#{entry.parameter}/") } }
        kept + chosen.map(&:to_s)
      end

      # @param cure [Fit::Cures::SetWay] @return [Array<String>] the texts without any about what it chooses
      def self.without(texts, cure)
        texts.reject { |text| text.include?(" #{cure.component}/#{cure.parameter}/") }
      end

      private

      def read(text)
        _, who, component, parameter, way = *WRITTEN.match(text)
        Entry.new(who: who, component: component, parameter: parameter.to_sym, way: way.to_sym) if who
      end

      # @return [Fit::Cures::SetWay, nil] nil where the design cannot be worked so
      def cure(entry)
        @cures.fetch(entry) { @cures[entry] = made(entry) }
      end

      def made(entry)
        component = @design.component(entry.component) or return
        kind = Construction::Kinds.fetch(component.construction)
        declared = kind.parameters[entry.parameter]
        return unless declared && declared.type == :choice && declared.of.include?(entry.way)

        beside = kind.goes_with(entry.parameter, entry.way, component.parameters, @table)
        beside && Fit::Cures::SetWay.new(component.key, entry.parameter, entry.way, beside)
      end
    end
  end
end
