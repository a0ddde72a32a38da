# frozen_string_literal: true

module Application
  module Tasks
    # Works out each evening of a course for a group that learns from one to the next; reports what is known so far.
    #
    # @param designs [Core::Project::Design] in order
    # @param stock Core::Supply::Stock free for the first
    ForecastCourse = Core::Value.define(:inputs, :designs, :market, :stock, :dates) do
      # @return [Array<Core::Comparison::Suitability>]
      def call(report)
        known = []
        designs.zip(dates).each_with_index.reduce(inputs) do |group, ((design, date), index)|
          report.call(Work::Progress.new(share: index.fdiv(designs.size)))
          evening = group.with(workshop: group.workshop.with(date: date))
          known += [Core::Comparison::Suitability.of(evening, design, market, stock)]
          report.call(known)
          Courses.after(evening, design)
        end
        known
      end
    end
  end
end
