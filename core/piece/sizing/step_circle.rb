# frozen_string_literal: true

require 'tsort'

module Core
  module Sizing
    # Steps that wait for each other, so that none of them can be the first.
    module StepCircle
      # @param steps [Array<Making::StepUse>] @return [Array<Making::StepUse>] of one circle; empty where all can be done in some order
      def self.of(steps)
        stuck = left_over(steps)
        return [] if stuck.empty?

        waits = stuck.to_h { |step| [step.key, step.after] }
        children = ->(key, &block) { waits.fetch(key, []).each(&block) }
        circle = TSort.strongly_connected_components(waits.method(:each_key), children).find { |found| found.size > 1 }.to_a
        stuck.select { |step| circle.include?(step.key) }
      end

      # Does all that can be done, again and again. What waits for a step that is not there waits for nothing.
      # @return [Array<Making::StepUse>] what is left
      def self.left_over(steps)
        open = steps.to_h { |step| [step.key, true] }
        waiting = steps
        until waiting.empty?
          rest = waiting.reject { |step| open.delete(step.key) if step.after.none? { |other| open.key?(other) } }
          return rest if rest.size == waiting.size

          waiting = rest
        end
        waiting
      end
      private_class_method :left_over
    end
  end
end
