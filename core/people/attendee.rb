# frozen_string_literal: true

module Core
  module People
    # Somebody who takes part. measures: {wrist: Length, ...}, what is known · level 1..5
    # ease: nil takes the project's · mind: what to mind, in the instructor's words · colourway: nil takes the project's own parts
    # brings: tool keys they bring along · tails: :lean, :usual or :generous; nil takes the line's or the project's
    # experience: {technique key => Experience}
    Attendee = Value.define(:key, :name, :level, measures: {}.freeze, ease: nil, mind: '', colourway: nil, brings: [].freeze, tails: nil, experience: {}.freeze) do
      # @return [Integer, nil] years, where the instructor wrote them
      def age
        Mind.age(mind)
      end

      # @return [Array<Symbol>] some of Mind::FLAGS
      def flags
        Mind.flags(mind)
      end
    end
  end
end
