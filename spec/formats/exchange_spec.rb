# frozen_string_literal: true

require 'json'
require 'stringio'
require_relative '../studio_helper'

RSpec.describe Formats do
  let(:studio) { new_studio }
  let(:inputs) { inputs_of(1) }
  let(:document) { JSON.generate(Formats::ClassDocument.write(inputs, market: studio.market.all, stock: studio.ledger.stock)) }

  # The document of a result that stands alone, without the simulation, which takes a second.
  def plan_data(content)
    result = Application::Standalone.result(content.inputs, content.market, content.stock)
    JSON.parse(JSON.generate(Formats::PlanDocument.write(result)))
  end

  def command(*arguments, input: '')
    output = StringIO.new
    errors = StringIO.new
    [Application::CommandLine.new(arguments, input: StringIO.new(input), output: output, errors: errors).run,
     output.string,
     errors.string]
  end

  it 'has a place in the schema for every number that a studio plans with' do
    schema = JSON.parse(File.read(File.join(EagerBench::ROOT, 'docs', 'formats', 'class.v1.schema.json')))
    places = schema.dig('properties', 'calibration', 'properties').keys
    expect(Core::Setup::Calibration.new.to_h.keys.map(&:to_s) - places).to eq([])
  end

  it 'goes out and in again to the same plan, and keeps to both schemas' do
    content = Formats::ClassDocument.read(document)
    expect([content.inputs.attendees,
            content.inputs.design,
            content.stock,
            content.market.offers]).to eq([inputs.attendees, inputs.design, studio.ledger.stock, studio.market.all.offers])
    expect(Formats::Schema.errors('class.v1', JSON.parse(document)) + Formats::Schema.errors('plan.v2', plan_data(content))).to eq([])
  end

  it 'prints the same plan from the command line' do
    status, output, = command('plan', '-', input: document)
    printed = JSON.parse(output)
    expect([status, printed]).to eq([0, plan_data(Formats::ClassDocument.read(document))])
    expect([printed['simulation']['attendees'].size, Formats::Schema.errors('plan.v2', printed)]).to eq([12, []])
  end

  it 'reads the names and words of older files' do
    data = JSON.parse(document)
    data['class']['session'] = { 'wish' => 80 }
    data['attendees'][0].merge!('mind' => 'nickel allergy', 'notes' => nil).compact!
    data['attendees'][0].delete('needs')
    read = Formats::ClassDocument.read(JSON.generate(data)).inputs
    expect([read.workshop.session.target,
            read.attendees.first.needs.allergies,
            read.attendees.first.notes]).to eq([80, [:nickel], 'nickel allergy'])
  end

  # What matches a line is no match for a text (OWASP, Input Validation: anchors).
  it 'lets no pattern of a schema be met by one line of several' do
    data = JSON.parse(document)
    {
      %w[class start] => '18:30',
      ['catalogue', 'parts', 0, 'colour'] => '#8a8f98',
      ['catalogue', 'parts', 0, 'key'] => 'x'
    }.each do |path, good|
      broken = JSON.parse(JSON.generate(data))
      broken.dig(*path[0...-1])[path.last] = "#{good}\n<script>"
      expect { Formats::ClassDocument.read(JSON.generate(broken)) }.to raise_error(Formats::BadDocument, /#{path.last}/)
    end
  end

  changes = {
    ['/class/date', 'a date that exists'] => ->(d) { d['class']['date'] = '2026-02-31' },
    ['/class/minutes', 'from 15 to 720'] => ->(d) { d['class']['minutes'] = -20 },
    ['/version', 'version 1'] => ->(d) { d['version'] = 2 },
    ['/glitter', 'no such key'] => ->(d) { d['glitter'] = 1 },
    ['/attendees/2/level', 'from 1 to 5'] => ->(d) { d['attendees'][2]['level'] = 9 },
    ['/attendees/0/measures/wrist', 'from 80 to 350'] => ->(d) { d['attendees'][0]['measures']['wrist'] = '2000 mm' },
    ['/attendees/0/measures/wrist', 'with its unit'] => ->(d) { d['attendees'][0]['measures']['wrist'] = '170' },
    ['/attendees/1/key', 'no other has'] => ->(d) { d['attendees'][1]['key'] = d['attendees'][0]['key'] },
    ['/attendees', 'at most 60'] => ->(d) { d['attendees'] = d['attendees'] * 6 },
    ['/attendees/3/colourway', 'one of'] => ->(d) { d['attendees'][3]['colourway'] = 'plaid' },
    ['/project/components/1/parameters/pattern/0/repeat/0/part', 'No part'] => ->(d) {
      d['project']['components'][1]['parameters']['pattern'][0]['repeat'][0]['part'] = 'x'
    },
    ['/project/components/1/parameters/centre', 'no part in the middle'] => ->(d) {
      d['project']['components'][1]['parameters']['centre'][0]['count'] = 2
    },
    ['/project/components/1/construction', 'Choose one of'] => ->(d) {
      d['project']['components'][1]['construction'] = 'woven_air'
    },
    ['/catalogue/parts/0/along', 'above zero'] => ->(d) { d['catalogue']['parts'][0]['along'] = '0 mm' },
    ['/catalogue/parts/0/hole', 'smaller than the part'] => ->(d) { d['catalogue']['parts'][0]['hole'] = '99 mm' }
  }
  changes.each do |(pointer, expected), change|
    it "names #{pointer} (#{expected})" do
      data = JSON.parse(document).tap(&change)
      status, output, errors = command('plan', '-', input: JSON.generate(data))
      expect([status, output]).to eq([2, ''])
      expect(errors.lines.first).to include("#{pointer}: expected").and include(expected)
    end
  end

  ['', '{', '[]', 'null', "\xFF\xFE{", '{"format":"eager-bench.class"}', '"<script>"', '[' * 2000].each do |text|
    it("refuses #{text[0, 20].inspect} in one line or a few, without a trace") do
      status, _, errors = command('plan', '-', input: text)
      expect([status, errors]).to match([2, a_string_including('expected').and(satisfy { |e| !e.include?('.rb:') })])
    end
  end

  it 'takes out what no text holds, wherever it stands in a file' do
    data = JSON.parse(document)
    data['class']['title'] = "Aurora\u0000"
    data['project']['note'] = "a\u0000b"
    content = Formats::ClassDocument.read(JSON.generate(data))
    expect([content.inputs.workshop.title, content.inputs.design.note]).to eq(%w[Aurora ab])
    expect(studio.import(content.inputs)).to be_a(Integer)
  end

  it 'refuses a file that is not there and a command that it does not know' do
    expect(command('plan', '/no/such/file')).to match([2, '', a_string_including('No such file')])
    expect(command('glitter')).to match([2, '', a_string_including('Usage')])
  end

  it 'lists what is registered' do
    expect(command('list', 'constructions')[1].lines.map(&:chomp)).to eq(Core::Construction::Kinds.keys.map(&:to_s))
    %w[rules techniques levers].each { |kind| expect(command('list', kind).first).to eq(0) }
  end

  # The yard and pound agreement of 1959 again: 25.4 mm print as 1 inch.
  {
    25.4 => ['25.4 mm', '1 in'],
    190 => ['190 mm', '7 1/2 in'],
    171.45 => ['171.5 mm', '6 3/4 in'],
    1 => ['1 mm', '1/16 in'],
    0 => ['0 mm', '0 in']
  }.each do |number, (metric, inches)|
    it("prints #{number} mm as #{metric} and #{inches}") {
      expect(%i[mm in].map { |unit| Formats::LengthPrint.call(mm(number), unit) }).to eq([metric, inches]) }
  end

  it 'signs a length, but not what rounds to nothing' do
    signed = [mm(-0.2), mm(-0.02), mm(0), mm(3)].map { |length| Formats::LengthPrint.call(length, :mm, signed: true) }
    expect(signed).to eq(["\u22120.2 mm", '0 mm', '0 mm', '+3 mm'])
    expect([mm(-0.02), mm(0.762)].map { |length| Formats::LengthPrint.fine(length, :mm) }).to eq(["\u22120.02 mm", '0.76 mm'])
  end

  it 'has words for everything the core says' do
    plan = inputs.plan
    said = Core::Advice::Verdicts.new(plan).call.map { |v| Formats::Wording.verdict(v) } + plan.steps.map { |s|
      Formats::Wording.step(s.step)
    } +
           plan.people.flat_map { |p|
             p.working.map { |t|
               Formats::Wording.term(t)
             }
           } + plan.steps.flat_map(&:cautions).map { |c|
                 Formats::Wording.say("cautions.#{c}")
               }
    expect(said.grep(/no words|translation missing|%\{/i)).to eq([])
    codes = Dir[File.join(EagerBench::ROOT, 'core', '**', '*.rb')].flat_map { |path|
      File.read(path).scan(/(?:problem\([^,]+, |problem\(|report\([^,]+, |problem\.\()(:\w+)/).flatten }
    expect(codes.uniq.reject { |code| Formats::Wording.words?("problems.#{code.delete(':')}") }).to eq([])
  end

  it 'draws as many beads as the bill counts, and escapes what it is told' do
    person = inputs.plan.people.first
    svg = Formats::PieceSvg.new(person.piece.layout, title: '<b>"x"</b>', span_mm: 240.0).to_s(standalone: true)
    expect(svg.scan(/<ellipse[^>]*stroke-width="0.25"/).size + svg.scan(/<rect[^>]*stroke-width="0.25"/).size).to eq(person.bead_count + 2)
    expect(svg).to include('&lt;b&gt;').and start_with('<svg xmlns')
  end
end
