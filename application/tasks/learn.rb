# frozen_string_literal: true

module Application
  module Tasks
    # Works out what held classes teach.
    #
    # @param known {class id => Core::Logbook::HeldClass}
    # @param unknown [[class id, Core::Planning::Inputs, [Core::Live::Event]]]
    # @param calibration from before anything was learnt
    # @param fading Core::Logbook::Decay
    Learn = Core::Value.define(:known, :unknown, :calibration, :fading) do
      # @return [Found]
      def call(report)
        fresh = unknown.each_with_index.to_h do |(id, inputs, events), index|
          report.call(Work::Progress.new(share: index.fdiv(unknown.size)))
          [id, held(inputs, events)]
        end
        all = known.merge(fresh).sort_by { |id, held| [held.date, id] }.to_h
        Learn::Found.new(learnt: Core::Logbook::Learnt.of(all.values, calibration, fading), fresh: fresh,
          classes: all.transform_values(&:summary))
      end

      private

      # A class that cannot be planned any more says nothing.
      def held(inputs, events)
        Core::Logbook::HeldClass.of(inputs, events)
      rescue Core::Error
        Core::Logbook::HeldClass.blank(inputs.workshop, 0)
      end
    end

    class Learn
      # @param learnt Core::Logbook::Learnt
      # @param fresh {class id => Core::Logbook::HeldClass} worked out now
      # @param classes {class id => Core::Logbook::HeldClass::Summary}, the oldest first
      Found = Core::Value.define(:learnt, :fresh, :classes)
    end
  end
end
