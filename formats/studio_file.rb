# frozen_string_literal: true

require 'json'
require 'set'
require 'zip'

module Formats
  # A whole studio as one open file: a zip of studio.json, JSON lines for each kind, and the schemas of all of them.
  # See docs/formats/studio.v1.schema.json.
  module StudioFile
    # A studio's things.
    #
    # @param about {'name' =>, 'unit' =>, 'currency' =>}
    # @param items {kind => [value]}; closures are plain data
    Content = Core::Value.define(:about, :items)
    # A class in it. events: [Core::Live::Event] in order
    ClassRecord = Core::Value.define(:workshop, :design, :attendees, :events)

    FORMAT = 'eager-bench.studio'
    VERSION = 1
    ABOUT = 'studio.json'
    SCHEMAS = %w[studio.v1 class.v1].freeze
    LARGEST_BYTES = 50_000_000
    # Unpacked, of all kinds together.
    MOST_BYTES = 300_000_000
    # A class with 24 people and all that was tapped in it takes a tenth of this.
    LONGEST_LINE = 4_000_000
    MOST_ITEMS = 60_000

    R = Core::Data::Records

    # How one kind stands in the file.
    #
    # @param write [value] => data
    # @param read [data, currency] => value
    Kind = Core::Value.define(:write, :read)

    RECORD = ->(record) { Kind.new(write: ->(value) { record.write(value) }, read: ->(data, _) { record.read(data) }) }
    # With amounts of money as minor units of the studio's currency.
    PRICED = lambda do |record, *amounts|
      Kind.new(write: ->(value) { { **record.write(value), **amounts.to_h { |name| [name, value.public_send(name).minor] } } },
        read: ->(data, currency) {
          record.read({ **data, **amounts.to_h { |name| [name, Core::Money.new(minor: data[name].to_i, currency: currency)] } })
        })
    end
    CLOSURE = Kind.new(write: :itself.to_proc, read: ->(data, _) { data })
    SHELF = Kind.new(write: ->(entry) { R::ENTRY.write(entry).except('reason') },
      read: ->(data, _) { R::ENTRY.read({ **data, 'reason' => 'counted' }) })
    CLASS = Kind.new(
      write: ->(one) {
        { 'class' => R::WORKSHOP.write(one.workshop), 'project' => R::DESIGN.write(one.design),
          'attendees' => one.attendees.map { |person| R::ATTENDEE.write(person) },
          'live' => one.events.map { |event| R::EVENT.write(event) } }
      },
      read: ->(data, _) {
        ClassRecord.new(workshop: R::WORKSHOP.read(data['class']), design: R::DESIGN.read(data['project']),
          attendees: data['attendees'].map { |person| R::ATTENDEE.read(person) },
          events: data.fetch('live', []).map { |event| R::EVENT.read(event) })
      }
    )

    # What others name stands before them.
    KINDS = {
      parts: RECORD.(R::PART), lines: RECORD.(R::LINE), tools: RECORD.(R::TOOL), techniques: RECORD.(R::TECHNIQUE),
      swatches: RECORD.(R::SWATCH), closures: CLOSURE,
      projects: RECORD.(R::DESIGN), suppliers: PRICED.(R::SUPPLIER, 'delivery', 'minimum'), offers: PRICED.(R::OFFER, 'price'),
      stock: SHELF, classes: CLASS
    }.freeze

    module_function

    # @param content [Content] @param made_at [Time] @return [String] the file's bytes
    def write(content, made_at: Time.now.utc)
      about = { 'format' => FORMAT, 'version' => VERSION, **content.about, 'made_at' => made_at.strftime('%FT%TZ'),
                'counts' => KINDS.to_h { |name, _| [name.to_s, content.items.fetch(name, []).size] } }
      zip = Zip::OutputStream.write_buffer do |out|
        put(out, ABOUT, JSON.pretty_generate(about))
        KINDS.each do |name, kind|
          put(out, file_of(name), content.items.fetch(name, []).map { |item| "#{JSON.generate(kind.write.(item))}\n" }.join)
        end
        SCHEMAS.each { |name| put(out, "schemas/#{name}.schema.json", File.read(File.join(Schema::FOLDER, "#{name}.schema.json"))) }
      end
      zip.string
    end

    # @param bytes [String]
    # @param seconds [Numeric, nil] that reading may take; nil where nobody waits for it
    # @return [Content]
    # @raise [BadDocument] naming file, line and place of what is wrong
    def read(bytes, seconds: nil)
      files = ZippedLines.new(bytes, most_bytes: MOST_BYTES, longest: LONGEST_LINE)
      manifest = files.text(ABOUT) or raise BadDocument.at('', "a studio's file, with #{ABOUT} in it")
      about = checked('studio', parse(manifest, ABOUT), ABOUT)
      ends = seconds && (now + seconds)
      left = MOST_ITEMS
      items = KINDS.to_h { |name, kind| [name, lines(files, name, kind, about['currency'], ends, left).tap { |found| left -= found.size }] }
      Content.new(about: about.slice('name', 'unit', 'currency'), items: items)
    rescue Core::Measure::NotALength => e
      raise BadDocument.at('', 'lengths with a unit, such as "190 mm"', e.text.to_s)
    rescue ZippedLines::TooLarge
      raise BadDocument.at('', "at most #{MOST_BYTES / 1_000_000} MB unpacked, and #{LONGEST_LINE / 1_000_000} MB a line")
    rescue Zip::Error, Zlib::Error, EOFError, ArgumentError, NoMethodError, RangeError
      # The library trips over what is cut off in many ways.
      raise BadDocument.at('', "a studio's file as this program writes it; this one is cut off, or none")
    end

    # @return [String]
    def file_of(name)
      "#{name}.jsonl"
    end

    def put(out, name, text)
      out.put_next_entry(name)
      out.write(text)
    end

    # @param ends [Numeric, nil] the moment at which reading stops
    def lines(files, name, kind, currency, ends, most)
      found, number, seen = [], 0, Set.new
      files.each(file_of(name)) do |line|
        number += 1
        place = "#{file_of(name)} line #{number}"
        raise BadDocument.at(place, "at most #{MOST_ITEMS} things in all") if found.size >= most
        raise BadDocument.at(place, 'fewer things at once; bin/eager-bench import takes as long as it needs') if ends && now > ends
        # The same line again is the same thing again.
        next if line.strip.empty? || !seen.add?(line.hash)

        found << sensible(kind.read.(checked(name, parse(line, place), place), currency), place)
      end
      found
    end

    def now
      Process.clock_gettime(Process::CLOCK_MONOTONIC)
    end

    # A part must not contradict itself: a hole wider than the bead.
    def sensible(item, place)
      code = item.is_a?(Core::Catalogue::Part) && item.contradictions.first or return item

      raise BadDocument.at(place, Wording.say("contradictions.#{code}"))
    end

    def parse(text, place)
      JSON.parse(text.delete("\u0000"), max_nesting: 30)
    rescue JSON::ParserError, ArgumentError, EncodingError
      raise BadDocument.at(place, 'JSON in UTF-8')
    end

    def checked(name, data, place)
      errors = Schema.errors("studio.v1#/$defs/#{name}", data)
      return data if errors.empty?

      raise BadDocument.new(errors.map { |error| error.with(pointer: "#{place} #{error.pointer}".strip) })
    end
    private_class_method :put, :now, :lines, :sensible, :parse, :checked
  end
end
