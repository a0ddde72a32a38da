# frozen_string_literal: true

require 'json'

module Formats
  # A class as one JSON file: everything its result depends on. The schema is docs/formats/class.v1.schema.json.
  module ClassDocument
    # @param inputs Core::Planning::Inputs
    # @param market Core::Supply::Market
    # @param stock Core::Supply::Stock
    # @param events [Core::Live::Event] that were tapped
    # @param free_to_class whether the stock is what is free to this class
    Content = Core::Value.define(:inputs, :market, :stock, events: [].freeze, free_to_class: false)

    FORMAT = 'eager-bench.class'
    VERSION = 1
    LARGEST_BYTES = 2_000_000

    R = Core::Data::Records

    module_function

    # @param text [String] JSON @return [Content]
    # @raise [BadDocument] naming every place that is wrong
    def read(text)
      data = parse(text)
      raise BadDocument.at('/version', "version #{VERSION}",
        data['version'].to_json) if data.is_a?(Hash) && data.key?('version') && data['version'] != VERSION

      errors = Schema.errors('class.v1', data)
      raise BadDocument.new(errors) if errors.any?

      content = build(in_present_names(data))
      check_whole(content.inputs)
      content
    end

    # @param inputs [Core::Planning::Inputs] @param market [Core::Supply::Market] @param stock [Core::Supply::Stock]
    # @param free_to_class [Boolean] whether the stock is what is free to this class, and not the whole shelf
    # @param events [Array<Core::Live::Event>] @return [Hash] ready for JSON
    def write(inputs, market: Core::Supply::Market.new, stock: Core::Supply::Stock.new, events: [], free_to_class: false)
      {
        'format' => FORMAT,
        'version' => VERSION,
        'class' => R::WORKSHOP.write(inputs.workshop).except('note'),
        'project' => R::DESIGN.write(inputs.design),
        'attendees' => inputs.attendees.map { |a|
          R::ATTENDEE.write(a)
        },
        'catalogue' => catalogue(inputs),
        'open_rings' => inputs.open_rings.to_s,
        'calibration' => R::CALIBRATION.write(inputs.calibration),
        'market' => market(market),
        'stock' => stock(stock),
        **(free_to_class ? { 'stock_is' => 'free_to_class' } : {}),
        **(events.empty? ? {} : { 'live' => events.map { |event| R::EVENT.write(event) } })
      }
    end

    def parse(text)
      raise BadDocument.at('', "a file of at most #{LARGEST_BYTES / 1_000_000} MB") if text.bytesize > LARGEST_BYTES

      without_nul(JSON.parse(text.dup.force_encoding(Encoding::UTF_8).delete_prefix("\uFEFF"), max_nesting: 30))
    rescue JSON::ParserError, ArgumentError, EncodingError
      raise BadDocument.at('', 'a complete JSON file in UTF-8; this one is cut off or damaged')
    end

    # No text holds a NUL, and the database takes none.
    def without_nul(data)
      case data
      when String then data.delete("\u0000")
      when Array then data.map { |inner| without_nul(inner) }
      when Hash then data.to_h { |key, inner| [key.delete("\u0000"), without_nul(inner)] }
      else data
      end
    end

    def build(data)
      catalogue = data['catalogue']
      table = Core::Catalogue::Table.new(parts: keyed(R::PART, catalogue['parts'], 'parts'),
        lines: keyed(R::LINE, catalogue['lines'], 'lines'),
        tools: keyed(R::TOOL, catalogue['tools'], 'tools'),
        techniques: keyed(R::TECHNIQUE, catalogue['techniques'], 'techniques'),
        swatches: catalogue.fetch('swatches', []).map { |swatch|
 R::SWATCH.read(swatch) }, alloys: R::ALLOYS.read({ 'contents' => catalogue['alloys'] }))
      inputs = Core::Planning::Inputs.new(workshop: R::WORKSHOP.read(data['class']), design: R::DESIGN.read(data['project']), table: table,
        open_rings: data.fetch('open_rings', 'warn').to_sym,
        attendees: keyed(R::ATTENDEE, data['attendees']).values, calibration: R::CALIBRATION.read(data.fetch('calibration', {})))
      Content.new(inputs: inputs, market: read_market(data['market']), stock: read_stock(data.fetch('stock', [])),
        events: data.fetch('live', []).map { |event| R::EVENT.read(event) }, free_to_class: data['stock_is'] == 'free_to_class')
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
    rescue Core::Making::InvalidParameters => e
      raise BadDocument.new(e.problems.map { |p|
        BadDocument::Place.new(pointer: "/project/#{p.at.join('/')}", expected: Wording.problem(p))
      })
    rescue Core::UnknownKey => e
      raise BadDocument.at("/catalogue/#{e.kind}s", "a #{e.kind} with the key #{e.key}; known: #{e.known.join(', ')}")
    end

    def check_part(part, index)
      code = part.contradictions.first or return

      field = { hole_larger_than_part: 'hole', more_rejected_than_tested: 'rejected' }.fetch(code, 'along')
      raise BadDocument.at("/catalogue/parts/#{index}/#{field}",
        Wording.say("contradictions.#{code}"), part.hole&.to_s)
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

    # Names that older files use.
    def in_present_names(data)
      session = data.dig('class', 'session')
      FieldSchema::FORMER.each { |now, before| session[now.to_s] = session.delete(before) if session&.key?(before) }
      data['attendees'].each do |person|
        next unless person.key?('mind')

        person['notes'] ||= person.delete('mind')
        person['needs'] ||= R::NEEDS.write(Core::People::NeedsReader.read(person['notes']))
      end
      data
    end

    def market(market)
      {
        'currency' => market.currency,
        'suppliers' => market.suppliers.values.map { |supplier|
          { **R::SUPPLIER.write(supplier), 'delivery' => supplier.delivery.minor, 'minimum' => supplier.minimum.minor }
        },
        'offers' => market.offers.map { |offer| { **R::OFFER.write(offer), 'price' => offer.price.minor } }
      }
    end

    def read_market(data)
      return Core::Supply::Market.new if data.nil?

      money = ->(minor) { Core::Money.new(minor: minor.to_i, currency: data['currency']) }
      suppliers = data['suppliers'].to_h { |one| [one['key'],
        R::SUPPLIER.read(one.merge('delivery' => money.(one['delivery']), 'minimum' => money.(one['minimum'])))] }
      stray = data['offers'].index { |offer| !suppliers.key?(offer['supplier']) }
      raise BadDocument.at("/market/offers/#{stray}/supplier", "one of #{suppliers.keys.join(', ')}",
        data['offers'][stray]['supplier']) if stray

      Core::Supply::Market.of(data['offers'].map { |offer|
        R::OFFER.read(offer.merge('price' => money.(offer['price'])))
      }, suppliers, data['currency'])
    end

    def stock(stock)
      stock.parts.select { |_, count| count.positive? }.map { |key, count| { 'kind' => 'part', 'item' => key, 'quantity' => count } } +
        stock.lines.flat_map { |key, bars|
          bars.select { |_, count|
            count.positive?
          }.map { |length, count| { 'kind' => 'line', 'item' => key, 'quantity' => count, 'length' => length.to_s } }
        }
    end

    def read_stock(entries)
      Core::Supply::Stock.of(entries.map { |entry| R::ENTRY.read({ **entry, 'reason' => 'counted' }) })
    end

    # Whole: constructions and cures choose among all there is.
    def catalogue(inputs)
      table = inputs.table
      {
        'parts' => table.parts.values.map { |p| R::PART.write(p) },
        'lines' => table.lines.values.map { |l| R::LINE.write(l) },
        'tools' => table.tools.values.map { |t| R::TOOL.write(t) },
        'techniques' => table.techniques.values.map { |t| R::TECHNIQUE.write(t) },
        **(table.swatches.empty? ? {} : { 'swatches' => table.swatches.map { |one| R::SWATCH.write(one) } }),
        **R::ALLOYS.write(table.alloys).transform_keys('contents' => 'alloys')
      }
    end
    private_class_method :without_nul, :parse, :without_nul, :build, :keyed, :check_whole, :check_part, :check_attendee, :catalogue,
      :in_present_names, :market,
      :read_market, :stock, :read_stock
  end
end
