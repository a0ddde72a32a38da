# frozen_string_literal: true

module Application
  module Tasks
    # Works out how well each project suits one class; reports what is known so far, a project at a time.
    #
    # @param designs [Core::Project::Design]
    # @param stock Core::Supply::Stock free for the class
    CompareProjects = Core::Value.define(:inputs, :designs, :market, :stock) do
      # @return [Array<Core::Comparison::Suitability>]
      def call(report)
        designs.each_with_index.reduce([]) do |known, (design, index)|
          report.call(Work::Progress.new(share: index.fdiv(designs.size)))
          [*known, Core::Comparison::Suitability.of(inputs, design, market, stock)].tap { |so_far| report.call(so_far) }
        end
      end
    end
  end
end
