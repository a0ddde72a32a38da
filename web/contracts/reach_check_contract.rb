# frozen_string_literal: true

module Web
  module Contracts
    # What is left of a line after some units of work, at the table.
    class ReachCheckContract < Contract
      texts(:reach_start, :reach_left, :reach_done, :reach_number, :reach_held)

      LONG = (1..1_000_000).freeze
      LENGTH = 'Give a length, such as 640 mm.'
      COUNT = 'Give a whole number from 1 to 9999.'

      rule(:reach_start).validate(length: [LONG, LENGTH])
      rule(:reach_left).validate(length: [LONG, LENGTH])
      rule(:reach_done).validate(whole: [1..9999, COUNT])
      rule(:reach_number).validate(whole: [1..9999, COUNT])
      rule(:reach_held) do
        next if value.empty?

        key.failure(LENGTH) unless (0..1000).cover?(Core::Measure::Length.parse(value, default_unit: :mm).to_mm)
      rescue Core::Measure::NotALength
        key.failure(LENGTH)
      end
      rule(:reach_done, :reach_number) do
        whole = values.to_h.slice(:reach_done, :reach_number).values.all? { |text| text.match?(WHOLE) }
        key(:reach_done).failure('That is more than there are in all.') if whole && values[:reach_done].to_i > values[:reach_number].to_i
      end
    end
  end
end
