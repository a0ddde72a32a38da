# frozen_string_literal: true

RSpec.describe Core::Steps::Holding do
  def step(key, keeps = {})
    Core::Making::StepUse.new(key: key, technique: 'x', repeats: 1, text: :x, keeps: keeps)
  end

  # Steps with their tools and what they keep => what is held while each is done, fetched before it and put back after it.
  {
    'nothing is kept' => [[['a', %w[pliers pliers]], ['b', %w[pliers]]], ['pliers 2|pliers 2|pliers 2', 'pliers 1|pliers 1|pliers 1']],
    'a mat stays until the beads are strung' => [
      [['a', %w[mat ruler], { 'mat' => 'c' }], ['b', %w[cutters]], ['c', %w[mat]], ['d', %w[mat]]],
      ['mat 1,ruler 1|mat 1,ruler 1|ruler 1', 'mat 1,cutters 1|cutters 1|cutters 1', 'mat 1||mat 1', 'mat 1|mat 1|mat 1']
    ],
    'what frees it is not done by this maker' => [[['a', %w[mat], { 'mat' => 'z' }], ['b', %w[]]], ['mat 1|mat 1|mat 1', '||']],
    'more of it is needed meanwhile' => [[['a', %w[pliers], { 'pliers' => 'b' }], ['b', %w[pliers pliers]]],
    ['pliers 1|pliers 1|', 'pliers 2|pliers 1|pliers 2']]
  }.each do |what, (list, expected)|
    it "says who has what where #{what}" do
      found = described_class.along(list.map { |key, tools, keeps| [step(key, keeps || {}), tools] })
      said = found.map { |one|
        [one.held, one.takes, one.gives].map { |tools| tools.map { |tool, number| "#{tool} #{number}" }.join(',') }.join('|')
      }
      expect(said).to eq(expected)
    end
  end

  it 'counts what is kept as in use, and waits in the sum only for what must be dry' do
    dry = step('c').with(after: %w[a])
    technique = Core::Catalogue::Technique.new(key: 'x', name: 'x', level: 1, seconds: 60)
    holdings = described_class.along([[step('a', { 'mat' => 'c' }), %w[mat]], [step('b'), []], [dry, %w[mat]]])
    tasks = [step('a').with(waits: 10), step('b'), dry].zip(holdings).map { |one, holding|
      Core::Steps::Task.new(step: one, technique: technique, minutes: 4.0, demonstration_minutes: 0, holding: holding)
    }
    table = Core::Steps::Sum.timetable({ '1' => tasks, '2' => tasks }, 60, Core::Setup::Calibration.new)
    expect(table.rows['1'].map { |segment| [segment.kind, segment.minutes] }).to eq([[:welcome, 10.0], [:work, 4.0], [:work, 4.0],
      [:drying, 6.0], [:work, 4.0], [:clearing, 10.0]])
    expect([Core::Steps::Overlap.most(table.rows), Core::Steps::Sum.drying(tasks)]).to eq([{ 'mat' => 2 }, 6.0])
  end
end
