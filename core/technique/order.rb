# frozen_string_literal: true

module Core
  module Technique
    # The steps of a piece in an order that keeps every precedence and teaches easier before harder where the work allows:
    # among the steps whose needs are done, the lowest level goes first, and the declared order breaks ties.
    module Order
      # Steps that wait for each other. cycle: [String] their keys
      class Cycle < Error
        attr_reader :cycle

        def initialize(cycle)
          @cycle = cycle
          super("these steps each wait for another: #{cycle.join(', ')}")
        end
      end

      module_function

      # @param steps [Array<Construction::StepUse>] @param table [Catalogue::Table]
      # @return [Array<Construction::StepUse>] @raise [Cycle] @raise [UnknownKey] for a technique the table lacks
      def call(steps, table)
        keys = steps.to_h { |step| [step.key, true] }
        left = steps.each_with_index.map { |step, place| [table.technique(step.technique).level, place, step] }.sort_by { |level, place, _| [level, place] }
        ordered = []
        until left.empty?
          at = left.index { |_, _, step| step.after.none? { |key| keys[key] } } or raise Cycle.new(left.map { |_, _, step| step.key })
          ordered << left.delete_at(at).last
          keys.delete(ordered.last.key)
        end
        ordered
      end
    end
  end
end
