# frozen_string_literal: true

module Core
  module Making
    # One thing wrong. at: path into the parameters, such as ["pattern", 2, "part"] · code: wording key · values: for its wording
    Problem = Value.define(:at, :code, values: {}.freeze) do
      def to_s
        "/#{at.join('/')} #{code}"
      end

      def under(*prefix)
        with(at: [*prefix, *at])
      end
    end
  end
end
