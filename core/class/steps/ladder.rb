# frozen_string_literal: true

require 'tsort'

module Core
  module Steps
    # Techniques by level, with what needs what.
    class Ladder
      # What contradicts itself. code: :cycle or :prerequisite_above · techniques: [Skill] concerned
      Trouble = Value.define(:code, :techniques)

      # @param techniques [Hash{String=>Skill}]
      def initialize(techniques)
        @techniques = techniques
      end

      # @return [Array<Array<Skill>>] for levels 1 to 5: each after what it needs on its own level, then by name
      def rungs
        Catalogue::Skill::LEVELS.map do |level|
          @techniques.values.select { |skill| skill.level == level }.sort_by { |skill| [depth(skill), skill.name] }
        end
      end

      # @return [Array<(Skill, Skill)>] each prerequisite with what needs it
      def needs
        @techniques.values.flat_map { |skill| known(skill.prerequisites).map { |before| [before, skill] } }
      end

      # @return [Trouble, nil] the first contradiction
      def trouble
        circle = circles.first
        return Trouble.new(code: :cycle, techniques: known(circle)) if circle

        above = needs.find { |before, skill| before.level > skill.level }
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
      def depth(skill, seen = [])
        return 0 if seen.include?(skill.key)

        known(skill.prerequisites).select { |before|
          before.level == skill.level
        }.map { |before| depth(before, [*seen, skill.key]) + 1 }.max || 0
      end
    end
  end
end
