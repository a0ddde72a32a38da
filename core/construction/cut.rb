# frozen_string_literal: true

module Core
  module Construction
    # A length of line for a named use: length = body + consumption + tails, for each of count cuts.
    Cut = Value.define(:line, :count, :role, :body, :consumption, :tails) do
      def length
        body + consumption + tails
      end
    end
  end
end
