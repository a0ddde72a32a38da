# frozen_string_literal: true

require 'json'

module Formats
  # The published JSON Schemas in docs/formats, and checking data against them.
  module Schema
    FOLDER = File.join(EagerBench::ROOT, 'docs', 'formats')
    MOST_ERRORS = 20

    module_function

    # @param name [String] such as 'class.v1', or 'studio.v1#/$defs/parts' for a part of it
    # @return [Array<BadDocument::Place>] empty when the data keeps to the schema
    def errors(name, data)
      schemer(name).validate(data).first(MOST_ERRORS).map do |error|
        BadDocument::Place.new(pointer: error['data_pointer'], expected: expectation(error), found: shorten(error['data']))
      end
    end

    def schemer(name)
      # Patterns are those of ECMA-262, where ^ and $ are the ends of the text, not of a line.
      # Takes a third of a second to load, and most runs never check a file.
      require 'json_schemer'
      @schemers ||= {}
      @schemers[name] ||= begin
        file, part = name.split('#')
        whole = JSONSchemer.schema(content(file), format: true, regexp_resolver: 'ecma', ref_resolver: method(:referred))
        part ? whole.ref("##{part}") : whole
      end
    end

    def content(file)
      JSON.parse(File.read(File.join(FOLDER, "#{file}.schema.json")))
    end

    # @param uri [URI] such as urn:eager-bench:class:v1
    def referred(uri)
      content(uri.to_s.delete_prefix('urn:eager-bench:').tr(':', '.'))
    end

    def expectation(error)
      schema = error['schema']
      case error['type']
      when 'required' then "the keys #{Array(error.dig('details', 'missing_keys')).join(', ')}"
      when 'schema' then 'no such key here'
      when 'enum' then "one of #{schema['enum'].join(', ')}"
      when 'const' then schema['const'].to_json
      else schema.is_a?(Hash) && schema['description'] ? schema['description'] : error['error'].sub(/\Avalue at `[^`]*` /, '')
      end
    end

    def shorten(data)
      text = JSON.generate(data, allow_nan: true)
      text.length > 60 ? "#{text[0, 57]}..." : text
    end
    private_class_method :schemer, :content, :referred, :expectation, :shorten
  end
end
