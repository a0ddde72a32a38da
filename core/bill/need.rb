# frozen_string_literal: true

module Core
  module Bill
    # So many of one part, for one attendee or for the class.
    Need = Value.define(:part, :count) do
      # @param uses [Array<#part, #count>] @param times [Integer]
      # @return [Array<Need>] one a part that is bought, in bagging order then by name; the counts sum to the uses' counts × times
      def self.sum(uses, times: 1)
        uses.reject { |use| use.part.made? }.group_by(&:part).map { |part, same| Need.new(part: part, count: same.sum(&:count) * times) }
          .sort_by { |need| [Catalogue::Part::KINDS.index(need.part.kind) || 99, need.part.name] }
      end
    end
  end
end
