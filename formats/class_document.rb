# frozen_string_literal: true

require 'json'

module Formats
  # A class as one JSON file: everything its plan depends on. The schema is docs/formats/class.v1.schema.json.
  module ClassDocument
    FORMAT = 'eager-bench.class'
    VERSION = 1
    LARGEST_BYTES = 2_000_000

    R = Core::Data::Records

    module_function

    # @param text [String] JSON @return [Core::Inputs] ready to plan
    # @raise [BadDocument] naming every place that is wrong
    def read(text)
      data = parse(text)
      raise BadDocument.at('/version', "version #{VERSION}", data['version'].to_json) if data.is_a?(Hash) && data.key?('version') && data['version'] != VERSION

      errors = Schema.errors('class.v1', data)
      raise BadDocument.new(errors) if errors.any?

      inputs = build(data)
      check_whole(inputs)
      inputs
    end

    # @param inputs [Core::Inputs] @return [Hash] ready for JSON
    def write(inputs)
      { 'format' => FORMAT, 'version' => VERSION, 'class' => R::WORKSHOP.write(inputs.workshop), 'project' => R::DESIGN.write(inputs.design),
        'attendees' => inputs.attendees.map { |a| R::ATTENDEE.write(a) }, 'catalogue' => catalogue(inputs), 'calibration' => R::CALIBRATION.write(inputs.calibration) }
    end

    def parse(text)
      raise BadDocument.at('', "a file of at most #{LARGEST_BYTES / 1_000_000} MB") if text.bytesize > LARGEST_BYTES

      JSON.parse(text.dup.force_encoding(Encoding::UTF_8).delete_prefix("\uFEFF"), max_nesting: 30)
    rescue JSON::ParserError, ArgumentError, EncodingError
      raise BadDocument.at('', 'a complete JSON file in UTF-8; this one is cut off or damaged')
    end

    def build(data)
      catalogue = data['catalogue']
      table = Core::Catalogue::Table.new(parts: keyed(R::PART, catalogue['parts'], 'parts'), lines: keyed(R::LINE, catalogue['lines'], 'lines'),
                                         tools: keyed(R::TOOL, catalogue['tools'], 'tools'),
                                         techniques: keyed(R::TECHNIQUE, catalogue['techniques'], 'techniques'))
      Core::Inputs.new(workshop: R::WORKSHOP.read(data['class']), design: R::DESIGN.read(data['project']), table: table,
                       attendees: keyed(R::ATTENDEE, data['attendees']).values, calibration: R::CALIBRATION.read(data.fetch('calibration', {})))
    rescue Core::Measure::NotALength => e
      raise BadDocument.at('', 'lengths with a unit, such as "190 mm"', e.text.to_s)
    end

    def keyed(record, list, name = nil)
      list.each_with_index.with_object({}) do |(data, index), all|
        pointer = name ? "/catalogue/#{name}/#{index}/key" : "/attendees/#{index}/key"
        raise BadDocument.at(pointer, 'a key that no other has', data['key']) if all.key?(data['key'])

        all[data['key']] = record.read(data)
      end
    end

    # Planning it is the check that nothing is named which the file does not hold.
    def check_whole(inputs)
      inputs.table.parts.each_value.with_index { |part, index| check_part(part, index) }
      inputs.attendees.each_with_index { |attendee, index| check_attendee(inputs.design, attendee, index) }
      inputs.plan
    rescue Core::Construction::InvalidParameters => e
      raise BadDocument.new(e.problems.map { |p| BadDocument::Place.new(pointer: "/project/#{p.at.join('/')}", expected: Wording.problem(p)) })
    rescue Core::UnknownKey => e
      raise BadDocument.at("/catalogue/#{e.kind}s", "a #{e.kind} with the key #{e.key}; known: #{e.known.join(', ')}")
    end

    def check_part(part, index)
      code = part.contradictions.first or return

      raise BadDocument.at("/catalogue/parts/#{index}/#{code == :hole_larger_than_part ? 'hole' : 'along'}", Wording.say("contradictions.#{code}"), part.hole&.to_s)
    end

    def check_attendee(design, attendee, index)
      attendee.measures.each do |body, length|
        next if Core::People::Measures.believable?(body, length)

        bounds = Core::People::Measures::BOUNDS.fetch(body)
        raise BadDocument.at("/attendees/#{index}/measures/#{body}", "a measure from #{bounds.begin} to #{bounds.end} mm", length.to_s)
      end
      return if attendee.colourway.nil? || design.colourways.key?(attendee.colourway)

      raise BadDocument.at("/attendees/#{index}/colourway", "one of #{design.colourways.keys.join(', ')}", attendee.colourway)
    end

    # Only the parts and lines the project names; tools and techniques whole, since constructions choose among them.
    def catalogue(inputs)
      named = strings(R::DESIGN.write(inputs.design)).to_h { |text| [text, true] }
      table = inputs.table
      { 'parts' => table.parts.values.select { |p| named[p.key] }.map { |p| R::PART.write(p) },
        'lines' => table.lines.values.select { |l| named[l.key] }.map { |l| R::LINE.write(l) },
        'tools' => table.tools.values.map { |t| R::TOOL.write(t) }, 'techniques' => table.techniques.values.map { |t| R::TECHNIQUE.write(t) } }
    end

    def strings(data)
      case data
      when Hash then data.keys + data.values.flat_map { |value| strings(value) }
      when Array then data.flat_map { |value| strings(value) }
      when String then [data]
      else []
      end
    end
    private_class_method :parse, :build, :keyed, :check_whole, :check_part, :check_attendee, :catalogue, :strings
  end
end
