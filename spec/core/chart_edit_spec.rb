# frozen_string_literal: true

RSpec.describe Core::Project::ChartEdit do
  let(:chart) { { 'palette' => { 'A' => 'seed', 'B' => 'disc_2' }, 'rows' => %w[AAB ABB] } }

  def rows(change, *arguments)
    described_class.public_send(change, chart, *arguments)['rows']
  end

  # What each change makes of AAB, ABB; one that cannot be made leaves it.
  {
    [:paint, 0, 1, 'B'] => %w[ABB ABB],
    [:paint, 0, 1, 'Z'] => %w[AAB ABB],
    [:paint, 9, 0, 'B'] => %w[AAB ABB],
    [:paint, 0, 9, 'B'] => %w[AAB ABB],
    [:insert, 0] => %w[AAB AAB ABB],
    [:insert, 7] => %w[AAB ABB],
    [:remove, 1] => %w[AAB],
    [:mirror] => %w[AAB ABB ABB AAB],
    [:spiral] => %w[AAB ABB BBA],
    [:shift, 1] => %w[ABB AAB],
    [:shift, 8] => %w[AAB ABB],
    [:strands, 5] => %w[AABBB ABBBB],
    [:strands, 2] => %w[AA AB],
    [:write, "aab\n a,b,a \n\n"] => %w[AAB ABA],
    [:write, '   '] => %w[AAB ABB]
  }.each do |(change, *arguments), expected|
    it("#{change} #{arguments.inspect}") do
      before = Marshal.load(Marshal.dump(chart))
      expect(rows(change, *arguments)).to eq(expected)
      expect(chart).to eq(before)
    end
  end

  # One row too many is kept, so that it is refused with its message and nothing that was pasted disappears in silence.
  it 'keeps one row more than a chart may have of what was pasted' do
    most = described_class::MOST_ROWS
    written = [most - 1, most, most + 5].map { |number| described_class.write(chart, "A\n" * number)['rows'].size }
    expect(written).to eq([most - 1, most, most + 1])
  end

  it 'never takes the last row out, nor grows beyond what a chart may hold' do
    one = { 'palette' => { 'A' => 'seed' }, 'rows' => %w[A] }
    expect(described_class.remove(one, 0)).to eq(one)
    long = one.merge('rows' => ['A'] * described_class::MOST_ROWS)
    %i[mirror spiral].each { |change| expect(described_class.public_send(change, long)).to eq(long) }
    expect(described_class.insert(long, 0)).to eq(long)
  end

  it 'gives a letter another part, a new one the next letter, and takes out what no cell has' do
    expect(described_class.colour(chart, 'A', 'round_8')['palette']).to eq('A' => 'round_8', 'B' => 'disc_2')
    more = described_class.colour(chart, '', 'round_8')
    expect(more['palette']).to eq('A' => 'seed', 'B' => 'disc_2', 'C' => 'round_8')
    expect(described_class.drop_colour(more, 'C')).to eq(chart)
    expect(described_class.drop_colour(chart, 'B')).to eq(chart)
  end

  it 'begins with one colour on every strand' do
    begun = described_class.begin(12, 'seed')
    reader = Core::Construction::ChartReader.new(sample_table)
    expect([reader.read(begun).strands, reader.problems]).to eq([12, []])
  end
end

RSpec.describe Core::Project::Hanging do
  {
    'centre' => [nil, nil, :middle, 1], 'front' => ['front', nil, :each, 1], 'front@every_3' => ['front', nil, :every, 3],
    'front.pattern.0.1@last' => ['front', 'pattern.0.1', :last, 1], 'front.pattern.2' => ['front', 'pattern.2', :each, 1],
    'Front' => nil, 'front@never' => nil, 'front.pattern.x' => nil, 'front@every_0' => nil, '' => nil, "front\n@each" => nil
  }.each do |text, expected|
    it "reads #{text.inspect}" do
      found = described_class.parse(text)
      expect(found && [found.component, found.item, found.which, found.step]).to eq(expected)
      expect(described_class.parse(found.to_s)).to eq(found) if found
    end
  end

  # Places numbered by where they lie; the items they come from.
  it 'chooses among places by item and by which' do
    origins = %w[pattern.0 pattern.1.0 pattern.1.0 pattern.1.1 pattern.0]
    places = origins.each_with_index.map { |origin, i| Core::Making::Anchor.new(item: nil, x: i, y: 0, origin: origin) }
    { 'f' => [0, 1, 2, 3, 4], 'f@every_2' => [1, 3], 'f@middle' => [2], 'f.pattern.1' => [1, 2, 3], 'f.pattern.1.0@last' => [2],
      'f.pattern.9' => [],
      'f.pattern.0@first' => [0] }.each do |text, expected|
      expect([text, described_class.parse(text).choose(places).map(&:x)]).to eq([text, expected])
    end
  end
end

RSpec.describe Core::Construction::WorkReader do
  def read(text)
    reader = described_class.new(sample_table)
    [reader.read(text).map { |step| [step.technique, step.repeats, step.words, step.checkpoint] },
        reader.problems.map { |one| [one.code, one.values[:number]] }]
  end

  it 'reads steps a line each, by key or by name, with how often and a look' do
    expect(read("stringing x 12: String them.\n\n? measuring: Look: is it long enough?\nFlat crimp × 2: Crimp.".sub('Flat crimp',
      'flat_crimp')))
      .to eq([[['stringing', 12, 'String them.', false], ['measuring', 1, 'Look: is it long enough?', true],
        ['flat_crimp', 2, 'Crimp.', false]], []])
  end

  it 'names each line that it cannot read' do
    expect(read("sewing: Sew.\nno colon\nmeasuring:")).to eq([[], [[:unknown_technique, 1], [:unreadable_work, 2], [:unreadable_work, 3]]])
    expect(read("measuring: a\n" * 41).last).to eq([[:too_much_work, nil]])
  end
end
