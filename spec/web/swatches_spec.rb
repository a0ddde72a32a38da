# frozen_string_literal: true

require 'nokogiri'
require_relative '../web_helper'

RSpec.describe Web::Routes::Swatches, type: :request do
  let(:id) do
    project = studio.projects.find('lantern_path')
    studio.classes.create(studio.classes.find(1).state.then { |state|
      state.with(project_version_id: project.id, attendees: state.attendees.first(3).map { |one| one.with(colourway: nil) })
    })
  end

  def measure(value, whose: 'studio', measured: 'knotted_cord/knot_takes/cord_15/barrel3-1')
    send_form("/classes/#{id}/swatch", measured: measured, whose: whose, value: value, revision: studio.classes.find(id).revision.to_s)
  end

  def cords
    app_settings.results.of(id).plan.people.map { |one| one.cuts.first.exact.to_mm }
  end

  it 'plans with what the studio measured, and with what one person measured before that; empty takes it back' do
    before = cords
    usual = 1.5 * ((6 * Math::PI) + 4)
    measure('40 mm')
    # Eight knots about seven beads; a slider holds both ends.
    more = 8 * (40 - usual)
    expect(cords.zip(before).map { |now, was| now - was }).to all(be_within(0.01).of(more))
    measure('30', whose: '2')
    expect(cords.zip(before).map { |now, was| now - was })
      .to match([be_within(0.01).of(more), be_within(0.01).of(8 * (30 - usual)), be_within(0.01).of(more)])
    get "/classes/#{id}"
    table = Nokogiri::HTML(page).at('#measured-fold').text.gsub(/\s+/, ' ')
    expect(table).to include('34.3 mm', 'The studio: 40 mm', ': 30 mm')
    measure('')
    measure('', whose: '2')
    expect(cords).to eq(before)
    get "/classes/#{id}/run-sheet"
    expect(page).to include('Cord that one knot takes, 1.5 mm waxed cotton cord, earth brown: planned with 34.3 mm, measured ____')
  end

  it 'says at the field what it takes, keeps what was typed, and carries what was measured in the class’s file' do
    { '0' => {}, 'a lot' => {}, '9 m' => {}, '30' => { whose: '99' } }.each do |value, more|
      measure(value, **more)
      expect([last_response.status, Nokogiri::HTML(page).at('#swatch-value')['value'], studio.catalogue.table.swatches])
        .to eq([422, value, []])
    end
    measure('30', measured: 'no/such')
    expect(last_response.status).to eq(422)
    measure('40')
    measure('30', whose: '2')
    get "/classes/#{id}/file"
    read = Formats::ClassDocument.read(page).inputs
    expect([read.table.swatches.map(&:value), read.attendees[1].swatches.map(&:value)]).to eq([[40.0], [30.0]])
    expect(read.plan.people.map { |one| one.cuts.first.exact.to_mm }).to eq(cords)
  end

  # Own measure in place of geometry: rows, flowers and turns in 50 mm.
  {
    disc_braid: ['rows_in_50', 25, { cord: 'cord', chart: { 'palette' => { 'A' => 'seed' }, 'rows' => %w[AAAAAAAA] } }],
    flower_chain: ['flowers_in_50', 6, { thread: 'cord', colours: [{ 'part' => 'seed' }], middle: 'seed', separator: 'seed',
      crimp: 'crimp' }],
    coil: ['turns_in_50', 100, { wire: 'wire', mandrel: '2 mm', turns: 50 }]
  }.each do |key, (name, number, parameters)|
    it "lays #{number} #{name.tr('_', ' ')} where a maker of #{key} measured so many" do
      construction = Core::Construction::Kinds.fetch(key)
      use = construction.build(parameters.transform_keys(&:to_s), sample_table).measurable.first
      own = construction.build(parameters.transform_keys(&:to_s), sample_table.measured_by([use.swatch(number.to_f)]))
      work_up = own.call(target: mm(200), maker: Core::Making::Maker.new)
      across = { disc_braid: ->(w) { w.lengths.repeats }, flower_chain: ->(w) { w.lengths.repeats }, coil: ->(_) { 50 } }[key].(work_up)
      step = { disc_braid: own.fill && (own.fill.step / 2), flower_chain: own.fill&.step, coil: (own.fixed_length - mm(0.4)) / 50 }[key]
      expect([use.measure.name, across.positive?, step.to_mm]).to match([name.to_sym, true, be_within(0.001).of(50.0 / number)])
    end
  end
end

RSpec.describe Web::Routes::Reaches, type: :request do
  it 'says whether what is left reaches, what must be left on the way, and what to type' do
    expect(get('/classes/1/reach').body.gsub(/\s+/, ' ')).to include('no line is used up along the way')
    studio.classes.edit(1, studio.classes.find(1).revision, 'x') do |state|
      state.with(project_version_id: studio.projects.find('wandering_stars').id)
    end
    expect(get('/classes/3/reach').body).to include('Add a person with a size first')
    get '/classes/1/kits'
    expect(page).to include('href="/classes/1/reach"')
    get '/classes/1/reach'
    done, left = page.match(/after (\d+): (\d+) mm/).captures
    asked = { person: studio.classes.find(1).state.attendees.first.key, done: done }
    { '1 mm' => 'It is not enough', "#{left.to_i + 3} mm" => 'It is enough', '5 m' => 'more than there was at the start',
      'much' => 'Give a length' }
      .each do |left, words|
      get '/classes/1/reach', left: left, **asked
      expect([left, page]).to match([left, include(words)])
    end
    get '/classes/1/reach', left: '300', person: '2', done: '400'
    expect(page).to include('Give how many are done', 'value="400"', 'value="300"')
  end
end
