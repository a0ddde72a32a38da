# frozen_string_literal: true

require 'csv'
require_relative '../studio_helper'

RSpec.describe Formats::PeopleImport do
  def read(text, **options)
    described_class.new(text, **options)
  end

  def first(text)
    read(text).entries.first
  end

  it 'reads what a spreadsheet saves as Ruby\'s own CSV library does' do
    text = CSV.generate { |csv|
      [['Name', 'Wrist', 'Level'],
       ["O'Hara, \"Bo\"", '170 mm', '2'],
       ["Two\nlines", '6 3/4 in', '1']].each { |row|
        csv << row
      }
    }
    expect(read(text).table.rows).to eq(CSV.parse(text).map { |row| row.map(&:strip) })
    expect(read(text).attendees.map(&:name)).to eq(['O\'Hara, "Bo"', 'Two lines'])
  end

  {
    'tabs' => "Ann\t170 mm\t2",
    'semicolons' => 'Ann;170 mm;2',
    'commas' => 'Ann,170 mm,2',
    'another order' => "Level\tNotes\tWrist (mm)\tAttendee\n2\t\t170\tAnn",
    'a byte order mark' => "\uFEFFName,Wrist,Level\nAnn,17 cm,2",
    'UTF-16' => "\xFF\xFE".b + "Name\tWrist\tLevel\nAnn\t170\t2".encode('UTF-16LE').b,
    'Windows line ends' => "name\twrist\tlevel\r\nAnn\t17\t2\r\n\r\n"
  }.each do |what, text|
    it "reads a list with #{what}" do
      person = read(text).attendees.first
      expect([person.name, person.measures[:wrist], person.level]).to eq(['Ann', mm(170), 2])
    end
  end

  it 'reads Windows-1252 where the bytes are no UTF-8' do
    expect(read("Name,Wrist\nZo\xEB,170 mm".b).attendees.first.name).to eq('Zoë')
  end

  # A number without a unit is taken for the one unit that makes it a likely wrist.
  { '17' => 170, '170' => 170, '7 1/2' => 190.5, '6.75' => 171.45, '19,5' => 195 }.each do |text, wrist|
    it("guesses the unit of #{text}, and says so") do
      entry = first("Name\tWrist\nAnn\t#{text}")
      expect([entry.attendee.measures[:wrist], entry.notes.keys]).to eq([mm(wrist), %i[wrist level]])
    end
  end

  {
    "Name\tWrist\nAnn\t0" => %i[wrist unit_needed],
    "Name\tWrist\nAnn\t-5 mm" => %i[wrist not_believable],
    "Name\tWrist\nAnn\t2 m" => %i[wrist not_believable],
    "Name\tWrist\nAnn\t190 in" => %i[wrist not_believable],
    "Name\tWrist\nAnn\twide" => %i[wrist measure_unreadable],
    "Name\tLevel\nAnn\t9" => %i[level level_unreadable],
    "Name\tLevel\n\t2" => %i[name name_missing],
    "Name\tLevel\n#{'x' * 81}\t2" => %i[name too_long]
  }.each do |text, (field, code)|
    it "marks #{text.lines.last.inspect[0, 30]} at its #{field}" do
      entry = first(text)
      expect([entry.attendee, entry.problems[field].first]).to eq([nil, code])
    end
  end

  it 'asks what was meant by a unit mix-up' do
    expect(first("Name\tWrist\nAnn\t190 in").problems[:wrist].last[:meant]).to eq('Did you mean 190 mm?')
  end

  it 'keeps people of the same name, and says so' do
    list = read("Name\tWrist\nAnn\t170\nann\t160")
    expect([list.attendees.size, list.entries.map { |e| e.notes.key?(:name) }]).to eq([2, [true, true]])
  end

  it 'lets the guess be corrected' do
    corrected = read("Ann\t170\t2\tlamp", columns: { 0 => :notes, 3 => :name, 1 => :wrist, 2 => :level }, header: false)
    expect(corrected.attendees.map { |a| [a.name, a.notes] }).to eq([%w[lamp Ann]])
  end

  it 'counts ten thousand rows without reading them' do
    list = read("Name\n#{"Ann\n" * 10_000}")
    expect([list.too_many?, list.people_rows.size, list.entries]).to eq([true, 10_000, []])
  end

  it 'takes a lone inch sign for what it is, and names the line of quotes that do not close' do
    expect(read("Ann\t6 3/4\"\t2").attendees.first.measures[:wrist]).to eq(mm(171.45))
    expect { read("Name,Wrist\n\"Ann,170\n\"Bo\",160\" x") }.to raise_error(Formats::CellTable::Unreadable)
  end

  # Nothing that was filled in disappears: what no header tells goes into the notes, and bare entries say what they are of.
  describe 'several columns of notes' do
    list = "Name\tWrist\tAllergies\tHand\tAge\tDiet\tNeeds\tNotes\n" \
           "Ann Vale\t170\tnickel and latex\tL\t12\tvegan\tgood light\tlate\n" \
           "Bo Lund\tn/a\tnone\tR\t41\t\t\t\n" \
           "Cy Hart\tnot measured\twool\tright\t\t-\t\tleft early\n"

    it 'joins them, and reads allergies, hand and age from bare entries' do
      found = described_class.new(list).entries.map(&:attendee)
      expect(found.map { |one| one.needs.flags.sort }).to eq([%i[latex left_handed low_vision minor nickel], [], %i[other_allergy]])
      expect(found.map(&:notes)).to eq(['nickel allergy, latex allergy; left-handed; age 12; Diet: vegan; good light; late', 'age 41',
                                        'wool allergy; left early'])
      expect(found.map { |one| one.measures.keys }).to eq([[:wrist], [], []])
    end

    it 'takes a column named after the hand for a measure where it holds lengths' do
      found = described_class.new("Name\tHand\nAnn Vale\t172 mm\n").attendees.first
      expect([found.measures[:wrist], found.needs.left_handed]).to eq([mm(172), false])
    end
  end
end
