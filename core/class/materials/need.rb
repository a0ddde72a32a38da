# frozen_string_literal: true

module Core
  module Materials
    # So many of one part, for one attendee or for the class.
    Need = Value.define(:part, :count) do
      # @param uses [Array<#part, #count>] of parts of one table @param times [Integer]
      # @return [Array<Need>] one a part that is bought, in bagging order then by name; the counts sum to the uses' counts × times
      def self.sum(uses, times: 1)
        needs = counts(uses).map { |part, count| Need.new(part: part, count: count * times) }
        by_kind = needs.sort_by { |need| need.part.name }.group_by { |need| need.part.kind }
        by_kind.sort_by { |kind, _| Catalogue::Part::KINDS.index(kind) || Catalogue::Part::KINDS.size }.flat_map(&:last)
      end

      # @param needs [Array<Need>] as #sum gives them @param uses [Array<#part, #count>] mostly of parts among them
      # @return [Array<Need>] with these uses as well
      def self.more(needs, uses)
        more = counts(uses)
        needs = needs.map { |need| (count = more.delete(need.part)) ? need.with(count: need.count + count) : need }
        more.empty? ? needs : sum(needs + more.map { |part, count| new(part: part, count: count) })
      end

      # @param needs [Array<Need>] @param uses [Array<#part, #count>] of them
      # @return [Array<Need>] without these uses
      def self.less(needs, uses)
        out = counts(uses)
        needs.map { |need| out.key?(need.part) ? need.with(count: need.count - out[need.part]) : need }.reject { |need| need.count.zero? }
      end

      # Needs from one table hold the same objects.
      # @return [Hash{Catalogue::Part=>Integer}] of those that are bought, by identity
      def self.counts(uses)
        counts = Hash.new(0).compare_by_identity
        uses.each { |use| counts[use.part] += use.count unless use.part.made? }
        counts
      end
      private_class_method :counts
    end
  end
end
