# frozen_string_literal: true

module Core
  module Setup
    # What an instructor chose for one class about how it runs.
    SessionSettings = Fields.define do
      field :demonstrations, :choice, of: %i[together carry_on at_start], default: :together, shown: :session,
        says: 'whether all wait and watch, who knows it works on, or all is shown before the work'
      field :assistants, :whole, within: 0..6, default: 0, shown: :session, says: 'how many, beside the instructor'
      field :stagger, :whole, within: 0..120, default: 0, shown: :session, says: 'minutes by which every second person begins later'
      field :break_at, :whole, within: 0..720, default: 0, shown: :session, says: 'minute of the class, 0 for none'
      field :break_minutes, :whole, within: 0..120, default: 10, shown: :session, says: 'how long the break lasts'
      field :late, :whole, within: 0..100, default: 10, shown: :session, says: 'hundredths of people who come late'
      field :late_minutes, :whole, within: 0..60, default: 5, shown: :session, says: 'minutes by which they are late, on average'
      field :target, :whole, within: 50..99, default: 90, shown: :session, says: 'wanted chance that everyone finishes, in hundredths'
      field :fixed_end, :yes, default: false, shown: :session, says: 'whether the room cannot be had longer'
      field :poor_light, :yes, default: false, shown: :session, says: 'whether small work takes longer for want of light'
      field :tires, :yes, default: true, shown: :session, says: 'whether people tire'
      field :walks, :yes, default: true, shown: :session, says: 'whether people walk to shared tools'
      field :neighbours, :yes, default: true, shown: :session, says: 'whether neighbours help each other'
      field :own_piece, :yes, default: false, shown: :session, says: 'whether the instructor makes a piece beside teaching'
      field :assistant_hour, :amount, within: 0..Money::MOST_MINOR, default: 1500, shown: :session, says: 'for one hour of an assistant'
      field :tool_hire, :amount, within: 0..Money::MOST_MINOR, default: 300, shown: :session, says: 'for one borrowed tool'
      field :more_tools, :by_key, each: { type: :whole, within: 0..60 }, default: {}.freeze, says: 'by tool, how many are borrowed'
    end
  end
end
