# frozen_string_literal: true

require 'nokogiri'
require_relative '../web_helper'

RSpec.describe Web::Routes::Samples, type: :request do
  let(:given) do
    { component: 'band', what: 'swatch', units: '6', worn: '', length: '52', cut: '400', left: '190', grams: '0.6', minutes: '14',
      level: '3', note: '' }
  end

  def send_sample(**changed)
    get '/projects/wandering_stars/sample'
    send_form('/projects/wandering_stars/sample', **given, **changed)
  end

  def words(css)
    Nokogiri::HTML(page).css(css).map { |one| one.text.gsub(/\s+/, ' ').strip }
  end

  # Of 48.6 mm planned 52 were read: prior 6 in 100, ruler 1 mm and half a hundredth (closed form of one reading): 6.3 in 100.
  it 'plans all sizes by a sample, and as before once it is taken out' do
    send_sample
    get '/projects/wandering_stars/sample'
    share, prior, noise = 48.6, 0.06, Math.hypot(1, 0.005 * 48.6)
    expected = 100 * (prior**2) * share * (52 - share) / (((prior * share)**2) + (noise**2))
    expect(words('.plain-list li').first[/comes out ([\d.]+) %/, 1].to_f).to be_within(0.3).of(expected)
    expect(words('tbody tr').find { |row| row.start_with?('170 mm') }).to include('before 20 18', 'mm')
    saved = studio.projects.find('wandering_stars').design
    expect([saved.version, saved.samples.size, saved.measured.first.component]).to eq([2, 1, 'band'])
    send_form('/projects/wandering_stars/sample/remove', component: 'band', number: '0')
    expect(studio.projects.find('wandering_stars').design.then { |design| [design.samples, design.measured] }).to eq([[], []])
  end

  it 'goes with the project into a class file and back, and falls away where the part is made otherwise' do
    send_sample
    saved = studio.projects.find('wandering_stars')
    id = studio.classes.create(studio.classes.find(1).state.then { |state|
      state.with(project_version_id: saved.id, attendees: state.attendees.map { |one| one.with(colourway: nil) })
    })
    get "/classes/#{id}/file"
    read = Formats::ClassDocument.read(last_response.body).inputs.design
    expect([read.samples, read.measured]).to eq([saved.design.samples, saved.design.measured])
    changed = %w[band clasp_end].map { |key|
      saved.design.with(components: saved.design.components.map { |one| one.key == key ? one.with(length: mm(90)) : one })
    }
    expect(changed.map { |design| design.sampled_as(saved.design).samples.size }).to eq([0, 1])
  end

  [[{ length: '', cut: '', left: '', grams: '', minutes: '' }, 'Measure at least one thing.'],
   [{ units: '' }, 'Give how many repeats you made'],
   [{ what: 'whole', worn: '' }, 'Give the inside length that it was made for'],
   [{ left: '500' }, 'No more can be left over than was cut.'],
   [{ length: 'abc' }, 'Give a length, such as 162 mm'],
   [{ grams: '-1' }, 'Give grams, such as 12.4'],
   [{ level: '9' }, 'Choose a level from 1 to 5.']].each do |changed, told|
    it "says “#{told}” at the field and loses nothing" do
      send_sample(note: 'the blue lot', **changed)
      expect(last_response.status).to eq(422)
      expect(page).to include(told, 'the blue lot')
      expect(studio.projects.find('wandering_stars').design.samples).to be_empty
    end
  end

  it 'shows each project of the demo with what a sample of it may be' do
    studio.projects.newest.each do |saved|
      get "/projects/#{saved.design.key}/sample"
      expect([saved.design.key, last_response.status, page[/no words for [^)]*/]]).to eq([saved.design.key, 200, nil])
    end
  end

  it 'prints a sheet to write the next sample down, with what samples showed' do
    get '/projects/aurora/sample/sheet'
    sheet = Nokogiri::HTML(page)
    expect(sheet.css('.write-in tbody tr').map { |row| row.at('th').text }).to include('Swatch: repeats made', 'Grams')
    expect(page).not_to include('What it shows')
    send_form('/projects/aurora/sample', component: 'braid', what: 'swatch', units: '10', length: '44', level: '3')
    get '/projects/aurora/sample/sheet'
    expect(page).to include('What it shows', 'worked tighter', 'Measure next')
  end
end
