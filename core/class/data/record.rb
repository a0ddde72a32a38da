# frozen_string_literal: true

require 'date'

module Core
  module Data
    # The plain form of a value: a hash of strings, numbers, lists and hashes, as JSON and database rows hold it.
    # Writing leaves out what equals its default; reading takes the default for what is absent.
    class Record
      # Alike in both forms.
      PLAIN = %i[text integer number boolean data money texts counts].to_h { |kind| [kind, ->(v) { v }] }.freeze
      READ = {
        **PLAIN,
        symbol: ->(v) { v.to_sym },
        length: ->(v) { Measure::Length.parse(v) },
        lengths: ->(v) { v.to_h { |key, text| [key.to_sym, Measure::Length.parse(text)] } },
        symbols: ->(v) { v.map(&:to_sym) },
        date: ->(v) { Date.iso8601(v) },
        clock: ->(v) { Measure::ClockTime.parse(v) },
        paces: ->(v) { v.to_h { |level, pace| [level.to_i, pace] } },
        policies: ->(v) { v.transform_values(&:to_sym) },
        experience: ->(v) { v.transform_values { |done| People::Experience.new(times: done['times'],
          last: done['last'] && Date.iso8601(done['last'])) } }
      }.freeze
      WRITE = {
        **PLAIN,
        symbol: ->(v) { v.to_s },
        length: ->(v) { v.to_s },
        lengths: ->(v) { v.to_h { |key, length| [key.to_s, length.to_s] } },
        symbols: ->(v) { v.map(&:to_s) },
        date: ->(v) { v.iso8601 },
        clock: ->(v) { v.to_s },
        paces: ->(v) { v.to_h { |level, pace| [level.to_s, pace] } },
        policies: ->(v) { v.transform_values(&:to_s) },
        experience: ->(v) { v.transform_values { |done| { 'times' => done.times, 'last' => done.last&.iso8601 }.compact } }
      }.freeze

      # The plain form of each type of a declared field.
      KINDS = { whole: :integer, number: :number, amount: :integer, yes: :boolean, choice: :symbol, choices: :symbols, text: :text,
                colour: :text, key: :text, name: :text, date: :date, clock: :clock, length: :length, size: :length, list: :texts,
                by_level: :paces }.freeze

      attr_reader :fields

      # @param type [Class] made by Fields.define @return [Record]
      def self.of(type)
        new(type, **type.fields.transform_values { |field| kind(field) })
      end

      def self.kind(field)
        case field.type
        when :record then One.new(of(field.of))
        when :by_key then field.each.type == :choice ? :policies : :counts
        else KINDS.fetch(field.type)
        end
      end
      private_class_method :kind

      # @param type [Class] a Value
      # @param fields [Hash{Symbol=>Symbol, Record, One}] each field's type; a Record reads a list of values of its own, a One a single
      #   value
      def initialize(type, **fields)
        @type = type
        @fields = fields.freeze
        freeze
      end

      # @param data [Hash{String=>Object}] already checked against the published schema
      # @raise [Measure::NotALength, ArgumentError] for data no schema let through
      def read(data)
        given = fields.select { |name, _| !data[name.to_s].nil? }
        @type.new(**given.to_h { |name, kind|
          [name, kind.is_a?(Symbol) ? READ.fetch(kind).call(data[name.to_s]) : kind.read_field(data[name.to_s])]
        })
      end

      # @return [Hash{String=>Object}]
      def write(value)
        fields.filter_map do |name, kind|
          content = value.public_send(name)
          next if content.nil? || (@type::DEFAULTS.key?(name) && content == @type::DEFAULTS[name])

          [name.to_s, kind.is_a?(Symbol) ? WRITE.fetch(kind).call(content) : kind.write_field(content)]
        end.to_h
      end

      # As a field of another record: a list.
      def read_field(data)
        data.map { |item| read(item) }
      end

      def write_field(values)
        values.map { |value| write(value) }
      end

      # A field that holds one value.
      One = Struct.new(:record) do
        def read_field(data)
          record.read(data)
        end

        def write_field(value)
          record.write(value)
        end
      end
    end
  end
end
