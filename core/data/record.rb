# frozen_string_literal: true

require 'date'

module Core
  module Data
    # The plain form of a value: a hash of strings, numbers, lists and hashes, as JSON and database rows hold it.
    # Writing leaves out what equals its default; reading takes the default for what is absent.
    class Record
      READ = {
        text: ->(v) { v }, integer: ->(v) { v }, number: ->(v) { v }, boolean: ->(v) { v }, data: ->(v) { v },
        symbol: ->(v) { v.to_sym },
        length: ->(v) { Measure::Length.parse(v) },
        lengths: ->(v) { v.to_h { |key, text| [key.to_sym, Measure::Length.parse(text)] } },
        texts: ->(v) { v }, symbols: ->(v) { v.map(&:to_sym) },
        date: ->(v) { Date.iso8601(v) },
        clock: ->(v) { Measure::ClockTime.parse(v) },
        paces: ->(v) { v.to_h { |level, pace| [level.to_i, pace] } }
      }.freeze
      WRITE = {
        text: ->(v) { v }, integer: ->(v) { v }, number: ->(v) { v }, boolean: ->(v) { v }, data: ->(v) { v },
        symbol: ->(v) { v.to_s },
        length: ->(v) { v.to_s },
        lengths: ->(v) { v.to_h { |key, length| [key.to_s, length.to_s] } },
        texts: ->(v) { v }, symbols: ->(v) { v.map(&:to_s) },
        date: ->(v) { v.iso8601 },
        clock: ->(v) { v.to_s },
        paces: ->(v) { v.to_h { |level, pace| [level.to_s, pace] } }
      }.freeze

      attr_reader :fields

      # @param type [Class] a Value
      # @param fields [Hash{Symbol=>Symbol, Record}] each field's type; a Record reads a list of values of its own
      def initialize(type, **fields)
        @type = type
        @fields = fields.freeze
        freeze
      end

      # @param data [Hash{String=>Object}] already checked against the published schema
      # @raise [Measure::NotALength, ArgumentError] for data no schema let through
      def read(data)
        given = fields.select { |name, _| !data[name.to_s].nil? }
        @type.new(**given.to_h { |name, kind| [name, kind.is_a?(Record) ? data[name.to_s].map { |d| kind.read(d) } : READ.fetch(kind).call(data[name.to_s])] })
      end

      # @return [Hash{String=>Object}]
      def write(value)
        fields.filter_map do |name, kind|
          content = value.public_send(name)
          next if content.nil? || (@type::DEFAULTS.key?(name) && content == @type::DEFAULTS[name])

          [name.to_s, kind.is_a?(Record) ? content.map { |v| kind.write(v) } : WRITE.fetch(kind).call(content)]
        end.to_h
      end
    end
  end
end
