# frozen_string_literal: true

module Web
  module Presenters
    # Entering or changing something of the stockroom.
    class StockForm < Form
      LISTS = Contracts::StockFields::LISTS
      LINES = Contracts::StockFields::LINES
      # What each table holds, and what is usual where something new is entered.
      TABLES = {
        tools: [Core::Catalogue::Tool, { 'people_per_tool' => '1', 'substitutable' => '1' }],
        techniques: [Core::Catalogue::Technique, { 'level' => '1', 'seconds' => '30', 'demonstration_minutes' => '3' }],
        parts: [
          Core::Catalogue::Part,
          { 'kind' => 'bead', 'form' => 'round', 'colour' => '#8a8f98', 'lines' => '1', 'soldered' => '', 'nickel_free' => '' }
        ],
        lines: [Core::Catalogue::Line, { 'kind' => 'cable', 'colour' => '#6b7280' }]
      }.freeze

      attr_reader :table_name, :key

      # @param table_name [Symbol] :parts or :lines @param key [String, nil] of the one changed, nil for a new one
      def initialize(studio, table_name, key, given)
        @studio = studio
        @table_name = table_name
        @key = key
        super(fields.to_h { |name, field| [name.to_s, read_text(given[name.to_s], field)] },
          Contracts::StockContract.of(table_name).new(offered: offered_keys))
        @errors = misfit if valid?
      end

      # @return [StockForm] filled with what is saved, or with what is usual; nothing is judged yet
      def self.show(studio, table_name, key)
        fields = Contracts::StockFields::TABLES.fetch(table_name)
        item = key && studio.catalogue.table.public_send(table_name)[key]
        raise Store::NotFound.new(table_name.to_s.delete_suffix('s').to_sym, key) if key && item.nil?

        form = new(studio, table_name, key, item ? saved(fields, item) : usual(table_name))
        form.errors.clear
        form
      end

      # A yes-or-no field that nobody touched says what is true of most: no.
      # @return [Hash{String=>String}]
      def self.usual(table_name)
        plain = Contracts::StockFields::TABLES.fetch(table_name).select { |_, field| field.type == :boolean }
        plain.to_h { |name, _| [name.to_s, '0'] }.merge(TABLES.fetch(table_name).last)
      end

      def self.saved(fields, item)
        fields.to_h do |name, field|
          value = item.public_send(name)
          next [name.to_s, value.map(&:to_s)] if LISTS.include?(field.type)

          text = if value.is_a?(Core::Measure::Length) then value.to_s
                 elsif LINES.include?(field.type) then value.join("\n")
                 elsif field.type == :number then value ? format('%g', value) : ''
                 elsif field.type == :unsure then { true => '1', false => '0', nil => '' }.fetch(value)
                 else field.type == :boolean ? (value ? '1' : '0') : value.to_s
                 end
          [name.to_s, text]
        end
      end

      def fields
        Contracts::StockFields::TABLES.fetch(table_name)
      end

      # @return [Boolean] whether a field is text of several lines
      def lines?(field)
        LINES.include?(field.type)
      end

      # @return [Boolean] whether a field holds several values
      def list?(field)
        LISTS.include?(field.type)
      end

      # @return [Hash{String=>String}] what a yes-or-no field offers
      def answers(field)
        field.type == :unsure ? { '' => 'not known', '1' => 'yes', '0' => 'no' } : { '1' => 'yes', '0' => 'no' }
      end

      # @return [Core::Catalogue::Part, Core::Catalogue::Line]
      def item
        given = fields.to_h { |name, field| [name, read(value(name), field)] }.compact
        TABLES.fetch(table_name).first.new(key: key || free_key, **given)
      end

      def save
        @studio.catalogue.save(table_name, [item])
      end

      # @return [Array<(String, String)>] what a field of several values offers, by key and name
      def offered(field)
        chosen = Array(value(fields.key(field)))
        nameable(field).reject { |known, _| @studio.catalogue.table.hidden?(field.options, known) && !chosen.include?(known) }
      end

      private

      def offered_keys
        naming = fields.select { |_, field| field.type == :key || list?(field) }
        naming.transform_values { |field| nameable(field).map(&:first) }
      end

      # What is hidden may stay where it was chosen.
      def nameable(field)
        return field.options.map { |caution| [caution.to_s, caution.to_s.tr('_', ' ')] } if field.type == :cautions

        items = @studio.catalogue.table.public_send(field.options).values
        items.reject { |item| %i[keys key].include?(field.type) && item.key == key }.map { |item| [item.key, item.name] }
      end

      def read_text(given, field)
        return listed(given) if list?(field)

        LINES.include?(field.type) ? given.to_s.lines.map { |line| clean(line) }.reject(&:empty?).join("\n") : clean(given)
      end

      # Only what the list offers; a tool may stand there twice.
      def listed(given)
        (given.is_a?(Array) ? given : [given]).grep(String).reject(&:empty?).first(12)
      end

      # @return [Hash{Symbol=>String}] why what reads well cannot stand in this studio
      def misfit
        case table_name
        when :techniques then ladder_problem
        when :parts, :lines
          return contradiction if contradiction.any?
          return { mark: "“#{same_mark.name}” has that mark already. Take another, such as “#{free_mark}”." } if same_mark
          return { soldered: 'Say whether the ring is soldered, or opens.' } if ring? && value(:soldered).empty?

          broken = key && broken_design
          broken ? { kind: broken } : {}
        else {}
        end
      end

      # A mark that the part has kept from before stays.
      # @return [Core::Catalogue::Part, nil] another part with this mark
      def same_mark
        return unless table_name == :parts && value(:mark) != @studio.catalogue.table.parts[key]&.mark

        @studio.catalogue.table.parts.each_value.find { |part| part.mark == value(:mark) && part.key != key }
      end

      # @return [String] one or two letters that no part has, of the name where that can be
      def free_mark
        taken = @studio.catalogue.table.parts.each_value.map(&:mark)
        letters = value(:name).scan(/[[:alpha:]]/) + ('a'..'z').to_a
        letters.product(letters).map(&:join).find { |mark| !taken.include?(mark) } || value(:mark)
      end

      def ring?
        value(:kind) == 'ring'
      end

      CONTRADICTIONS = {
        hole_larger_than_part: { hole: 'The hole must be smaller than the width. Check which is which.' },
        more_rejected_than_tested: { rejected: 'That is more than were tested. Give how many of the tested ones would not do.' }
      }.freeze

      def contradiction
        table_name == :parts ? CONTRADICTIONS.fetch(item.contradictions.first, {}) : {}
      end

      # No circles, and nothing that needs what stands above it.
      def ladder_problem
        techniques = @studio.catalogue.table.techniques
        problem = Core::Steps::Ladder.new(techniques.merge(key || 'new' => item)).problem or return {}

        { prerequisites: Formats::Wording.say("ladder.#{problem.code}", names: problem.techniques.map(&:name).join(', ')) }
      end

      # A change that would leave a saved design unbuildable is refused; another part can be entered instead.
      # @return [String, nil]
      def broken_design
        table = @studio.catalogue.table
        changed = table.with(table_name => table.public_send(table_name).merge(key => item))
        @studio.projects.in_use.each do |saved|
          Core::Sizing::Blueprint.new(saved.design, changed)
        rescue Core::Making::InvalidParameters => e
          why = Formats::Wording.problem(e.problems.first)
          return "#{saved.design.name} could not be built with this: #{why} Keep it as it was, or enter a new one beside it."
        end
        nil
      end

      def read(text, field)
        return text == '1' if field.type == :boolean
        return if text.empty?

        case field.type
        when :number then text.tr(',', '.').to_f
        when :cautions then text.map(&:to_sym)
        when *LINES then text.split("\n")
        when :length then Core::Measure::Length.parse(text, default_unit: :mm)
        when :reel then Core::Measure::Length.parse(text, default_unit: :m)
        when :thickness then Core::Measure::ThicknessText.read(text)
        when :integer then text.to_i
        when :choice then field.options.find { |option| option.to_s == text }
        else text
        end
      end

      def free_key
        key_from(value(:name), @studio.catalogue.table.public_send(table_name), otherwise: 'part')
      end
    end
  end
end
