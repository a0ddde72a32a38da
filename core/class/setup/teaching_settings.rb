# frozen_string_literal: true

module Core
  module Setup
    # What an instructor chose for one class about its steps.
    TeachingSettings = Fields.define do
      field :order, :list, most: 400, each: { type: :text, most: 120 }, default: [].freeze,
        says: 'keys of steps in the order chosen by hand, empty for the best order found'
      field :prepared, :by_key, each: { type: :whole, within: 0..5 }, default: {}.freeze,
        says: 'by step, the highest level for whom it is prepared'
      field :easier, :by_key, each: { type: :whole, within: 0..5 }, default: {}.freeze,
        says: 'by technique, the highest level that works it in the easier way'
      field :practice, :yes, default: true, says: 'whether what is new is practised first'
      field :shorter, :whole, within: 0..5, default: 0, says: 'highest level that leaves out what is optional, 0 for none'
      field :extra, :whole, within: 1..6, default: 6, says: 'lowest level that gets something more, 6 for none'
      field :extra_text, :text, most: 300, default: '', says: 'what they get'
      field :extra_minutes, :whole, within: 1..240, default: 15, says: 'about how many minutes that takes'
      field :school, :choice, of: %i[gentle hardest ends_early ends_late], default: :gentle,
        says: 'which order is better: easier before harder, the hardest while all are fresh, ends as early or as late as can be'
      field :stand_ins, :list, most: 100, each: { type: :text, most: 130 }, default: [].freeze,
        says: 'tools that stand in for others in this class, each as "technique/tool"'
      field :ways, :list, most: 200, each: { type: :text, most: 200 }, default: [].freeze,
        says: 'other ways to work the piece, each as "to-2 component/parameter/way" for levels up to 2, or with "person-" and a key'
    end
  end
end
