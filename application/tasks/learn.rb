# frozen_string_literal: true

module Application
  module Tasks
    # Works out what held classes teach. classes: [[Core::Inputs, [Core::Live::Event]]]
    Learn = Core::Value.define(:classes, :calibration) do
      # @return [Array<Core::Logbook::Learning::Lesson>]
      def call(report)
        tries = classes.each_with_index.flat_map do |(inputs, events), index|
          report.call(Work::Progress.new(share: index.fdiv(classes.size)))
          Core::Logbook::Try.of(inputs, events)
        rescue Core::Error
          []
        end
        Core::Logbook::Learning.new(calibration).lessons(tries)
      end
    end
  end
end
