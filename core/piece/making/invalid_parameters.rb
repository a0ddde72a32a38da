# frozen_string_literal: true

module Core
  module Making
    # A component's parameters that cannot be built from. problems: [DesignProblem]
    class InvalidParameters < Error
      attr_reader :construction, :problems

      def initialize(construction, problems)
        @construction = construction
        @problems = problems
        super("#{construction}: #{problems.join('; ')}")
      end
    end
  end
end
