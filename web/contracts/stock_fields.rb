# frozen_string_literal: true

module Web
  module Contracts
    # The fields by which parts, lines, tools and techniques are entered.
    module StockFields
      # One field. options: longest text, least millimetres, the choices, a range, or the table whose keys it takes
      Field = Core::Value.define(:label, :type, :options, required: false)

      CAUTIONS = %i[cutting sharp_tails needles flame cement work_hardening].freeze
      # Fields that hold several values.
      LISTS = %i[keys tools cautions].freeze
      # Fields of several lines of text.
      LINES = %i[lines takes stand_ins].freeze
      SMALLEST_MM = 0.01

      PART = {
        name: Field.new(label: 'Name: what it is, by size, form and colour', type: :text, options: 120, required: true),
        kind: Field.new(label: 'Kind', type: :choice, options: Core::Catalogue::Part::KINDS, required: true),
        along: Field.new(label: 'Length along the line', type: :length, options: SMALLEST_MM, required: true),
        outer: Field.new(label: 'Width across', type: :length, options: SMALLEST_MM, required: true),
        hole: Field.new(label: 'Hole, bore or inner room', type: :length, options: SMALLEST_MM),
        hole_height: Field.new(label: 'Hole height from underneath (empty: half the width)', type: :length, options: 0),
        lines: Field.new(label: 'Holes side by side', type: :integer, options: 1..12),
        form: Field.new(label: 'Drawn as', type: :choice, options: Core::Catalogue::Part::FORMS, required: true),
        colour: Field.new(label: 'Colour', type: :colour, options: nil, required: true),
        mark: Field.new(label: 'Mark in drawings (one or two letters)', type: :text, options: 2, required: true),
        material: Field.new(label: 'Material', type: :choice, options: Core::Catalogue::Mass::DENSITIES.keys),
        surface: Field.new(label: 'Surface in pictures (empty: as its material looks)', type: :choice,
          options: Core::Catalogue::Surface::KINDS),
        mass_mg: Field.new(label: 'Weight in milligrams, if weighed', type: :number, options: 0.01..1_000_000),
        wire: Field.new(label: 'Thickness of its wire, or of the eye it hangs by', type: :length, options: SMALLEST_MM),
        wall: Field.new(label: 'Wall of a cap at its hole (empty: 0.5 mm)', type: :length, options: SMALLEST_MM),
        play: Field.new(label: 'Can be let out by (extenders)', type: :length, options: 0),
        gap: Field.new(label: 'Gap of an opening ring', type: :length, options: 0),
        faces_with: Field.new(label: 'Rings it faces front with', type: :choice, options: %i[odd even]),
        soldered: Field.new(label: 'Soldered or closed', type: :unsure, options: nil),
        nickel_free: Field.new(label: 'Free of nickel', type: :unsure, options: nil),
        malleable: Field.new(label: 'Can be pressed wider by hand', type: :boolean, options: nil),
        magnetic: Field.new(label: 'Magnetic', type: :boolean, options: nil),
        holds_grams: Field.new(label: 'Load at which it opens, breaks or lets go, in grams', type: :integer, options: 1..100_000),
        tested: Field.new(label: 'Beads tested from this lot', type: :integer, options: 0..10_000),
        rejected: Field.new(label: 'Of those, would not do', type: :integer, options: 0..10_000),
        smallest_hole: Field.new(label: 'Smallest hole among them', type: :length, options: SMALLEST_MM)
      }.freeze
      # How the types of a declared field are typed here, and what each asks for.
      TYPED = { name: [:text, 120], text: %i[text most], choice: %i[choice of], whole: %i[integer within], size: [:length, SMALLEST_MM],
                colour: [:colour, nil] }.freeze

      # @param type [Class] made by Core::Fields.define @param other [Hash{Symbol=>Symbol}] fields that are typed in a way of their own
      # @return [Hash{Symbol=>Field}] but its key, with labels "stock_fields.TABLE.FIELD"
      def self.declared(table, type, **other)
        type.fields.except(:key).to_h do |name, field|
          usual, asks = TYPED.fetch(field.type)
          options = asks.is_a?(Symbol) ? field.public_send(asks) : asks
          [name, Field.new(label: Formats::Wording.say("stock_fields.#{table}.#{name}"), type: other.fetch(name, usual),
            options: other.key?(name) ? nil : options, required: field.required)]
        end
      end

      LINE = declared(:lines, Core::Catalogue::Line, thickness: :thickness, reel_length: :reel).freeze
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
          type: :lines, options: 400),
        left_hand: Field.new(label: 'For left-handers', type: :text, options: 300),
        stand_ins: Field.new(label: 'Tools that may stand in, one a line: crimping_pliers > flat_pliers x 1.2: what to mind',
          type: :stand_ins, options: 300)
      }.freeze
      TABLES = { parts: PART, lines: LINE, tools: TOOL, techniques: TECHNIQUE }.freeze
    end
  end
end
