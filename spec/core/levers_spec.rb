# frozen_string_literal: true

require_relative '../studio_helper'

# One class each: where there is room for it, what it changes, and nothing else.
RSpec.describe Core::Levers::Kinds do
  let(:studio) { new_studio }
  let(:result) { results_of(studio).of(1) }
  let(:plan) { result.plan }
  let(:levers) { described_class.offers(plan, result.library.calibration, seat: 1600) }

  def of(code)
    levers.select { |lever| lever.code == code }
  end

  # What differs between two workshops, as paths of plain data.
  def differences(before, after)
    flat = ->(workshop) { { **workshop.session.to_h, **workshop.teaching.to_h, minutes: workshop.minutes } }
    flat.(after).reject { |name, value| flat.(before)[name] == value }.keys
  end

  it 'has a word, a key of its own and a cost for each' do
    expect(levers.map(&:key).uniq.size).to eq(levers.size)
    expect(levers.map(&:code).uniq - described_class.keys).to eq([])
    expect(levers.map(&:code)).to all(satisfy { |code| Formats::Wording.words?("levers.#{code}") })
    expect(levers.map(&:cost)).to all(be >= 0)
  end

  {
    assistant: %i[assistants],
    demonstrations: %i[demonstrations],
    drop_extra: %i[extra],
    longer: %i[minutes],
    more_tool: %i[more_tools],
    prepare: %i[prepared],
    shorter: %i[shorter],
    stagger: %i[stagger]
  }.each do |code, names|
    it "changes #{names.join(' and ')} by #{code}" do
      changed = of(code).map { |lever| differences(plan.workshop, lever.apply(plan.workshop)) }
      expect(changed).not_to be_empty
      expect(changed.uniq).to eq([names])
    end
  end

  # By hand. 20 runs, the class as it is met in 4 of them, in truth in 15 of 100. A lever after which all 20 are met is not talked down; one
  # that adds 6 runs: 0.5 - c·(0.2 - 0.15), c = (4 - 20·0.5·0.2)/(4 - 20·0.04) = 0.625.
  it 'tells the chance with a lever by its own runs, put right by the same runs of the class as it is' do
    before = ([true] * 4) + ([false] * 16)
    told = [20, 10].map { |met| Core::Levers::Trial.of([], ([true] * met) + ([false] * (20 - met)), before).chance_given(0.15) }
    expect(told).to match([1.0, be_within(1e-9).of(0.5 - (0.625 * 0.05))])
  end

  it 'offers no longer class where the end is fixed' do
    fixed = plan.workshop.with(session: plan.workshop.session.with(fixed_end: true))
    room = described_class.offers(plan.with(workshop: fixed), result.library.calibration, seat: 1600)
    expect([of(:longer).any?, room.map(&:code).include?(:longer)]).to eq([true, false])
  end

  it 'has no tool to borrow where there are enough, and no extra to drop where there is none' do
    studio.classes.edit(1, studio.classes.find(1).revision, 'x') do |state|
      state.with(workshop: state.workshop.with(tool_sets: 60,
        teaching: state.workshop.teaching.with(extra: Core::Setup::TeachingSettings::EXTRA.end)))
    end
    codes = described_class.offers(results_of(studio).of(1).plan, result.library.calibration, seat: 1600).map(&:code)
    expect(codes & %i[more_tool drop_extra]).to eq([])
  end

  it 'asks the price of a seat for one person fewer' do
    fewer = of(:fewer)
    expect(fewer.map(&:cost)).to eq(fewer.map { |lever| lever.values[:count] * 1600 })
    expect(fewer.first.attendees(plan.people.map(&:attendee)).size).to eq(plan.people.size - fewer.first.values[:count])
  end
end
