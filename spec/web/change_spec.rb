# frozen_string_literal: true

require_relative '../web_helper'

# What a step of undo says: the setting that changed, never a key.
RSpec.describe Web::Presenters::Change, type: :request do
  {
    { prepared: { 'front/cut_line' => 2 } } => 'steps prepared before class',
    { easier: { 'folded_crimp' => 1 } } => 'easier ways by level',
    { practice: false } => 'practice'
  }.each do |changed, words|
    it "calls a change of #{changed.keys.first} #{words}" do
      before = studio.classes.find(1).state
      after = before.with(workshop: before.workshop.with(teaching: before.workshop.teaching.with(**changed)))
      step = Struct.new(:before, :after, :action).new(before, after, 'teaching')
      expect(described_class.words(step)).to eq(words)
    end
  end

  it 'names a line, a tool and a person by what changed of them' do
    before = studio.classes.find(1).state
    supply = before.workshop.supply.with(tails_by_line: { 'cable_038' => :lean })
    session = before.workshop.session.with(more_tools: { 'ruler' => 1 })
    found = [before.with(workshop: before.workshop.with(supply: supply)), before.with(workshop: before.workshop.with(session: session)),
             before.replacing(before.attendees.first.with(level: 4))].map do |after|
      described_class.words(Struct.new(:before, :after, :action).new(before, after, 'x'))
    end
    expect(found).to eq(['tails of a line', 'borrowed tools', "level of #{before.attendees.first.name}"])
  end
end
