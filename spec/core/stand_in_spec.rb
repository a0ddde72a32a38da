# frozen_string_literal: true

RSpec.describe Core::Catalogue::StandIn do
  readings = {
    'crimping_pliers > flat_pliers x 1.3: Turn it.' => ['crimping_pliers', 'flat_pliers', 1.3, 'Turn it.'],
    'scissors > cutters' => ['scissors', 'cutters', 1.0, ''], 'a > b ×2' => ['a', 'b', 2.0, ''],
    'a > b x 20' => nil, 'a b' => nil, 'A > b' => nil, "a > b\nc" => nil, '' => nil
  }
  readings.each do |line, expected|
    it "reads #{line.inspect}" do
      found = described_class.read(line)
      expect(found && [found.tool, found.by, found.pace, found.words]).to eq(expected)
    end
  end

  describe 'in a class' do
    let(:table) do
      tools = sample_table.tools.merge('tape' => Core::Catalogue::Tool.new(key: 'tape', name: 'Tape', people_per_tool: 2),
        'special' => Core::Catalogue::Tool.new(key: 'special', name: 'Special pliers', people_per_tool: 3))
      crimp = sample_table.techniques['flat_crimp'].with(tools: %w[special],
        stand_ins: ['special > tape x 1.5: Mind the tape.', 'hammer > tape'])
      sample_table.with(tools: tools, techniques: sample_table.techniques.merge('flat_crimp' => crimp))
    end
    let(:people) { (1..6).map { |key| attendee(key, 170 + key) } }

    def plan(stand_ins: [], sets: 1)
      teaching = Core::Setup::TeachingSettings.new(practice: false, stand_ins: stand_ins)
      Core::Planning::Plan.for(workshop: workshop.with(tool_sets: sets, teaching: teaching), design: bracelet, attendees: people,
        table: table)
    end

    def crimping(plan)
      plan.people.first.tasks.select { |task| task.technique.key == 'flat_crimp' }.sum(&:minutes)
    end

    it 'takes the place of the tool in what is needed, in the minutes, in what is told, and in the simulated class' do
      usual, other = plan, plan(stand_ins: ['flat_crimp/tape'])
      needed = ->(one) { one.tools.to_h { |need| [need.tool.key, need.needed] }.slice('special', 'tape') }
      expect([needed.(usual), needed.(other)]).to eq([{ 'special' => 2 }, { 'tape' => 3 }])
      expect(crimping(other)).to be_within(1e-9).of(crimping(usual) * 1.5)
      expect(other.technique_of(other.order.steps.find { |step| step.technique == 'flat_crimp' }).points.first).to eq('Mind the tape.')
      models = [usual, other].map { |one| Core::Session::Modelling.new(one, Core::Setup::Calibration.new).model.tools.keys }
      expect([models.first.include?('special'), models.last.include?('special'), models.last.include?('tape')]).to eq([true, false, true])
    end

    it 'is offered where the tool is missing, and is a lever; what is not known stands in for nothing' do
      usual = plan(sets: 0)
      need = usual.tools.find { |one| one.tool.key == 'special' }
      techniques = usual.order.steps.map { |step| usual.technique_of(step) }.uniq
      expect(need.standing_in(techniques, usual.table).map { |technique, one| [technique.key, one.by] }).to eq([%w[flat_crimp tape]])
      lever = Core::Levers::Kinds.offers(plan, Core::Setup::Calibration.new).find { |one| one.code == :stand_in }
      expect(lever.apply(usual.workshop).teaching.stand_ins).to eq(['flat_crimp/tape'])
      expect(plan(stand_ins: ['flat_crimp/nothing', 'nothing/tape', 'x']).tools).to eq(plan.tools)
    end

    it 'is found again by a planner that plans the same class again' do
      planner = Core::Planning::Inputs.new(workshop: plan.workshop, design: bracelet, attendees: people, table: table).planner
      planner.plan
      again = planner.replan(plan(stand_ins: ['flat_crimp/tape']).workshop)
      expect(again.tools).to eq(plan(stand_ins: ['flat_crimp/tape']).tools)
      expect(planner.replan(plan.workshop).tools).to eq(plan.tools)
    end
  end
end
