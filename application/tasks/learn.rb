# frozen_string_literal: true

module Application
  module Tasks
    # Works out what held classes teach. classes: [[Core::Inputs, [Core::Live::Event]]]
    Learn = Core::Value.define(:classes, :calibration) do
      # @return [Learnt]
      def call(report)
        found = classes.each_with_index.map do |(inputs, events), index|
          report.call(Work::Progress.new(share: index.fdiv(classes.size)))
          [Core::Logbook::Try.of(inputs, events), Core::Logbook::Lost.of(inputs, events)]
        rescue Core::Error
          [[], []]
        end
        Learn::Learnt.new(times: Core::Logbook::Learning.new(calibration).lessons(found.flat_map(&:first)),
          losses: Core::Logbook::LossLearning.new.lessons(found.flat_map(&:last)))
      end
    end

    class Learn
      # times: [Core::Logbook::Learning::Lesson] · losses: [Core::Logbook::LossLearning::Lesson]
      Learnt = Core::Value.define(:times, :losses)
    end
  end
end
