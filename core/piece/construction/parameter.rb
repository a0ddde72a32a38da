# frozen_string_literal: true

module Core
  module Construction
    # One declared parameter of a construction: its type, default and bounds, and how its data is read.
    #
    # @param type :length (text with a unit), :integer, :boolean, :choice, :part, :line, :pattern, :path (a bent wire, as text), :work
    #   (steps in someone's own words) or :chart (colours on strands)
    # @param of the choices (:choice) or the kinds of part or line allowed (:part, :line)
    # @param range bounds, both inclusive
    # @param group what it is set together with, nil for none
    # @param only_with {parameter => choices} under which it says anything; empty for always
    Parameter = Value.define(:name, :type, default: nil, required: true, of: nil, range: nil, group: nil,
      only_with: {}.freeze) do
      # @param data [Object] as parsed from JSON, nil when absent
      # @return [Array(Object, Array<Problem>)] the value (nil when it cannot be read) and what is wrong
      def read(data, table)
        data = default if data.nil?
        return [nil, required ? [problem(:missing)] : []] if data.nil?

        send("read_#{type}", data, table)
      end

      # @param values [Hash{Symbol=>Object}] the choices as they are @return [Boolean] whether it says anything beside them
      def says_something?(values)
        only_with.all? { |name, choices| choices.include?(values[name].to_s.to_sym) }
      end

      # @param item [Catalogue::Part, Catalogue::Line]
      def allows?(item)
        of.nil? || of.include?(item.kind)
      end

      private

      def read_length(data, _table)
        length = Measure::Length.parse(data)
        within(length)
      rescue Measure::NotALength => e
        [nil, [problem(:not_a_length, text: data.to_s, reason: e.reason)]]
      end

      def read_integer(data, _table)
        data.is_a?(Integer) ? within(data) : [nil, [problem(:not_whole)]]
      end

      def read_boolean(data, _table)
        [true, false].include?(data) ? [data, []] : [nil, [problem(:not_yes_or_no)]]
      end

      def read_choice(data, _table)
        choice = of.find { |known| known.to_s == data.to_s }
        choice ? [choice, []] : [nil, [problem(:not_a_choice, choices: of.join(', '))]]
      end

      def read_part(data, table)
        part = table.part(data)
        return [part, []] if allows?(part)

        [nil, [problem(:wrong_kind, name: part.name, kinds: of.join(', '))]]
      rescue UnknownKey
        [nil, [problem(:unknown_part, key: data.to_s)]]
      end

      def read_line(data, table)
        line = table.line(data)
        # Each kind has a message of its own: wire, memory wire, elastic.
        allows?(line) ? [line, []] : [nil, [problem(:"not_#{of.first}", name: line.name)]]
      rescue UnknownKey
        [nil, [problem(:unknown_line, key: data.to_s)]]
      end

      def read_pattern(data, table)
        read_by(PatternReader.new(table), data)
      end

      def read_path(data, _table)
        bends = BentPath.read(data.to_s)
        return [nil, [problem(:empty_path)]] if bends.empty?

        bends.size > BentPath::MOST ? [nil, [problem(:path_too_long, limit: BentPath::MOST)]] : [bends, []]
      rescue Measure::NotALength => e
        [nil, [problem(:unreadable_path, text: e.text.to_s)]]
      end

      def read_work(data, table)
        read_by(WorkReader.new(table), data)
      end

      def read_chart(data, table)
        read_by(ChartReader.new(table), data)
      end

      # @param reader [Reader]
      def read_by(reader, data)
        value = reader.read(data)
        [value, reader.problems.map { |found| found.under(name.to_s) }]
      end

      def within(value)
        return [value, []] if range.nil? || range.cover?(value)

        [nil, [problem(:out_of_range, lowest: range.begin, highest: range.end)]]
      end

      def problem(code, **values)
        Making::DesignProblem.new(at: [name.to_s], code: code, values: values)
      end
    end
  end
end
