# frozen_string_literal: true

module Web
  module Contracts
    # A part, line, tool or technique, by the fields of its table.
    class StockContract < Contract
      # {field => keys that it may name}
      option :offered

      LARGEST_MM = 1000
      MOST_LINES = 30
      # What reads each line, and an example of one.
      READERS = { takes: [Core::Steps::PracticeBag, 'a kind and how many, such as crimp x 2, or line 200 mm'],
                  stand_ins: [Core::Catalogue::StandIn, 'both tools by their keys, such as crimping_pliers > flat_pliers x 1.2'] }.freeze
      REEL = 'Give the length of a reel with its unit, from 10 cm to 1000 m, such as 10 m.'

      register_macro(:of_field) do |macro:|
        field = macro.args.first
        next key.failure('This is needed.') if value.empty? && field.required
        next if value.empty?

        what = _contract.problem(path.last, value, field)
        key.failure(what) if what
      end

      # @param table [Symbol] @return [Class] the contract of one table
      def self.of(table)
        @of ||= {}
        @of[table] ||= Class.new(self) do
          fields = StockFields::TABLES.fetch(table)
          params do
            fields.each { |name, field| optional(name).value(StockFields::LISTS.include?(field.type) ? :array : :string) }
          end
          fields.each { |name, field| rule(name).validate(of_field: field) }
        end
      end

      # @return [String, nil] what to do about a text that is not empty
      def problem(name, text, field)
        case field.type
        when *StockFields::LISTS then 'Choose from the list.' if (text - offered.fetch(name)).any?
        when :key then 'Choose from the list.' unless offered.fetch(name).include?(text)
        when :choice then 'Choose one of the list.' unless field.options.map(&:to_s).include?(text)
        when :text then "Shorten this to #{field.options} characters." if text.length > field.options
        when :colour then 'Give a colour as # and six figures, such as #3f5f8f.' unless text.match?(/\A#\h{6}\z/)
        when :integer, :number then number_problem(text, field)
        when :length, :reel, :thickness then length_problem(text, field)
        when *StockFields::LINES then lines_problem(text, field)
        end
      end

      private

      def number_problem(text, field)
        range = field.options
        return if text.match?(field.type == :integer ? WHOLE : DECIMAL) && range.cover?(text.tr(',', '.').to_f)

        "Give a #{'whole ' if field.type == :integer}number from #{range.begin} to #{range.end}."
      end

      def length_problem(text, field)
        case field.type
        when :thickness then 'Give a thickness up to 20 mm.' if Core::Measure::ThicknessText.read(text).to_mm > 20
        when :reel then REEL unless Core::Measure::Length.parse(text, default_unit: :m).to_mm.between?(100, 1_000_000)
        else
          good = Core::Measure::Length.parse(text, default_unit: :mm).to_mm.between?(field.options, LARGEST_MM)
          "Give a length #{field.options.zero? ? 'from 0' : 'above 0 and up'} to #{LARGEST_MM} mm." unless good
        end
      rescue Core::Measure::ThicknessText::Unreadable => e
        Formats::Wording.say("gauge_errors.#{e.reason}", text: e.text)
      rescue Core::Measure::NotALength
        field.type == :reel ? REEL : 'Give a length with its unit, such as 8 mm or 5/16 in.'
      end

      def lines_problem(text, field)
        lines = text.lines.map(&:strip)
        return "Keep to #{MOST_LINES} lines." if lines.size > MOST_LINES
        return "Shorten each line to #{field.options} characters." if lines.any? { |line| line.length > field.options }

        reader, example = READERS[field.type]
        wrong = reader && lines.find { |line| reader.read(line).nil? }
        %("#{wrong[0, 40]}" does not read. Write #{example}.) if wrong
      end
    end
  end
end
