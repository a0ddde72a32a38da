# frozen_string_literal: true

module Core
  module Setup
    # What an instructor chose for one class about its steps.
    #
    # @param order step keys by hand, empty for the best found
    # @param prepared {step key => highest level it is prepared for}
    # @param easier {technique key => highest level that works it in the easier school}
    # @param practice whether what is new is practised first
    # @param shorter highest level that leaves out what is optional, 0 for none
    # @param extra lowest level that gets something more, 6 for none
    # @param school which order is better, one of SCHOOLS: easier before harder, the hardest while all are fresh, ends as early or as late
    #   as they can
    # @param stand_ins tools that stand in for this class, each as "technique/tool"
    # @param extra_text what that is
    # @param extra_minutes about how long it takes
    TeachingSettings = Value.define(
      order: [].freeze,
      prepared: {}.freeze,
      easier: {}.freeze,
      practice: true,
      shorter: 0,
      extra: 6,
      extra_text: '',
      extra_minutes: 15,
      school: :gentle,
      stand_ins: [].freeze
    )

    class TeachingSettings
      SCHOOLS = %i[gentle hardest ends_early ends_late].freeze
      LEVELS = (0..5).freeze
      EXTRA = (1..6).freeze
      EXTRA_MINUTES = (1..240).freeze
    end
  end
end
