# frozen_string_literal: true

RSpec.describe Core::Making::LineEnd do
  let(:cable) { sample_table.line('cable') }
  let(:crimp) { part('crimp', 2, kind: :crimp) }
  let(:pearl) { part('pearl', 6) }
  let(:small) { part('small', 3) }

  def made(school: :flat, lines: 1, way: :back, row: [], sharing: 0, **rest)
    described_class.new(line: cable, lines: lines, school: Core::Ends::CrimpedEnds::SCHOOLS.fetch(school), way: way, crimp: crimp,
      cover: nil, guard: nil, outside: nil, loop: mm(3), row: row, sharing: sharing, **rest)
  end

  # [end, lines in the crimp, length on the piece, line that stays beyond the parts]: by hand, a loop of 3 on 0.38 cable takes π · 3.38.
  {
    'pressed flat' => [{}, 2, 2 + 3, 10.62 + 2],
    'through two finishing beads' => [{ row: %i[small small pearl], sharing: 2 }, 2, 2 + 3, 10.62 + 2 + 6],
    'between two beads' => [{ outside: :small, row: %i[small], sharing: 1 }, 2, 2 + 3 + 3, 10.62 + 2 + 3 + 3],
    'under a cover' => [{ school: :covered, cover: :cover }, 2, 4 + 3, 10.62 + 4],
    'in a shell, led back' => [{ school: :clamshell, cover: :shell }, 2, 6, 6],
    'in a shell, two lines straight' => [{ school: :clamshell, cover: :shell, lines: 2, way: :straight }, 2, 6, 0],
    'three lines gathered' => [{ lines: 3 }, 6, 2 + 3, 10.62 + 2],
    'in a guard' => [{ guard: :guard }, 2, 2 + 4, 2 + 8]
  }.each do |name, (about, passes, length, stays)|
    it "follows from what it is made of: #{name}" do
      named = { small: small, pearl: pearl, cover: part('cover', 4, kind: :cover), shell: part('shell', 6, kind: :clamshell),
        guard: part('guard', 4, kind: :wire_guard) }
      read = about.to_h do |field, value|
        [field, field == :row ? value.map { |key| named.fetch(key) } : named.fetch(value, value)]
      end
      one = made(**read, **about.slice(:school, :way))
      grip = one.joins.find { |join| join.kind == :crimp_on_lines }
      expect([grip.passes, one.length.to_mm, one.stays.to_mm]).to match([passes, length, be_within(0.01).of(stays)])
      expect(one.on_line.sum { |element| element.along.to_mm }).to be_within(1e-9).of(length)
      expect(one.parts(2).map(&:count).uniq).to eq([2])
    end
  end

  # What makers cut for such pieces (common practice, no source): [what lies between the ends, held by, end, sum].
  [[405, 75, {}, 557], [165, 50, { row: 2, sharing: 2 }, 265], [160, 75, {}, 298], [343, 35, {}, 413],
    [138, 50, { row: 8, sharing: 8 }, 302], [230, 75, { row: 1, sharing: 1 }, 380]].each do |between, hold, about, sum|
    it "cuts about #{sum} mm of line for #{between} mm between the ends" do
      one = made(**about, **(about[:row] ? { row: [pearl] * about[:row] } : {}))
      expect(between + (2 * (one.parts_length + one.tail(mm(hold))).to_mm)).to be_within(sum * 0.06).of(sum)
    end
  end

  it 'leaves as much line as hands or the piece ask for, the larger of the two' do
    expect([0, 1, 4].map { |sharing| made(row: [pearl] * 4, sharing: sharing).tail(mm(50)).to_mm })
      .to match([50, 50, be_within(0.01).of(10.62 + 2 + 24 + 25)])
  end

  it 'counts the lines in its own hole, at a shell by how it is held there' do
    shell = part('shell', 6, kind: :clamshell)
    through = lambda { |school|
      made(school: school, cover: shell).joins.find { |join| join.outer == shell && join.kind == :lines_through }.passes
    }
    expect([through.(:clamshell), through.(:clamshell_knot)]).to eq([2, 1])
  end
end
