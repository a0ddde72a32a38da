# frozen_string_literal: true

require_relative '../studio_helper'
require 'json'
require 'rexml/document'

RSpec.describe 'Drawings of how it goes' do
  techniques = JSON.parse(File.read(File.join(EagerBench::ROOT, 'demo', 'library.json')))['techniques'].map { |data| data['key'] } +
               Core::Construction::Kinds.techniques.map(&:key)

  it 'shows no technique that nobody has, each well formed, and mirrored for the left hand' do
    drawn = Formats::TechniqueSvg.pictures.keys + Formats::TechniqueSvg::ALIKE.keys
    expect([drawn - techniques, techniques.uniq.reject { |key| Formats::TechniqueSvg.drawn?(key) }]).to eq([[], []])
    drawn.each do |key|
      technique = Core::Catalogue::Technique.new(key: key, name: 'A <technique>', level: 1, seconds: 1)
      right, left = [false, true].map { |mirrored| Formats::TechniqueSvg.new(technique, mirrored: mirrored).to_s }
      expect([key, REXML::Document.new(right).root.name]).to eq([key, 'svg'])
      frames = Formats::TechniqueSvg.pictures.fetch(Formats::TechniqueSvg.known_as(key))
      expect([key, left.scan('scale(-1 1)').size]).to eq([key, frames.size])
      expect([key, right.scan(/<text[^>]*font-size="3.6"/).size]).to eq([key, frames.count { |one| one.kind == :step }])
    end
  end

  it 'draws right beside wrong, told apart without colour, and all of it within its frame' do
    pairs = Formats::TechniqueSvg.pictures.transform_values { |frames| frames.map(&:kind) - [:step] }.reject { |_, kinds| kinds.empty? }
    expect(pairs.size).to be >= 15
    expect(pairs.values.uniq).to eq([%i[right wrong]])
    outside = Formats::TechniqueSvg.pictures.flat_map do |key, frames|
      frames.flat_map { |frame| frame.drawn.scan(/(?:cx|x)="([\d.-]+)"/).flatten.map(&:to_f).grep_v(0..40).map { |x| [key, x] } }
    end
    expect(outside).to eq([])
  end

  it 'numbers what each thread visits, in order, told apart without colour' do
    petal = Core::Catalogue::Part.new(key: 'p', name: 'p', kind: :bead,
      outer: Core::Measure::Length.mm(2.2), along: Core::Measure::Length.mm(1.5))
    slots = [0, 3, 6].map { |x| Core::Making::Threads::Slot.new(part: petal, role: :petal, x: x.to_f, y: 0.0) }
    visits = ->(*numbers) { numbers.map { |slot| Core::Making::Threads::Visit.new(slot: slot) } }
    threads = Core::Making::Threads.new(slots, { 'first' => visits.(0, 1, 2), 'second' => visits.(2) })
    svg = REXML::Document.new(Formats::ThreadSvg.new(threads, title: 'way').to_s)
    expect(REXML::XPath.match(svg, '//text').map(&:text)).to eq(%w[1 2 3 1])
    expect(REXML::XPath.match(svg, '//path').map { |path| path.attributes['stroke-dasharray'] }).to match([nil, be_a(String)])
    expect(threads.passes).to eq(petal => 2)
  end

  # Read back by nothing but its own squares: the three finder patterns of ISO/IEC 18004 stand in its corners.
  it 'draws a code with its finder patterns, however long the text' do
    ['a', 'Trim both ends. ' * 200].each do |text|
      svg = Formats::QrSvg.draw(text, title: 'code')
      size = svg[/viewBox="0 0 (\d+)/, 1].to_i
      dark = svg.scan(/M(\d+) (\d+)h(\d+)v1/).flat_map { |x, y, width| (0...width.to_i).map { |i| [x.to_i + i, y.to_i] } }
      [[4, 4], [size - 11, 4], [4, size - 11]].each do |x, y|
        ring = (0..6).flat_map { |i| [[x + i, y], [x + i, y + 6], [x, y + i], [x + 6, y + i]] }
        expect((ring - dark).size).to eq(0)
      end
    end
  end

  it 'keeps the name of a technique within its box, however long it is' do
    names = { 'Cross weave' => [nil, 'Cross weave'],
      'Braid of twelve with beads, by chart' => ['194', 'Braid of twelve with beads, by chart'],
              'x' * 120 => ['194', "#{'x' * 39}…"] }
    ladder = names.keys.each_with_index.to_h { |name, i|
      [i.to_s, Core::Catalogue::Technique.new(key: i.to_s, name: name, level: 1, seconds: 10, demonstration_minutes: 0)]
    }
    svg = REXML::Document.new(Formats::LadderSvg.new(Core::Steps::Ladder.new(ladder), {}).to_s)
    drawn = REXML::XPath.match(svg, '//a/text[1]').map { |text| [text.attributes['textLength'], text.text] }
    expect(drawn).to match_array(names.values)
  end

  # Two chains that cross when put by name, and a need that passes a level between two boxes.
  it 'orders the map of techniques so that lines neither cross without need nor pass through a box' do
    needs = { a: [1], b: [1], c: [2, 'b'], d: [2, 'a'], e: [2, 'd'], f: [3, 'c'], g: [3, 'd'], h: [3, 'a'] }
    crossing = needs.to_h { |key, (level, *before)|
      [key.to_s, Core::Catalogue::Technique.new(key: key.to_s, name: key.to_s, level: level, seconds: 1, prerequisites: before)] }
    layout = Formats::LadderLayout.new(Core::Steps::Ladder.new(crossing))
    boxes = crossing.values.group_by(&:level).transform_values { |same| same.map { |one| layout.y(one) }.sort }
    expect(layout.crossings).to eq(0)
    expect(boxes.values.flat_map { |tops| tops.each_cons(2).map { |a, b| b - a } }).to all(be >= Formats::LadderLayout::BOX)
    passing = layout.lines.find { |before, technique, _| [before.key, technique.key] == %w[a h] }.last[1]
    expect(boxes.fetch(2)).to all(satisfy { |top| !passing.between?(top, top + Formats::LadderLayout::BOX) })
    expect(layout.depth(crossing['e'])).to eq(1)
  end

  # A millimetre of the drawing is a millimetre of paper, a tick for each of them, and a number for each centimetre.
  %i[wrist neck ankle].each do |body|
    it "draws a strip for the #{body} at true size, no wider than paper" do
      svg = Formats::TrueSize::StripSvg.new(body).to_s
      wide, high = svg.match(/width="([\d.]+)mm" height="([\d.]+)mm"/).captures
      longest = Formats::TrueSize::StripSvg::LONGEST.fetch(body)
      expect([svg[/viewBox="[^"]+"/].scan(/[\d.-]+/).last(2), wide.to_f <= 190]).to eq([[wide, high], true])
      expect(svg.scan(/v-5(?=["M])/).size - svg.scan('glue under').size).to eq((longest / 10) + 1)
      expect(svg.scan(/>(\d+)</).flatten.map(&:to_i)).to eq((10..longest).step(10).to_a)
    end
  end

  it 'holds each loop, eye and peg of a piece against a circle of its inside' do
    studio = new_studio
    design = studio.projects.newest.find { |saved| saved.design.key == 'falling_stars' }.design
    svg = Formats::TrueSize::GaugeCardSvg.new(Core::Sizing::Blueprint.new(design, studio.catalogue.table).fit_usual).to_s
    expect(svg.scan(/ r="([\d.]+)"/).flatten.map { |radius| radius.to_f * 2 }).to eq([3.2, 4.0, 5.0, 6.0, 8.0])
  end
end
