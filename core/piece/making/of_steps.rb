# frozen_string_literal: true

module Core
  module Making
    # What a step closes, or opens and closes again.
    module OfSteps
      # @param facts [Facts] of its component @return [self] with the steps that give its facts
      def in_order_of(facts)
        return self unless shut_with || opened_with

        with(closing_step: facts.giver(shut_with), opening_step: facts.giver(opened_with))
      end
    end
  end
end
