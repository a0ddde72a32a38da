# frozen_string_literal: true

require 'json'

module Formats
  # What of a published schema follows from declared fields; bin/schemas writes it into the files.
  module FieldSchema
    # Names that older files use, beside the field that has it now.
    FORMER = { target: 'wish' }.freeze
    # Where declared values stand in the files.
    WRITTEN = { 'class.v1' => {
      %w[properties class] => Core::Setup::Workshop,
      %w[properties calibration] => Core::Setup::Calibration,
      %w[properties attendees items properties needs] => Core::People::Needs,
      %w[properties catalogue properties lines items] => Core::Catalogue::Line
    } }.freeze
    COLOUR = '^#[0-9a-fA-F]{6}$'
    CLOCK = '^([01][0-9]|2[0-3]):[0-5][0-9]$'

    module_function

    # @param name [String] of a published schema @return [String] its file with what is declared now
    def file(name)
      content = JSON.parse(File.read(path(name)))
      WRITTEN.fetch(name).each { |(*above, place), type| content.dig(*above)[place] = schema(type) }
      "#{JSON.pretty_generate(content)}\n"
    end

    def path(name)
      File.join(Schema::FOLDER, "#{name}.schema.json")
    end

    # @param type [Class] made by Core::Fields.define @return [Hash] JSON Schema of its plain form
    def schema(type)
      needed = type.fields.each_value.select(&:required).map { |field| field.name.to_s }
      { 'type' => 'object', 'required' => needed, 'additionalProperties' => false,
        'properties' => type.fields.each_value.reduce({}) { |all, field| all.merge(named(field)) } }.reject { |_, part| part == [] }
    end

    def named(field)
      own = of(field)
      former = FORMER[field.name]
      { field.name.to_s => own, former => former && own.merge('description' => "an older name of #{field.name}") }.compact
    end

    # @param field [Core::Field]
    def of(field)
      form = form(field)
      words = [form['description'], field.says].compact.join(': ')
      words.empty? ? form : form.merge('description' => words)
    end

    def form(field)
      case field.type
      when :key, :length, :size, :name then { '$ref' => "#/$defs/#{field.type}" }
      when :whole then number(field, 'integer', 'a whole number')
      when :amount then number(field, 'integer', 'whole minor units of money')
      when :number then number(field, 'number', 'a number')
      when :yes then { 'type' => 'boolean' }
      when :choice then { 'enum' => field.of.map(&:to_s), 'description' => one_of(field.of) }
      when :text then text(field)
      when :choices
        { 'type' => 'array', 'maxItems' => field.of.size, 'uniqueItems' => true, 'items' => { 'enum' => field.of.map(&:to_s) } }
      when :colour then { 'type' => 'string', 'pattern' => COLOUR, 'description' => 'a colour as #rrggbb' }
      when :date then { 'type' => 'string', 'format' => 'date', 'description' => 'a date that exists, as YYYY-MM-DD' }
      when :clock then { 'type' => 'string', 'pattern' => CLOCK, 'description' => 'a time as HH:MM' }
      when :list then { 'type' => 'array', 'maxItems' => field.most, 'items' => of(field.each) }
      when :by_key then { 'type' => 'object', 'additionalProperties' => of(field.each) }
      when :by_level then { 'type' => 'object', 'required' => %w[1 2 3 4 5], 'additionalProperties' => of(field.each) }
      when :record then schema(field.of)
      end
    end

    # What is not known is left out, not empty.
    def text(field)
      { 'type' => 'string', **(field.may_be_empty? ? { 'minLength' => 1 } : {}), 'maxLength' => field.most,
        'description' => "text of at most #{field.most} characters" }
    end

    def number(field, type, words)
      low, high = field.within.begin, field.within.end
      { 'type' => type, 'minimum' => low, 'maximum' => high, 'description' => "#{words} from #{low} to #{high}" }
    end

    def one_of(codes)
      *first, last = codes.map(&:to_s)
      first.empty? ? last : "#{first.join(', ')} or #{last}"
    end
  end
end
