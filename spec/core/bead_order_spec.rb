# frozen_string_literal: true

RSpec.describe Core::Making::BeadOrder do
  # Read back as a learner would: each group as often as it says, then the middle, then all of it backwards.
  def read(order)
    half = order.groups.flat_map { |group, times| group * times }
    order.mirrored ? half + [*order.middle] + half.reverse : half
  end

  def order(letters)
    described_class.of(letters.chars)
  end

  def told(letters)
    order(letters).groups.map { |group, times| [group.join, times] }
  end

  # All ways to cut a row into groups, tried one by one.
  def least(row)
    return 0 if row.empty?

    @least ||= {}
    @least[row] ||= (1..row.size).flat_map { |size|
      (1..(row.size / size)).select { |times| row.first(size * times) == row.first(size) * times }
        .map { |times| size + (times > 1 ? described_class::REPEATED : 0) + least(row.drop(size * times)) }
    }.min
  end

  it 'reads back to the same row, and none is told shorter' do
    random = Random.new(3)
    200.times do
      row = Array.new(random.rand(1..7)) { %w[a b].sample(random: random) }
      row += row.reverse if random.rand(3).zero?
      found = described_class.of(row)
      expect(read(found)).to eq(row)
      next if found.mirrored

      expect([row, found.groups.sum { |group, times| group.size + (times > 1 ? 1 : 0) }]).to eq([row, least(row)])
    end
  end

  # By hand.
  it 'gathers what repeats, leaves alone what does not, and goes to the middle and back' do
    { 'aaaa' => [['a', 4]], 'abababc' => [['ab', 3], ['c', 1]], 'abc' => [['abc', 1]], 'aab' => [['a', 2], ['b', 1]],
      'xabababMbababax' => [['x', 1], ['ab', 3]] }.each do |letters, groups|
      expect([letters, told(letters)]).to eq([letters, groups])
    end
    expect([order('abcMcba'), order('abccba'), order('ababab'), order('aba')].map { |one| [one.mirrored, one.middle] })
      .to eq([[true, 'M'], [true, nil], [false, nil], [false, nil]])
  end
end
