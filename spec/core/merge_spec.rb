# frozen_string_literal: true

RSpec.describe Core::Data::Merge do
  base = {
    'class' => { 'title' => 'A' },
    'attendees' => { '1' => { 'level' => 1, 'measures' => { 'wrist' => '160 mm' } } }
  }
  level = ->(n) { { 'attendees' => { '1' => base['attendees']['1'].merge('level' => n) }, 'class' => base['class'] } }
  size = { 'attendees' => { '1' => { 'level' => 1, 'measures' => { 'wrist' => '170 mm' } } }, 'class' => base['class'] }
  gone = { 'attendees' => {}, 'class' => base['class'] }

  {
    'two fields of one person' => [level.(2), size, [], 2, '170 mm'],
    'the same change twice' => [level.(2), level.(2), [], 2, '160 mm'],
    'the same field' => [level.(2),
                         level.(3),
                         [%w[attendees 1 level]],
                         3,
                         '160 mm']
  }.each do |what, (mine, theirs, conflicts, merged_level, wrist)|
    it "merges #{what}" do
      result = described_class.three_way(base, mine, theirs)
      expect(result.conflicts.map(&:path)).to eq(conflicts)
      expect(result.merged.dig('attendees', '1')).to eq('level' => merged_level, 'measures' => { 'wrist' => wrist })
    end
  end

  it 'takes a removal against a change as one conflict, and lets mine stand when asked' do
    expect(described_class.three_way(base, gone, size).conflicts.map(&:path)).to eq([%w[attendees 1]])
    expect(described_class.three_way(base, gone, size, mine_wins: true).merged['attendees']).to eq({})
    expect(described_class.three_way(base, level.(4), gone, mine_wins: true).merged.dig('attendees', '1',
      'level')).to eq(4)
    expect(described_class.three_way(base, level.(4), level.(5), mine_wins: true).merged.dig('attendees', '1',
      'level')).to eq(4)
  end
end
