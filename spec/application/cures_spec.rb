# frozen_string_literal: true

require_relative '../studio_helper'

# Each cure that is offered was tried before: it puts its finding right and nothing else wrong.
RSpec.describe Core::Fit::Cures do
  let(:studio) { new_studio }
  let(:result) { results_of(studio).of(4) }
  let(:plan) { result.plan }

  let(:offers) do
    plan.people.select(&:fitted?).flat_map do |person|
      person.findings.select(&:worth_a_look?).flat_map do |finding|
        result.remedies.offered(finding, person.attendee).map { |effect| [person, finding, effect.cure] }
      end
    end
  end

  it 'offers some, each with words and a key of its own, and each puts right what it is for' do
    expect(offers.size).to be >= 3
    expect(offers.map { |_, _, cure| Formats::Wording.cure(cure) }).to all(satisfy { |words| !words.empty? && !words.include?('%{') })
    offers.group_by { |person, finding, _| [person.attendee.key, finding.key] }.each_value do |same|
      keys = same.map { |_, _, cure| cure.key }
      expect(keys.uniq).to eq(keys)
    end
    offers.uniq { |_, finding, cure| [finding.key, cure.key] }.each do |person, finding, cure|
      after = Core::Planning::Plan.for(workshop: plan.workshop, design: cure.apply(plan.design),
        attendees: [cure.apply_to_person(person.attendee)],
        table: result.library.table).people.first
      expect([cure.key, after.findings.select(&:worth_a_look?).map(&:key).include?(finding.key)]).to eq([cure.key, false])
    end
  end

  it 'leaves as it was what has none of what it changes' do
    design = studio.projects.find('evening_star').design
    swap = described_class::SwapPart.new(result.library.table.part('clasp_12_steel'), result.library.table.part('clasp_12_silver'))
    untouched = design.components.none? { |component| component.parameters.to_s.include?('clasp_12_steel') }
    expect([untouched, swap.apply(design) == design]).to eq([untouched, untouched])
  end
end
