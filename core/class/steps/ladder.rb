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
