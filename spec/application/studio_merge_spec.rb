# frozen_string_literal: true

require 'json_schemer'
require 'json'
require 'stringio'
require 'zlib'
require_relative '../studio_helper'

# A whole studio carried to another.
RSpec.describe Application::StudioMerge do
  let(:source) do
    new_studio.tap { |studio|
      studio.catalogue.save_swatch(Core::Catalogue::Swatch.new(construction: :knotted_cord, measure: :knot_takes, line: 'cord_15',
        about: 'overhand-1',
        value: 22.5))
    }
  end
  let(:cap) { { key: 'a', name: 'A', kind: 'cap', along: '8 mm' } }
  let(:bytes) { Formats::StudioFile.write(Application::StudioArchive.of(source)) }
  let(:content) { Formats::StudioFile.read(bytes) }
  let(:target) { Store::Studio.new(File.join(Dir.mktmpdir, 'studio.sqlite3')) }

  def merge(studio = target)
    described_class.new(studio, content)
  end

  # @return [Hash{String=>String}] name => text, read without the library that wrote it: a zip's directory by its published layout
  #   (PKWARE APPNOTE.TXT 4.3.12), its entries by zlib's raw inflate
  def unzipped(bytes)
    at = bytes.rindex("PK\x05\x06".b)
    number, place = bytes.byteslice(at + 10, 2).unpack1('v'), bytes.byteslice(at + 16, 4).unpack1('V')
    number.times.to_h do
      method, packed = bytes.byteslice(place + 10, 2).unpack1('v'), bytes.byteslice(place + 20, 4).unpack1('V')
      name_size, extra, comment = bytes.byteslice(place + 28, 6).unpack('vvv')
      local = bytes.byteslice(place + 42, 4).unpack1('V')
      name = bytes.byteslice(place + 46, name_size)
      begins = local + 30 + bytes.byteslice(local + 26, 4).unpack('vv').sum
      place += 46 + name_size + extra + comment
      body = bytes.byteslice(begins, packed)
      [name, method.zero? ? body : Zlib::Inflate.new(-Zlib::MAX_WBITS).inflate(body)]
    end
  end

  it 'writes a file that another reader reads, every line of which keeps to the schema that is in it' do
    files = unzipped(bytes)
    about = JSON.parse(files['studio.json'])
    lines = files.select { |name, _| name.end_with?('.jsonl') }
      .to_h { |name, text| [name.delete_suffix('.jsonl'), text.lines.map { |line| JSON.parse(line) }] }
    expect(lines.transform_values(&:size)).to eq(about['counts'])
    expect(lines['classes'].map { |one| one['class']['title'] }).to match_array(source.classes.all.map { |one| one.state.workshop.title })
    expect(lines['classes'].sum { |one| one['attendees'].size }).to eq(source.classes.all.sum { |one| one.state.attendees.size })
    schemas = %w[studio.v1 class.v1].map { |name| JSON.parse(files["schemas/#{name}.schema.json"]) }
      .to_h { |schema| [schema['$id'], schema] }
    whole = JSONSchemer.schema(schemas['urn:eager-bench:studio:v1'], ref_resolver: ->(uri) { schemas[uri.to_s] }, regexp_resolver: 'ecma')
    wrong = lines.flat_map { |kind, all| all.reject { |data| whole.ref("#/$defs/#{kind}").valid?(data) }.map { kind } }
    expect([wrong, files.values.join.include?('password')]).to eq([[], false])
  end

  it 'brings a whole studio: every class has the same plan, every project, part and price is there, and a second time nothing comes' do
    merge.call(described_class::GROUPS.keys)
    here, there = [target, source].map { |studio| Application::StudioArchive.of(studio).items }
    (here.keys - [:classes]).each { |kind| expect([kind, here[kind].to_set]).to eq([kind, there[kind].to_set]) }
    expect([target.catalogue.table.swatches.map(&:value), needs(target)]).to eq([[22.5], needs(source)])
    taught = [target, source].map { |studio| studio.live_events.taught.values.sort }
    expect(taught.first).to eq(taught.last)
    expect(merge.call(described_class::GROUPS.keys, theirs: described_class::GROUPS.keys)).to eq(0)
    expect(merge.preview.map { |one| one.fresh + one.differing }.uniq).to eq([0])
  end

  # @return [Hash{String=>Array}] what everyone needs in each class, by its title
  def needs(studio)
    results = results_of(studio)
    studio.classes.all.to_h { |one| [one.state.workshop.title, results.of(one.id).plan.people.map { |person| person.needs.map(&:count) }] }
  end

  it 'keeps what is here where the two differ, unless theirs is asked for' do
    merge.call(described_class::GROUPS.keys)
    part = target.catalogue.table.parts.values.first
    target.catalogue.save(:parts, [part.with(name: 'Mine')])
    project = target.projects.newest.first.design
    target.projects.save(project.with(name: 'My own'))
    entry = Application::StudioArchive.entries(target.ledger.stock).find { |one| one.kind == :part }
    target.ledger.post([entry.with(quantity: 5, reason: :received)])
    expect(merge.preview.to_h { |one| [one.group, [one.fresh, one.differing]] })
      .to eq(stockroom: [0, 1], techniques: [0, 0], projects: [0, 1], prices: [0, 0], stock: [0, 1], classes: [0, 0])
    expect(merge.call(%i[stockroom projects stock])).to eq(0)
    expect(merge.call(%i[stockroom projects stock], theirs: %i[projects stock])).to eq(2)
    expect(target.catalogue.table.parts[part.key].name).to eq('Mine')
    expect([target.projects.find(project.key).design.name, target.ledger.stock.part(entry.item)]).to eq([project.name, entry.quantity])
  end

  it 'brings projects alone with the parts they name, and nothing at all where one could not be planned' do
    expect { merge.call(%i[projects]) }.to raise_error(described_class::Unplannable)
    expect([target.projects.none?, target.catalogue.table.parts]).to eq([true, {}])
    merge.call(%i[techniques projects])
    expect(target.projects.newest.size).to eq(source.projects.newest.size)
    expect(target.catalogue.table.parts.size).to be < source.catalogue.table.parts.size
  end

  it 'leaves prices out where they are in another currency' do
    target.market.change_currency('JPY')
    expect(merge.preview.find { |one| one.group == :prices }.refused).to eq(:currency)
    merge.call(%i[stockroom prices])
    expect(target.market.all.offers).to be_empty
  end

  {
    'no zip' => [->(_) { 'no zip' }, /cut off, or none/],
    'cut off' => [->(bytes) { bytes[0, 900] }, /cut off, or none/],
    'without its head' => [->(_) { Zip::OutputStream.write_buffer { |out| out.put_next_entry('parts.jsonl') }.string },
      /studio.json in it/],
    'of another format' => [->(_) { with('studio.json' => '{"format":"x","version":1,"name":"x","currency":"EUR"}') },
                            /studio.json.*eager-bench.studio/],
    'with a wrong line' => [->(_) { with('parts.jsonl' => JSON.generate(cap.merge(outer: '8'))) }, %r{parts.jsonl line 1 /outer}],
    'with a part that cannot be' => [->(_) { with('parts.jsonl' => JSON.generate(cap.merge(outer: '8 mm', hole: '9 mm'))) },
                                     /parts.jsonl line 1: expected/],
    'with a line that is no JSON' => [->(_) { with('tools.jsonl' => "\n{\n") }, /tools.jsonl line 2: expected JSON/]
  }.each do |what, (made, words)|
    it "says what is wrong with a file that is #{what}" do
      expect { Formats::StudioFile.read(instance_exec(bytes, &made)) }.to raise_error(Formats::BadDocument, words)
    end
  end

  def with(files)
    head = '{"format":"eager-bench.studio","version":1,"name":"x","currency":"EUR"}'
    Zip::OutputStream.write_buffer do |out|
      { 'studio.json' => head, **files }.each { |name, text| out.put_next_entry(name) && out.write(text) }
    end.string
  end
end
