# frozen_string_literal: true

module Web
  module Contracts
    # How one class may run.
    class SessionContract < Contract
      texts :assistants, :stagger, :break_at, :break_minutes, :late, :late_minutes, :target, :assistant_hour, :tool_hire, :demonstrations,
        :poor_light, :fixed_end, :tires, :walks, :neighbours, :own_piece

      option :currency
      option :class_minutes

      RUNNING = Core::Setup::SessionSettings
      # Whole numbers, with their ranges.
      WHOLE_FIELDS = {
        assistants: RUNNING::ASSISTANTS,
        stagger: RUNNING::STAGGER,
        break_at: RUNNING::BREAK_AT,
        break_minutes: RUNNING::BREAK_MINUTES,
        late: RUNNING::LATE,
        late_minutes: RUNNING::LATE_MINUTES,
        target: RUNNING::TARGET
      }.freeze
      MONEY = %i[assistant_hour tool_hire].freeze
      # Yes or no.
      CHOICES = %i[poor_light fixed_end tires walks neighbours own_piece].freeze

      WHOLE_FIELDS.each { |name, range| rule(name).validate(whole: range) }
      MONEY.each { |name| rule(name).validate(amount: [0..LARGEST_AMOUNT_MINOR, 'Give an amount such as 12.50, not below zero.']) }
      rule(:demonstrations).validate(one_of: RUNNING::DEMONSTRATIONS)
      rule(:break_at) do
        late = key? && value.match?(WHOLE) && value.to_i >= class_minutes
        key.failure("The class lasts #{class_minutes} minutes. Give a break before its end, or 0 for none.") if late
      end
    end
  end
end
