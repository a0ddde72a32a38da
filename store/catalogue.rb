# frozen_string_literal: true

module Store
  # The studio's parts, lines, tools and techniques. Every change raises the catalogue's revision.
  class Catalogue
    include Transactional

    RECORDS = {
      parts: Core::Data::Records::PART,
      lines: Core::Data::Records::LINE,
      tools: Core::Data::Records::TOOL,
      techniques: Core::Data::Records::TECHNIQUE
    }.freeze
    SWATCH = Core::Data::Records::SWATCH
    ALLOYS = Core::Data::Records::ALLOYS

    def initialize(database)
      super
      @rows = RECORDS.transform_values { |record| Rows.new(record) }
    end

    # @return [Core::Catalogue::Table]
    def table
      revision = @database[:studio].get(:catalogue_revision)
      return @table if @table_revision == revision

      @table = Core::Catalogue::Table.new(**RECORDS.keys.to_h { |name| [name, load(name)] }, hidden: hidden, swatches: swatches,
        alloys: alloys)
      @table_revision = revision
      @table
    end

    def revision
      @database[:studio].get(:catalogue_revision)
    end

    # Adds or replaces. @param name [Symbol] a key of RECORDS
    def save(name, values)
      rows = values.map { |value| @rows.fetch(name).row(value) }
      changing { rows.each { |row| @database[name].insert_conflict(:replace).insert(row) } }
    end

    # See Application::Removal: what uses it is not asked here. @param name [Symbol] a key of RECORDS
    def remove(name, key)
      changing do
        @database[name].where(key: key).delete
        @database[:hidden].where(kind: name.to_s, key: key).delete
      end
    end

    # @param away [Boolean] whether it is no longer offered
    def hide(name, key, away)
      changing do
        row = { kind: name.to_s, key: key }
        away ? @database[:hidden].insert_conflict.insert(row) : @database[:hidden].where(row).delete
      end
    end

    # In the place of what was measured of the same thing before.
    # @param swatch [Core::Catalogue::Swatch]
    def save_swatch(swatch)
      changing { @database[:swatches].insert_conflict(:replace).insert(SWATCH.write(swatch).transform_keys(&:to_sym)) }
    end

    # @param swatch [Core::Catalogue::Swatch] of any value
    def remove_swatch(swatch)
      changing { @database[:swatches].where(SWATCH.write(swatch).transform_keys(&:to_sym).except(:value)).delete }
    end

    # @param alloys [Core::Catalogue::Alloys]
    def save_alloys(alloys)
      changing { @database[:studio].update(alloys: JSON.generate(ALLOYS.write(alloys))) }
    end

    # Ready-made ways to end a piece. first, last: rows of findings as data
    Closure = Core::Value.define(:key, :name, :first, :last, takes_clasp: false) do
      # @param data [Hash{String=>Object}] see #to_data
      def self.read(data)
        new(**data.transform_keys(&:to_sym))
      end

      # @return [Hash{String=>Object}] plain
      def to_data
        to_h.transform_keys(&:to_s)
      end
    end

    # @return [Array<Closure>]
    def closures
      @database[:closures].order(:name).all.map do |row|
        Closure.new(key: row[:key], name: row[:name], first: JSON.parse(row[:first]), last: JSON.parse(row[:last]),
          takes_clasp: row[:takes_clasp])
      end
    end

    def save_closure(closure)
      write do
        @database[:closures].insert_conflict(:replace)
          .insert(key: closure.key, name: closure.name, first: JSON.generate(closure.first), last: JSON.generate(closure.last),
            takes_clasp: closure.takes_clasp)
      end
    end

    private

    def alloys
      ALLOYS.read(JSON.parse(@database[:studio].get(:alloys) || '{}'))
    end

    def swatches
      @database[:swatches].order(:construction, :measure, :line, :about).all.map { |row| SWATCH.read(row.transform_keys(&:to_s)) }.freeze
    end

    # @return [Array<Array(Symbol, String)>] table and key of what is not offered any more
    def hidden
      @database[:hidden].select_map(%i[kind key]).map { |kind, key| [kind.to_sym, key] }.freeze
    end

    def changing
      write do
        yield
        @database[:studio].update(catalogue_revision: Sequel[:catalogue_revision] + 1)
      end
    end

    def load(name)
      @database[name].order(:name).all.to_h do |row|
        value = @rows.fetch(name).value(row)
        [value.key, value]
      end.freeze
    end
  end
end
