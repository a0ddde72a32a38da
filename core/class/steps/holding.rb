# frozen_string_literal: true

module Core
  module Steps
    # Which tools someone has while they do each thing on their list. What a step keeps stays with the piece until the step that frees it.
    #
    # @param held {tool key => number} while it is done
    # @param takes what of that is fetched for it
    # @param kept what was there before it began
    # @param gives what is put back when it is done
    Holding = Value.define(:held, :takes, :kept, :gives)

    class Holding
      NONE = new(held: {}.freeze, takes: {}.freeze, kept: {}.freeze, gives: {}.freeze)

      # @param list [Array<(Making::StepUse, Array<String>)>] steps with the tools each needs, in order
      # @return [Array<Holding>]
      def self.along(list)
        kept = {}
        list.each_with_index.map do |(step, tools), index|
          needs = tools.tally
          before = kept.transform_values(&:first)
          held = before.merge(needs) { |_, here, needed| [here, needed].max }
          kept = kept.reject { |_, (_, till)| till == step.key }.merge(keeping(step, needs, list.drop(index + 1)))
          takes = less(held, before)
          new(held: held, takes: takes, kept: less(held, takes), gives: less(held, kept.transform_values(&:first)))
        end
      end

      # @param all [Array<Holding>] @return [Hash{String=>Integer}] tool key => number held at one moment at the most
      def self.most(all)
        all.each_with_object({}) do |holding, most|
          holding.held.each { |tool, number| most[tool] = [most.fetch(tool, 0), number].max }
        end
      end

      # What is kept for a step that this maker does not do is not kept.
      def self.keeping(step, needs, rest)
        step.keeps.filter_map { |tool, till| needs.key?(tool) && rest.any? { |other, _| other.key == till } && [tool,
          [needs[tool], till]] }.to_h
      end

      def self.less(some, others)
        left = {}
        some.each do |tool, number|
          more = number - others.fetch(tool, 0)
          left[tool] = more if more.positive?
        end
        left
      end
      private_class_method :keeping, :less
    end
  end
end
