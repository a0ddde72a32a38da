# frozen_string_literal: true

require 'tsort'

module Core
  module Steps
    # Techniques by level, with what needs what.
    class Ladder
      # What contradicts itself.
      #
      # @param code :cycle or :prerequisite_above
      # @param techniques [Technique] concerned
      Trouble = Value.define(:code, :techniques)

      # @param techniques [Hash{String=>Technique}]
      def initialize(techniques)
        @techniques = techniques
      end

      # @return [Array<Array<Technique>>] for levels 1 to 5: each after what it needs on its own level, then by name
      def rungs
        Catalogue::Technique::LEVELS.map do |level|
          @techniques.values.select { |technique| technique.level == level }.sort_by { |technique| [depth(technique), technique.name] }
        end
      end

      # @return [Array<(Technique, Technique)>] each prerequisite with what needs it
      def needs
        @techniques.values.flat_map { |technique| known(technique.prerequisites).map { |before| [before, technique] } }
      end

      # @return [Array<Array<Array<Technique>>>] for levels 1 to 5 families of those that are joined by what needs what: each technique with
      # those of its level that stand on it behind it
      def families
        joined = needs.flatten.to_set
        rungs.map do |rung|
          families = {}
          rung.select { |technique| joined.include?(technique) }.each do |technique|
            below = known(technique.prerequisites).find { |before| before.level == technique.level && families.key?(before) }
            families[technique] = (below ? families[below] : []) << technique
          end
          families.values.uniq(&:object_id)
        end
      end

      # @return [Array<Technique>] that need nothing and that nothing needs, by level and name
      def alone
        rungs.flatten - needs.flatten
      end

      # @return [Set<String>] keys of a technique and of all it stands on
      def way_to(key, found = Set.new)
        return found unless @techniques.key?(key) && found.add?(key)

        @techniques[key].prerequisites.each { |before| way_to(before, found) }
        found
      end

      # @return [Trouble, nil] the first contradiction
      def problem
        circle = circles.first
        return Trouble.new(code: :cycle, techniques: known(circle)) if circle

        above = needs.find { |before, technique| before.level > technique.level }
        Trouble.new(code: :prerequisite_above, techniques: above) if above
      end

      private

      def known(keys)
        keys.filter_map { |key| @techniques[key] }
      end

      def circles
        each_node = ->(&block) { @techniques.each_key(&block) }
        each_child = ->(key, &block) { @techniques[key].prerequisites.select { |before| @techniques.key?(before) }.each(&block) }
        TSort.strongly_connected_components(each_node, each_child).select { |keys|
          keys.size > 1 || @techniques[keys.first].prerequisites.include?(keys.first)
        }
      end

      # How many steps of the same level lie below it; a circle counts as none.
      def depth(technique, seen = [])
        return 0 if seen.include?(technique.key)

        known(technique.prerequisites).select { |before|
          before.level == technique.level
        }.map { |before| depth(before, [*seen, technique.key]) + 1 }.max || 0
      end
    end
  end
end
