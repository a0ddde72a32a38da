# frozen_string_literal: true

require 'digest'

# Figures from the last reviewed run, one per line, so that a change to any rule shows up as changed lines.
# After an intended change, run with FIGURES=write and read the diff line by line before committing it.
module Figures
  FOLDER = File.join(EagerBench::ROOT, 'spec', 'fixtures', 'figures')
  # A longer line is cut and ends with a digest of the whole.
  LONGEST = 120
  MOST_LINES = 6
  PLAIN = [String, Symbol, Numeric, NilClass, TrueClass, FalseClass, Date].freeze

  module_function

  # @param name [String] of the file @param figures [Hash{String=>Object}] @return [Array<String>] what differs, '- was' and '+ is'
  def differ(name, figures)
    file = File.join(FOLDER, "#{name}.txt")
    lines = figures.flat_map { |key, value| lines(key, value) }
    File.write(file, lines.join("\n") << "\n") if ENV['FIGURES'] == 'write'
    was = File.exist?(file) ? File.readlines(file, chomp: true) : []
    (was - lines).map { |line| "- #{line}" } + (lines - was).map { |line| "+ #{line}" }
  end

  # @return [Array<String>]
  def lines(key, value)
    case value
    when Core::Lazy then lines(key, value.value)
    when Core::Value then plain?(value) ? [line(key, value)] : value.to_h.flat_map { |name, inner| lines("#{key}.#{name}", inner) }
    when Hash then value.flat_map { |name, inner| lines("#{key}[#{text(name)}]", inner) }
    when Array then listed(key, value)
    else [line(key, value)]
    end
  end

  # A short list of what is long stands one a line.
  def listed(key, list)
    long = list.size.between?(2, MOST_LINES) && "#{key} #{text(list)}".length > LONGEST
    long ? list.each_with_index.map { |one, i| line("#{key}[#{i}]", one) } : [line(key, list)]
  end

  def line(key, value)
    whole = "#{key} #{text(value)}"
    whole.length > LONGEST ? "#{whole[0, LONGEST]} #{Digest::MD5.hexdigest(whole)[0, 12]}" : whole
  end

  def plain?(value)
    value.respond_to?(:key) || value.is_a?(Core::Measure::Length)
  end

  # @return [String]
  def text(value)
    case value
    when Core::Lazy then text(value.value)
    when Core::Measure::Length then value.to_s
    when Core::Catalogue::Part, Core::Catalogue::Line, Core::Catalogue::Tool, Core::Catalogue::Technique,
      Core::People::Attendee then value.key
    when Core::Value, Struct then "(#{value.to_h.map { |name, inner| "#{name} #{text(inner)}" }.join(', ')})"
    when Hash then "{#{value.map { |name, inner| "#{text(name)}: #{text(inner)}" }.join(', ')}}"
    when Array then "[#{value.map { |inner| text(inner) }.join(', ')}]"
    when Float then format('%.6g', value)
    when Rational then format('%.6g', value.to_f)
    else PLAIN.any? { |type| value.is_a?(type) } ? value.to_s : value.class.name
    end
  end
end
