# frozen_string_literal: true

require 'json'
require 'sequel'
require 'tmpdir'
require_relative '../studio_helper'

RSpec.describe Store do
  let(:studio) { new_studio }
  let(:id) { studio.classes.coming(Studios::TODAY).first.id }
  let(:classes) { studio.classes }

  def levels
    classes.find(id).state.attendees.map(&:level)
  end

  def set_level(key, level, revision: classes.find(id).revision, **options)
    classes.edit(id, revision, 'person', **options) { |state| state.replacing(state.attendee(key).with(level: level)) }
  end

  it 'migrates up and down again, and opens a file with write-ahead log and foreign keys' do
    Dir.mktmpdir do |folder|
      database = Store::Database.open(File.join(folder, 'x.sqlite3'))
      expect(%w[journal_mode foreign_keys].map { |name|
        database.fetch("PRAGMA #{name}").single_value
      }).to eq(['wal', 1])
      Store::Database.migrate(database, 0)
      expect(database.tables).to eq([:schema_info])
      Store::Database.migrate(database)
      expect(database.tables).to include(:classes, :class_revisions)
      database.disconnect
    end
  end

  it 'gives back what was saved, values and all' do
    demo = JSON.parse(File.read(File.join(EagerBench::ROOT, 'demo', 'library.json')))
    expect(studio.catalogue.table.parts.values).to match_array(demo['parts'].map { |d|
      Core::Data::Records::PART.read(d)
    })
    state = classes.find(id).state
    expect(Store::ClassState.from_data(JSON.parse(JSON.generate(state.to_data)))).to eq(state)
  end

  {
    'a state of no class' => [:class_revisions, { class_id: 77, revision: 1, source: 1, action: 'x', document: '{}', made_at: Time.now }],
    'a class that begins after midnight' => [:classes, { project_version_id: 1, title: 'A', date: '2026-12-03', start_minute: 1440 }],
    'more arrived than ordered' => [:ordered,
                                    { class_id: 1, supplier: 'post', kind: 'part', item: 'x', units: 1, arrived: 2, made_at: Time.now }],
    'a hole larger than its bead' => [:parts,
                                      { key: 'x', name: 'x', kind: 'bead', along_nm: 5, outer_nm: 5, hole_nm: 6 }],
    'a project that is no JSON' => [:project_versions,
                                    { project_key: 'x', version: 1, name: 'x', document: '{', made_at: Time.now }]
  }.each do |what, (table, row)|
    it("refuses #{what} in the schema itself") { expect { studio.database[table].insert(row) }.to raise_error(Sequel::ConstraintViolation) }
  end

  it 'undoes and redoes edit by edit, and forgets what was undone after a new edit' do
    start = levels
    set_level('1', 3)
    set_level('2', 5)
    expect([classes.undo(id), classes.undo(id), classes.undo(id)]).to eq([4, 5, nil])
    expect(levels).to eq(start)
    classes.redo(id)
    expect(levels.first(2)).to eq([3, start[1]])
    set_level('3', 4)
    expect([classes.redo(id), levels[2]]).to eq([nil, 4])
  end

  it 'keeps both sides of edits from two tabs, and asks where they meet' do
    seen = classes.find(id).revision
    set_level('1', 3, revision: seen)
    expect(set_level('2', 5, revision: seen).merged).to eq([%w[attendees 1 level]])
    expect { set_level('1', 4, revision: seen) }.to raise_error(Store::Conflict) { |e| expect([e.conflicts.first.mine,
      e.conflicts.first.theirs]).to eq([4, 3]) }
    set_level('1', 4, revision: seen, take_over: true)
    expect(levels.first(2)).to eq([4, 5])
  end

  it 'removes a class so that it can be brought back' do
    classes.remove(id)
    expect { classes.find(id) }.to raise_error(Store::NotFound)
    classes.restore(id)
    expect(classes.find(id).state.attendees.size).to eq(12)
  end

  it 'counts the signs that were tapped in other classes, without what was taken back' do
    tap = ->(key, kind, **rest) { Core::Live::Event.new(key: key, kind: kind, at: 1, **rest) }
    first, second = studio.classes.coming(Studios::TODAY).first(2).map(&:id)
    studio.live_events.append_all(first, [tap.('a', :problem, person: '1', detail: 'it-gapes'),
      tap.('b', :problem, person: '2', detail: 'it-gapes'), tap.('c', :problem, person: '1', detail: 'it-leans'),
      tap.('d', :undo, undoes: 'c')])
    studio.live_events.append_all(second, [tap.('e', :problem, person: '1', detail: 'it-leans')])
    seen = [second, first].map { |left_out| studio.live_events.signs(except: left_out) }
    expect(seen).to eq([{ 'it-gapes' => 2 }, { 'it-leans' => 1 }])
  end

  it 'keeps a planned class on the project version it was planned with' do
    design = studio.projects.version(classes.find(id).state.project_version_id).design
    saved = studio.projects.save(design.with(ease: Core::Measure::Length.mm(20)))
    expect([saved.design.version, studio.projects.save(saved.design).id]).to eq([2, saved.id])
    expect(plan_of(id).design.version).to eq(1)
  end

  it 'brings in a class whose parts differ from its own without changing either plan' do
    inputs = inputs_of(id)
    own = inputs.table.parts['round_6_frost']
    parts = inputs.table.parts.merge('round_6_frost' => own.with(along: Core::Measure::Length.mm(7)))
    other = inputs.with(table: inputs.table.with(parts: parts))
    before = plan_of(id).needs.map(&:count)
    brought = plan_of(studio.import(other))
    expect(brought.people.map { |p| p.piece.on_line }).to eq(other.plan.people.map { |p| p.piece.on_line })
    expect(plan_of(id).needs.map(&:count)).to eq(before)
  end
end

RSpec.describe Store::Drafts do
  let(:drafts) { new_studio.drafts }
  let(:start) { bracelet }
  let(:id) { drafts.begin(start) }

  def named(name)
    drafts.change(id) { |now| now.with(name: name) }
  end

  it 'goes back and forward through every state, and forgets what was undone after a change' do
    named('A')
    named('B')
    expect([drafts.step(id, -1).design.name, drafts.step(id, -1).design.name]).to eq(%w[A Sample])
    expect([drafts.step(id, -1).design.name, drafts.step(id, 1).design.name]).to eq(%w[Sample A])
    expect(named('C').forward).to be(false)
    expect(drafts.step(id, 1).design.name).to eq('C')
  end

  it 'makes no state of a change that changes nothing' do
    expect(named('Sample')).to have_attributes(position: 0, back: false)
  end

  it 'gives back the very design' do
    expect(drafts.find(id).design).to eq(start)
    drafts.discard(id)
    expect { drafts.find(id) }.to raise_error(Store::NotFound)
  end
end
