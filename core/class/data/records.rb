# frozen_string_literal: true

module Core
  module Data
    # The plain form of each value that is saved or exchanged.
    module Records
      PART = Record.new(Catalogue::Part, key: :text, name: :text, kind: :symbol, along: :length, outer: :length, hole: :length,
        hole_height: :length, play: :length, form: :symbol, colour: :text, mark: :text, lines: :integer,
        soldered: :boolean, gap: :length, wire: :length, material: :text, mass_mg: :number, nickel_free: :boolean,
        malleable: :boolean, magnetic: :boolean, faces_with: :symbol, holds_grams: :integer,
        tested: :integer, rejected: :integer, smallest_hole: :length, wall: :length, surface: :symbol)
      LINE = Record.of(Catalogue::Line)
      TOOL = Record.new(Catalogue::Tool, key: :text, name: :text, people_per_tool: :integer, substitutable: :boolean, counted: :boolean,
        cautions: :symbols)
      TECHNIQUE = Record.new(Catalogue::Technique, key: :text, name: :text, level: :integer, seconds: :number, prerequisites: :texts,
        tools: :texts,
        demonstration_minutes: :number, cautions: :symbols, easier: :text, practice: :text,
        practice_minutes: :number, practice_takes: :texts, points: :texts, goes_wrong: :texts, left_hand: :text, stand_ins: :texts)
      ALLOYS = Record.new(Catalogue::Alloys, contents: :data)
      COMPONENT = Record.new(Project::Component, key: :text, construction: :symbol, parameters: :data, hung_at: :text,
        apart: :boolean, length: :length)
      SAMPLE = Record.new(Project::Sample, component: :text, units: :integer, worn: :length, length: :length, used: :length, grams: :number,
        minutes: :number, level: :integer, note: :text)
      MEASURED = Record.new(Making::Measured, component: :text, size: :number, take: :number, weight: :number, pace: :number)
      DESIGN = Record.new(Project::Design, key: :text, name: :text, version: :integer, body: :symbol, ease: :length, wraps: :integer,
        overlap: :length, made: :integer, tails: :symbol, note: :text, colourways: :data, test_piece: :boolean, components: COMPONENT,
        samples: SAMPLE, measured: MEASURED)
      NEEDS = Record.of(People::Needs)
      SWATCH = Record.new(Catalogue::Swatch, construction: :symbol, measure: :symbol, line: :text, about: :text, value: :number)
      ATTENDEE = Record.new(People::Attendee, key: :text, name: :text, level: :integer, measures: :lengths, ease: :length,
        needs: Record::One.new(NEEDS), notes: :text,
        colourway: :text, brings: :texts, tails: :symbol, experience: :experience, swatches: SWATCH)
      ANSWER = Record.new(People::Answer, name: :text, measure: :length, written: :text, done: :policies, needs: Record::One.new(NEEDS),
        colourway: :text, brings: :texts, note: :text, mail: :text)
      SUPPLIER = Record.new(Supply::Supplier, key: :text, name: :text, delivery: :money, minimum: :money)
      OFFER = Record.new(Supply::Offer, supplier: :text, kind: :symbol, item: :text, unit: :symbol, amount: :integer, price: :money,
        article: :text, also: :counts)
      ENTRY = Record.new(Supply::Entry, kind: :symbol, item: :text, quantity: :integer, reason: :symbol, length: :length, note: :text,
        class_id: :integer)
      WORKSHOP = Record.of(Setup::Workshop)
      CALIBRATION = Record.of(Setup::Calibration)
      EVENT = Record.new(Live::Event, key: :text, kind: :symbol, at: :integer, person: :text, undoes: :text, detail: :text)
      TRY = Record.new(Logbook::TimeObservation, technique: :text, session: :text, person: :text, planned: :number, minutes: :number,
        variance: :number, by_others: :boolean)
      TIME = Record.new(Logbook::TimeSaid, technique: :text, session: :text, tries: :integer, factor: :number, variance: :number,
        people: :number)
      LOST = Record.new(Logbook::Lost, kind: :symbol, uses: :number, lost: :integer, session: :text)
      LOT_USE = Record.new(Logbook::LotUse, part: :text, date: :date, used: :number, rejected: :integer, session: :text)
      CALLS = Record.new(Logbook::Calls, expected: :number, called: :integer, session: :text)
      VISITS = Record.new(Logbook::Visits, number: :integer, minutes: :number, session: :text)
      CAME_OUT = Record.new(Logbook::LengthObservation, project: :text, by: :number, session: :text)
      HELD_CLASS = Record.new(Logbook::HeldClass, session: :text, date: :date, people: :integer, tries: TRY, times: TIME, lost: LOST,
        lots: LOT_USE, calls: CALLS, visits: VISITS, came_out: CAME_OUT, told: :number, came_true: :boolean, teaches: :boolean,
        irregular: :number, signed_up: :integer, late: :number)

      # @param data [Object] plain data @return [Set<String>] every text in it, keys too
      def self.texts_of(data)
        case data
        when Hash then data.map { |key, value| texts_of(value).add(key) }.reduce(Set.new, :|)
        when Array then data.map { |value| texts_of(value) }.reduce(Set.new, :|)
        when String then Set[data]
        else Set.new
        end
      end

      # @param design [Project::Design] @return [Hash] plain data, components by their key, so that two states can be merged leaf by leaf
      def self.branches(design)
        data = DESIGN.write(design)
        {
          'design' => data.except('components'),
          'components' => data.fetch('components', []).to_h { |component|
            [component['key'], component]
          },
          'order' => { 'keys' => design.components.map(&:key) }
        }
      end

      # @param data [Hash] see .branches @return [Project::Design]
      def self.from_branches(data)
        keys = data['order']['keys']
        components = data['components'].values.sort_by { |component| keys.index(component['key']) || keys.size }
        DESIGN.read(data['design'].merge('components' => components))
      end
    end
  end
end
