# frozen_string_literal: true

module Web
  module Presenters
    # Entering or changing a part or a line of the stockroom.
    class StockForm
      include Fields

      # One field. type: :text, :length, :choice, :integer, :colour or :boolean
      # options: longest text, least millimetres, the choices, or a range
      Field = Core::Value.define(:label, :type, :options, required: false)

      CAUTIONS = %i[cutting sharp_tails needles flame cement work_hardening].freeze
      # Fields that hold several values.
      LISTS = %i[keys tools cautions].freeze
      SMALLEST_MM = 0.01
      LARGEST_MM = 1000

      PART = {
        name: Field.new(label: 'Name: what it is, by size, form and colour', type: :text, options: 120, required: true),
        kind: Field.new(label: 'Kind', type: :choice, options: Core::Catalogue::Part::KINDS, required: true),
        along: Field.new(label: 'Length along the line', type: :length, options: SMALLEST_MM, required: true),
        outer: Field.new(label: 'Width across', type: :length, options: SMALLEST_MM, required: true),
        hole: Field.new(label: 'Hole, bore or inner room', type: :length, options: SMALLEST_MM),
        hole_height: Field.new(label: 'Hole above the skin (empty: half the width)', type: :length, options: 0),
        lines: Field.new(label: 'Holes side by side', type: :integer, options: 1..12),
        form: Field.new(label: 'Drawn as', type: :choice, options: Core::Catalogue::Part::FORMS, required: true),
        colour: Field.new(label: 'Colour', type: :colour, options: nil, required: true),
        mark: Field.new(label: 'Mark in drawings (one or two letters)', type: :text, options: 2, required: true),
        material: Field.new(label: 'Material', type: :choice, options: Core::Catalogue::Mass::DENSITIES.keys),
        mass_mg: Field.new(label: 'Weight in milligrams, if weighed', type: :number, options: 0.01..1_000_000),
        wire: Field.new(label: 'Thickness of its wire, or of the eye it hangs by', type: :length, options: SMALLEST_MM),
        play: Field.new(label: 'Can be let out by (extenders)', type: :length, options: 0),
        gap: Field.new(label: 'Gap of an opening ring', type: :length, options: 0),
        faces_with: Field.new(label: 'Rings it faces front with', type: :choice, options: %i[odd even]),
        soldered: Field.new(label: 'Soldered or closed', type: :boolean, options: nil),
        nickel_free: Field.new(label: 'Free of nickel', type: :unsure, options: nil),
        malleable: Field.new(label: 'Can be pressed wider by hand', type: :boolean, options: nil),
        magnetic: Field.new(label: 'Magnetic', type: :boolean, options: nil),
        holds_grams: Field.new(label: 'Grams a magnetic clasp holds', type: :integer, options: 1..100_000)
      }.freeze
      LINE = {
        name: Field.new(label: 'Name: what it is, by thickness, make-up and colour', type: :text, options: 120, required: true),
        kind: Field.new(label: 'Kind', type: :choice, options: Core::Catalogue::Line::KINDS, required: true),
        thickness: Field.new(label: 'Thickness (mm, inch or 24 AWG)', type: :thickness, options: nil, required: true),
        colour: Field.new(label: 'Colour', type: :colour, options: nil, required: true),
        rated_load_grams: Field.new(label: 'Rated load in grams', type: :integer, options: 1..1_000_000),
        reel_length: Field.new(label: 'Length of a reel, hank or coil', type: :reel, options: nil),
        give: Field.new(label: 'Thinner when pulled through a hole, in hundredths (empty: usual for its kind)', type: :integer,
        options: 0..60),
        material: Field.new(label: 'Material (latex, polyurethane, nylon, cotton, copper, brass, steel …)', type: :text, options: 40)
      }.freeze
      TOOL = {
        name: Field.new(label: 'Name', type: :text, options: 120, required: true),
        people_per_tool: Field.new(label: 'People who share one (0: one for the class)', type: :integer, options: 0..60, required: true),
        substitutable: Field.new(label: 'Another tool may stand in', type: :boolean, options: nil),
        counted: Field.new(label: 'Counted out and in', type: :boolean, options: nil),
        cautions: Field.new(label: 'Cautions', type: :cautions, options: CAUTIONS)
      }.freeze
      TECHNIQUE = {
        name: Field.new(label: 'Name', type: :text, options: 120, required: true),
        level: Field.new(label: 'Level', type: :integer, options: 1..5, required: true),
        seconds: Field.new(label: 'Seconds each, for an experienced maker', type: :number, options: 0.1..36_000, required: true),
        demonstration_minutes: Field.new(label: 'Minutes to show it', type: :number, options: 0..240),
        prerequisites: Field.new(label: 'Needs before', type: :keys, options: :techniques),
        tools: Field.new(label: 'Tools held at once (written twice where both hands need one)', type: :tools, options: :tools),
        cautions: Field.new(label: 'Cautions', type: :cautions, options: CAUTIONS),
        easier: Field.new(label: 'Easier technique that may stand in', type: :key, options: :techniques),
        practice: Field.new(label: 'What to practise on first', type: :text, options: 300),
        practice_minutes: Field.new(label: 'Minutes of practice', type: :number, options: 0..240),
        practice_takes: Field.new(label: 'What practice takes, one a line: crimp x 2, or line 200 mm', type: :takes, options: 60),
        points: Field.new(label: 'Points to make when teaching it, one a line', type: :lines, options: 300),
        goes_wrong: Field.new(label: 'What goes wrong, one a line: sign | why | repair | cheap until | minutes lost | parts lost',
        type: :lines,
          options: 400),
        left_hand: Field.new(label: 'For left-handers', type: :text, options: 300)
      }.freeze
      MOST_LINES = 30
      KINDS = {
        tools: { fields: TOOL, type: Core::Catalogue::Tool, usual: { 'people_per_tool' => '1', 'substitutable' => '1' } },
        techniques: {
          fields: TECHNIQUE,
          type: Core::Technique::Skill,
          usual: { 'level' => '1', 'seconds' => '30', 'demonstration_minutes' => '3' }
        },
        parts: {
          fields: PART,
          type: Core::Catalogue::Part,
          usual: {
            'kind' => 'bead',
            'form' => 'round',
            'colour' => '#8a8f98',
            'lines' => '1',
            'soldered' => '1',
            'nickel_free' => ''
          }
        },
        lines: { fields: LINE, type: Core::Catalogue::Line, usual: { 'kind' => 'cable', 'colour' => '#6b7280' } }
      }.freeze

      attr_reader :table_name, :key

      # @param table_name [Symbol] :parts or :lines @param key [String, nil] of the one changed, nil for a new one
      def initialize(studio, table_name, key, given)
        @studio = studio
        @table_name = table_name
        @key = key
        @values = fields.to_h { |name, field| [name.to_s, typed(given[name.to_s], field)] }
        @errors = check
      end

      # @return [StockForm] filled with what is saved, or with what is usual; nothing is judged yet
      def self.show(studio, table_name, key)
        item = key && (studio.catalogue.table.public_send(table_name)[key] || raise(Store::NotFound.new(
          table_name.to_s.delete_suffix('s').to_sym, key
        )))
        form = new(studio, table_name, key, item ? saved(KINDS.fetch(table_name)[:fields], item) : KINDS.fetch(table_name)[:usual])
        form.errors.clear
        form
      end

      def self.saved(fields, item)
        fields.to_h do |name, field|
          value = item.public_send(name)
          next [name.to_s, value.map(&:to_s)] if LISTS.include?(field.type)

          text = if value.is_a?(Core::Measure::Length) then value.to_s
                 elsif %i[lines takes].include?(field.type) then value.join("\n")
                 elsif field.type == :number then value ? format('%g', value) : ''
                 elsif field.type == :unsure then { true => '1', false => '0', nil => '' }.fetch(value)
                 else field.type == :boolean ? (value ? '1' : '0') : value.to_s
                 end
          [name.to_s, text]
        end
      end

      def fields
        KINDS.fetch(table_name)[:fields]
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
        KINDS.fetch(table_name)[:type].new(key: key || free_key, **given)
      end

      def save
        @studio.catalogue.save(table_name, [item])
      end

      # @return [Array<String>] projects that use it, whose plans change with it
      def used_in
        return [] unless key

        @studio.projects.newest.select { |saved| Core::Data::Records::DESIGN.write(saved.design).to_s.include?(%("#{key}")) }.map { |saved| saved.design.name }
      end

      # @return [Array<(String, String)>] what a field of several values offers, by key and name
      def offered(field)
        return field.options.map { |caution| [caution.to_s, caution.to_s.tr('_', ' ')] } if field.type == :cautions

        @studio.catalogue.table.public_send(field.options).values.reject { |item|
          %i[keys key].include?(field.type) && item.key == key
        }.map { |item| [item.key, item.name] }
      end

      private

      def typed(given, field)
        return listed(given) if LISTS.include?(field.type)

        %i[lines takes].include?(field.type) ? given.to_s.lines.map { |line| clean(line) }.reject(&:empty?).join("\n") : clean(given)
      end

      # Only what the list offers; a tool may stand there twice.
      def listed(given)
        (given.is_a?(Array) ? given : [given]).grep(String).reject(&:empty?).first(12)
      end

      def check
        found = fields.to_h { |name, field| [name, problem(value(name), field)] }.compact
        return found if found.any?
        return { hole: 'The hole must be smaller than the width. Check which is which.' } if table_name == :parts && item.contradictions.include?(:hole_larger_than_part)

        return ladder_trouble if table_name == :techniques

        broken = key && broken_design
        broken ? { kind: broken } : {}
      end

      # No circles, and nothing that needs what stands above it.
      def ladder_trouble
        techniques = @studio.catalogue.table.techniques
        trouble = Core::Technique::Ladder.new(techniques.merge((key || 'new') => item)).trouble or return {}

        { prerequisites: Formats::Wording.say("ladder.#{trouble.code}", names: trouble.techniques.map(&:name).join(', ')) }
      end

      # A change that would leave a saved design unbuildable is refused; another part can be entered instead.
      # @return [String, nil]
      def broken_design
        table = @studio.catalogue.table
        changed = table.with(table_name => table.public_send(table_name).merge(key => item))
        @studio.projects.in_use.each do |saved|
          Core::Sizing::Blueprint.new(saved.design, changed)
        rescue Core::Construction::InvalidParameters => e
          return "#{saved.design.name} could not be built with this: #{Formats::Wording.problem(e.problems.first)} Keep it as it was, or enter a new one beside it."
        end
        nil
      end

      def problem(text, field)
        return ('This is needed.' if field.required) if text.empty?
        return ((text - offered(field).map(&:first)).any? ? 'Choose from the list.' : nil) if LISTS.include?(field.type)

        case field.type
        when :number then "Give a number from #{field.options.begin} to #{field.options.end}." unless text.match?(/\A\d{1,6}([.,]\d{1,3})?\z/) && field.options.cover?(text.tr(
          ',', '.'
        ).to_f)
        when :length then length_problem(text, field.options)
        when :thickness then thickness_problem(text)
        when :reel then reel_problem(text)
        when :choice then 'Choose one of the list.' unless field.options.map(&:to_s).include?(text)
        when :integer then "Give a whole number from #{field.options.begin} to #{field.options.end}." unless text.match?(/\A\d{1,7}\z/) && field.options.cover?(text.to_i)
        when :colour then 'Give a colour as # and six figures, such as #3f5f8f.' unless text.match?(/\A#\h{6}\z/)
        when :key then 'Choose from the list.' unless offered(field).any? { |known, _| known == text }
        when :lines then lines_problem(text, field.options)
        when :takes then takes_problem(text)
        when :text then "Shorten this to #{field.options} characters." if text.length > field.options
        end
      end

      def lines_problem(text, longest)
        return "Keep to #{MOST_LINES} lines." if text.lines.size > MOST_LINES

        "Shorten each line to #{longest} characters." if text.lines.any? { |line| line.chomp.length > longest }
      end

      def takes_problem(text)
        wrong = text.lines.map(&:strip).find { |line| Core::Technique::PracticeBag.read(line).nil? }
        %("#{wrong[0, 40]}" does not read. Write a kind and how many, such as crimp x 2, or line 200 mm.) if wrong
      end

      def length_problem(text, least)
        return if Core::Measure::Length.parse(text, default_unit: :mm).to_mm.between?(least, LARGEST_MM)

        least.zero? ? "Give a length from 0 to #{LARGEST_MM} mm." : "Give a length above 0 and up to #{LARGEST_MM} mm."
      rescue Core::Measure::NotALength
        'Give a length with its unit, such as 8 mm or 5/16 in.'
      end

      def thickness_problem(text)
        Core::Measure::ThicknessText.read(text).to_mm <= 20 ? nil : 'Give a thickness up to 20 mm.'
      rescue Core::Measure::ThicknessText::Unreadable => e
        Formats::Wording.say("gauge_errors.#{e.reason}", text: e.text)
      end

      def reel_problem(text)
        'Give the length of a reel from 10 cm to 1000 m, such as 10 m.' unless Core::Measure::Length.parse(text,
          default_unit: :m).to_mm.between?(
          100, 1_000_000
        )
      rescue Core::Measure::NotALength
        'Give the length of a reel with its unit, such as 10 m.'
      end

      def read(text, field)
        return text == '1' if field.type == :boolean
        return if text.empty?

        case field.type
        when :number then text.tr(',', '.').to_f
        when :cautions then text.map(&:to_sym)
        when :lines, :takes then text.split("\n")
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
