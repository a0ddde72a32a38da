# frozen_string_literal: true

module Formats
  # Does it reach? As text, from an address or a command line, with what is wrong at each field.
  class ReachQuestion
    FIELDS = %i[start left done number held].freeze
    LENGTHS = %i[start left].freeze
    COUNTS = %i[done number].freeze
    LONG = (1..1_000_000).freeze
    HELD = (0..1000).freeze
    MOST = 9999
    LONGEST = 40

    attr_reader :values, :errors

    # @param given [Hash{String=>Object}] @param unit [Symbol] of lengths in the answer @param asked whether nothing given is a question too
    def initialize(given, unit = :mm, asked: false)
      @unit = unit
      @asked = asked
      @values = FIELDS.to_h { |name|
        text = given[name.to_s]
        [name, text.is_a?(String) ? text.byteslice(0, LONGEST * 4).scrub[0, LONGEST].delete("\u0000").strip : '']
      }
      @errors = {}
      read if asked?
    end

    # @return [Boolean] whether anything was asked
    def asked?
      @asked || values.except(:held).values.any? { |text| !text.empty? }
    end

    # @return [Core::Making::Reach, nil] nil until all is given well
    def found
      @found if asked? && errors.empty?
    end

    # @return [String]
    def verdict
      ReachWords.verdict(found, @unit)
    end

    # @return [Hash] the answer as JSON holds it
    def to_data
      data = { 'status' => found.status.to_s, 'text' => verdict }
      return data unless found.possible?

      data.merge('used_mm' => found.used.to_mm.round(4), 'needed_mm' => found.needed.to_mm.round(4), 'to_do' => found.to_do,
        'more' => found.more, 'difference_mm' => found.difference.to_mm.round(4))
    end

    private

    def read
      lengths = LENGTHS.to_h { |name| [name, length(name, LONG)] }
      held = values[:held].empty? ? Core::Measure::Length::ZERO : length(:held, HELD)
      counts = COUNTS.to_h { |name| [name, count(name)] }
      @errors[:done] ||= say('more_than_all') if counts.values.all? && counts[:done] > counts[:number]
      @found = Core::Making::Reach.new(**lengths, **counts, held: held) if errors.empty?
    end

    def length(name, range)
      length = Core::Measure::Length.parse(values[name], default_unit: :mm)
      range.cover?(length.to_mm) ? length : wrong(name, 'give_length')
    rescue Core::Measure::NotALength
      wrong(name, 'give_length')
    end

    def count(name)
      values[name].match?(/\A\d{1,4}\z/) && values[name].to_i.between?(1, MOST) ? values[name].to_i : wrong(name, 'give_count', most: MOST)
    end

    def wrong(name, key, **told)
      @errors[name] = say(key, **told)
      nil
    end

    def say(key, **told)
      Wording.say("reach_answers.#{key}", unit: @unit, **told)
    end
  end
end
