# frozen_string_literal: true

module Application
  module Tasks
    # Works out what held classes teach. classes: [[Core::Inputs, [Core::Live::Event]]] · before: {technique key => its seconds now against those
    # before anything was learnt}
    Learn = Core::Value.define(:classes, :calibration, :before) do
      # @return [Array<Core::Logbook::Learning::Lesson>] factors of the seconds before
      def call(report)
        tries = classes.each_with_index.flat_map do |(inputs, events), index|
          report.call(Work::Progress.new(share: index.fdiv(classes.size)))
          Core::Logbook::Try.of(inputs, events).map { |try| try.with(expected: try.expected / before.fetch(try.technique, 1.0)) }
        rescue Core::Error
          []
        end
        Core::Logbook::Learning.new(calibration).lessons(tries)
      end
    end
  end
end
