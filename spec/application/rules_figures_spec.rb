# frozen_string_literal: true

require_relative '../studio_helper'
require_relative '../support/figures'

# What each rule says of the demo's pieces and of people with every need, with its cures, and what comes of a cure.
RSpec.describe Core::Fit::Rules do
  let(:studio) { new_studio }
  let(:table) { studio.catalogue.table }
  let(:needs) { ['nickel allergy', 'copper allergy, pacemaker', 'age 2', 'age 9', 'latex allergy', 'allergic to brass, wool allergy'] }

  def piece(design)
    Core::Sizing::Blueprint.new(design, table).fit_usual.then { |one| one if one.is_a?(Core::Sizing::Piece) }
  rescue Core::Making::InvalidParameters
    nil
  end

  def told(result)
    [result.status, result.code, result.margin, result.values, result.defaults, result.missing.map { |item, measure| [item.key, measure] },
     result.cures.map { |cure| [cure.code, cure.key, cure.change, cure.values] }]
  end

  # Like joins are checked once, even when several projects have them.
  def joins(check, found)
    found.flat_map { |_, one| check.piece(one) }.to_h { |result| ["#{result.key} #{result.join&.swollen}", told(result)] }
  end

  def people(check, found)
    found.to_h do |design, one|
      [design.key, needs.map { |words|
        check.person(attendee(1, 170, needs: Core::People::NeedsReader.read(words)), one, design).map { |result|
        told(result) } }]
    end
  end

  it 'says the same as when it was last looked at' do
    found = studio.projects.newest.map(&:design).sort_by(&:key).to_h { |design| [design, piece(design)] }.compact
    warn, forbid = %i[warn forbid].map { |open_rings| Core::Fit::Check.new(table, open_rings: open_rings) }
    forbidden = joins(forbid, found).reject { |key, result| joins(warn, found)[key] == result }
    expect(Figures.differ('rules', { warn: joins(warn, found), forbid: forbidden, people: people(warn, found) })).to eq([])
  end

  it 'changes the design as its cures did when they were last looked at' do
    check = Core::Fit::Check.new(table)
    cured = studio.projects.newest.map(&:design).sort_by(&:key).flat_map do |design|
      results = piece(design).then { |one| one ? check.piece(one) : [] }
      results.flat_map(&:cures).uniq(&:key).reject(&:for_person?).map do |cure|
        ["#{design.key} #{cure.key}", Core::Data::Records::DESIGN.write(cure.apply(design))['components']]
      end
    end
    expect(Figures.differ('cures', cured.to_h)).to eq([])
  end

  it 'checks lines through a hole as when it was last looked at' do
    answers = Core::Fit::Passage::PURPOSES.keys.product([1, 2, 3, 5], [0.5, 0.9, 1.4, 2.2]).to_h do |purpose, passes, hole|
      answer = Core::Fit::QuickCheck.ask(purpose, [mm(0.38)] * passes, mm(hole), table)
      ["#{purpose} #{passes} in #{hole}", answer.to_h.merge(lines: answer.lines, parts: answer.parts)]
    end
    expect(Figures.differ('quick_check', answers)).to eq([])
  end
end
