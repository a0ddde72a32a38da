# frozen_string_literal: true

module Formats
  # A fit check's question as text, from an address or a command line, with what is wrong at each field.
  class GaugeQuestion
    FIELDS = %i[purpose line passes line2 passes2 hole outer part].freeze
    USUAL = {
      'purpose' => 'hole',
      'line' => '0.38 mm',
      'passes' => '2',
      'line2' => '',
      'passes2' => '1',
      'hole' => '1.0 mm',
      'outer' => '',
      'part' => ''
    }.freeze

    LONGEST = 60

    attr_reader :values, :errors

    # @param given [Hash{String=>Object}] @param table [Core::Catalogue::Table]
    def initialize(given, table)
      @table = table
      @values = USUAL.to_h { |name, usual|
        [name, given[name].is_a?(String) ? given[name].byteslice(0, LONGEST * 4).scrub[0, LONGEST].delete("\u0000").strip : usual]
      }
      @errors = {}
      read
    end

    # @return [Core::Fit::QuickCheck::Answer, nil] nil when something is wrong
    def answer
      @answer ||= Core::Fit::QuickCheck.ask(purpose, lines, @hole, @table) if errors.empty?
    end

    def purpose
      Core::Fit::Passage::PURPOSES.keys.find { |known| known.to_s == values['purpose'] }
    end

    # @return [Array<Core::Measure::Length>] one for each pass
    def lines
      ([@line] * @passes) + (@line2 ? [@line2] * @passes2 : [])
    end

    attr_reader :hole, :part

    # @return [Hash] the answer as JSON holds it
    def to_data
      {
        'purpose' => purpose.to_s,
        'lines_mm' => lines.map(&:to_mm),
        'hole_mm' => hole.to_mm,
        'status' => answer.status.to_s,
        'code' => answer.code.to_s,
        'margin_mm' => answer.margin.to_mm.round(4),
        'needed_mm' => answer.needed.to_mm.round(4),
        'loosest_mm' => answer.loosest&.to_mm&.round(4),
        'text' => Wording.say("gauge.#{answer.code}"),
        'lines_that_fit' => answer.lines.map(&:key),
        'parts_that_fit' => answer.parts.map(&:key)
      }
    end

    private

    def read
      wrong(:purpose, :unknown_purpose, known: Core::Fit::Passage::PURPOSES.keys.join(', ')) unless purpose
      @part = @table.parts[values['part']] unless values['part'].empty?
      wrong(:part, :unknown_part) if !values['part'].empty? && @part.nil?
      @line = thickness(:line)
      @passes = count(:passes)
      @line2 = thickness(:line2) unless values['line2'].empty?
      @passes2 = count(:passes2)
      @hole = read_hole
      check_together if errors.empty?
    end

    def read_hole
      return thickness(:hole) unless @part

      wrong(:part, :no_hole, name: @part.name) if @part.hole.nil?
      @part.hole
    end

    def thickness(field)
      Core::Measure::ThicknessText.read(values[field.to_s])
    rescue Core::Measure::ThicknessText::Unreadable => e
      wrong(field, e.reason, text: e.text)
    end

    def count(field)
      number = values[field.to_s]
      return number.to_i if number.match?(/\A\d{1,3}\z/) && number.to_i.positive?

      wrong(field, :not_a_count) || 1
    end

    def check_together
      wrong(:passes, :too_many_lines, most: Core::Fit::QuickCheck::MOST_LINES) if lines.size > Core::Fit::QuickCheck::MOST_LINES
      unequal = Core::Fit::QuickCheck::MOST_UNEQUAL
      wrong(:passes2, :too_many_unequal, most: unequal) if lines.uniq.size > 1 && lines.size > unequal
      return if values['outer'].empty?

      outer = thickness(:outer)
      wrong(:hole, :hole_larger) if outer && hole >= outer
    end

    def wrong(field, reason, **about)
      @errors[field] ||= Wording.say("gauge_errors.#{reason}", **about)
      nil
    end
  end
end
