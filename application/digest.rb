# frozen_string_literal: true

require 'date'
require 'digest'

module Application
  # Names data by its content: equal data has one digest, in this run of the program and in any other, also where parts of it are shared.
  module Digest
    PLAIN = [Rational, Symbol, NilClass, TrueClass, FalseClass, Date, Time, Range].freeze

    module_function

    # @param data [Object] values of the core and plain data @return [String]
    # @raise [ArgumentError] for anything that has no content of its own
    def of(data)
      ::Digest::MD5.hexdigest(write(data, +''))
    end

    def write(data, text)
      case data
      when String then text << data.bytesize.to_s << ':' << data
      when Integer, Float then text << data.to_s
      when Core::Value then write_all(data.field_values, text << data.class.name)
      when Array then write_all(data, text)
      when Hash then write_pairs(data, text << 'h')
      when Core::Measure::Length then text << data.nm.to_s << 'nm'
      when *PLAIN then text << data.inspect
      else raise ArgumentError, "#{data.class} has no digest"
      end
    end

    def write_all(items, text)
      text << '['
      items.each { |item| write(item, text) << ',' }
      text << ']'
    end

    def write_pairs(pairs, text)
      text << '['
      pairs.each { |key, value| write(value, write(key, text) << ',') << ',' }
      text << ']'
    end
    private_class_method :write, :write_all, :write_pairs
  end
end
