# frozen_string_literal: true

module Core
  module Construction
    # Reads a pattern's data against a catalogue and says everything that is wrong with it at once.
    class PatternReader < Reader
      DEEPEST = 4
      COUNTS = (1..500).freeze

      # @param data [Object] as parsed from JSON
      # @return [Pattern] of what could be read; check #problems
      def read(data)
        pattern = Pattern.new(items(data, []))
        report([], :too_many_parts, limit: Pattern::LARGEST) if pattern.size(1) > Pattern::LARGEST
        pattern
      end

      private

      def items(data, at)
        return report(at, :not_a_list) || [] unless data.is_a?(Array)
        return report(at, :too_deep) || [] if at.size / 2 >= DEEPEST

        data.each_with_index.filter_map { |entry, index| item(entry, [*at, index]) }
      end

      def item(entry, at)
        return report(at, :not_an_item) unless entry.is_a?(Hash)

        entry.key?('repeat') ? group(entry, at) : run(entry, at)
      end

      def run(entry, at)
        count = whole(entry.fetch('count', 1), [*at, 'count'], COUNTS)
        part = @table.part(entry['part'])
        Pattern::Run.new(part: part, count: count) if count
      rescue UnknownKey
        report([*at, 'part'], :unknown_part, key: entry['part'].to_s)
      end

      def group(entry, at)
        fill = entry['fill'] == true
        report([*at, 'fill'], :fill_inside_group) if fill && at.size > 1
        inner = items(entry['repeat'], [*at, 'repeat'])
        report([*at, 'repeat'], :empty_group) if inner.empty?
        times = fill ? 1 : whole(entry.fetch('times', 1), [*at, 'times'], COUNTS)
        Pattern::Group.new(items: inner, times: times, fill: fill) if times && inner.any?
      end

      def whole(value, at, range)
        return value if value.is_a?(Integer) && range.cover?(value)

        report(at, :count_out_of_range, lowest: range.begin, highest: range.end)
      end
    end
  end
end
