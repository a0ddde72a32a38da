# frozen_string_literal: true

module Core
  module Construction
    # A length of line for a named use: length = body + slack + consumption + tails, for each of count cuts.
    # measured_to: what it is rounded up to; nobody measures stringing closer than 5 mm, formed wire is cut to half a millimetre
    # slack: line that stays bare between the beads so that the piece can bend
    Cut = Value.define(:line, :count, :role, :body, :consumption, :tails, slack: Measure::Length::ZERO,
      measured_to: Measure::Length.mm(5)) do
      def length
        body + slack + consumption + tails
      end
    end
  end
end
