# frozen_string_literal: true

require_relative '../web_helper'

RSpec.describe Web::Routes::Composer, type: :request do
  let(:id) { studio.drafts.begin(studio.projects.find('comet_tail').design) }
  let(:draft) { studio.drafts.find(id).design }

  def gesture(**fields)
    send_form("/drafts/#{id}", **fields)
    follow_redirect! if last_response.redirect?
  end

  # Gestures that make no sense leave the design as it was, and the page stands.
  [
    { do: 'insert', at: 'front.pattern', part: 'no_such' },
    { do: 'insert', at: 'nowhere.pattern.0', part: 'round_8_smoke' },
    { do: 'carry', at: 'front.pattern.0', to: 'front' },
    { do: 'remove', at: 'front.line.0' },
    { do: 'glitter', at: 'front.pattern.0' },
    { do: 'add', construction: 'woven_air' },
    { do: 'close', closure: 'zip' },
    { do: 'set', component: 'none', line: 'x' },
    { do: 'colourways', names: 'x', swap: 'y' },
    { do: 'colourways', names: { '0' => '' }, swap: { '0' => 'y' } },
    { do: 'recolour', from: 'round_8_smoke', to: 'no_such' },
    { do: %w[insert], at: { a: 1 } },
    { at: "front.pattern.0\u0000" }
  ].each do |fields|
    it "stands #{fields}" do
      before = draft.components
      gesture(**fields)
      expect([last_response.status, studio.drafts.find(id).design.components]).to eq([200, before])
    end
  end

  {
    { do: 'set', component: 'front', strands: 'many' } => 'Give a whole number',
    { do: 'set', component: 'front', strands: '0' } => 'from 1 to 7',
    { do: 'set', component: 'front', line: 'no_such' } => 'No line is called',
    { do: 'set', component: 'front', cover: '' } => 'need a cover',
    { do: 'remove', at: 'front.pattern.0' } => 'Nothing in the pattern repeats',
    { do: 'more', at: 'front.centre.0' } => 'no part in the middle',
    { do: 'drop', component: 'front' } => 'Nothing in the pattern repeats'
  }.each do |fields, message|
    it "says #{message.inspect} after #{fields}, and keeps the change" do
      gesture(**fields)
      expect([last_response.status, page]).to match([200, a_string_including(message)])
      send_form("/drafts/#{id}/save")
      expect([last_response.status, studio.projects.find('comet_tail').design.version]).to eq([422, 1])
    end
  end

  {
    ease: ['wide', 'Give an ease from 0 to 300 mm'],
    name: ['', 'Give the project a name'],
    wraps: ['0', 'times round as a whole number'],
    body: ['tail', nil]
  }.each do |field, (typed, message)|
    it "refuses #{typed.inspect} as #{field}" do
      good = { name: 'Kept', body: 'wrist', ease: '13 mm', wraps: '1', made: '1', tails: 'usual', note: '' }
      send_form("/drafts/#{id}/settings", **good, field => typed)
      expect(last_response.status).to eq(422)
      expect(page).to include(message) if message
      expect(studio.drafts.find(id).design).to eq(draft)
    end
  end

  it 'holds no more than a pattern may: 5,000 beads are marked, not lost' do
    gesture(do: 'insert', at: 'front.pattern.0', part: 'seed_8_ink')
    12.times { studio.drafts.change(id) { |d| Core::Project::Edit.new(d).count(Core::Project::Edit::Place.parse('front.pattern.1'), 500) } }
    gesture(do: 'more', at: 'front.pattern.1')
    expect(page).to include('out of reach at this size')
  end

  it 'draws the design as a file of its own, to scale' do
    get "/drafts/#{id}.svg?size=190"
    expect(last_response.headers['content-type']).to include('image/svg+xml')
    expect(page).to start_with('<svg xmlns').and match(/width="[\d.]+mm"/)
  end

  it 'answers for a size and a place that make no sense' do
    ['?size=-5', '?size=abc', '?size=999999', '?at=..', '?at=%FF', '?size[]=1'].each do |query|
      get "/drafts/#{id}#{query}"
      expect([query, last_response.status]).to eq([query, 200])
    end
    get '/drafts/77'
    expect(last_response.status).to eq(404)
  end

  it 'sends only the sections that changed to a page that has the others' do
    get "/drafts/#{id}"
    known = page.scan(/<section id="([\w-]+)" data-digest="(\w+)"/).map { |pair| pair.join('=') }.join(',')
    get "/drafts/#{id}", {}, { 'HTTP_X_REDRAW' => '1', 'HTTP_X_SECTIONS' => known }
    expect(page.scan('data-digest').size).to be <= 1
  end

  it 'plans, draws and prints every construction for people of four sizes' do
    sizes = {
      wrist: [132, 158, 190, 248],
      neck: [300, 340, 380, 460],
      ankle: [180, 220, 250, 300],
      length: [40, 60, 80, 120]
    }
    people = (0..3).map { |i| Core::People::Attendee.new(key: '0', name: "Person #{i}", level: i + 1,
      measures: sizes.transform_values { |all| mm(all[i]) }) }
    state = Store::ClassState.new(workshop: workshop(title: 'All there is'), project_version_id: studio.projects.newest.first.id,
      attendees: people)
    id = studio.classes.create(state)
    studio.projects.newest.each_with_index do |saved, revision|
      studio.classes.edit(id, revision, 'choose') { |before| before.with(project_version_id: saved.id) } if revision.positive?
      plan = app_settings.results.of(id).plan
      get "/classes/#{id}/print"
      expect([saved.design.key, page.scan('class="kit-print"').size, page.scan('class="piece"').size]).to eq([saved.design.key, 4, 4])
      expect([saved.design.key, plan.people.count(&:fitted?)]).to eq([saved.design.key, 4])
    end
  end
end

RSpec.describe 'Composing what is made first and what hangs', type: :request do
  let(:id) { studio.drafts.begin(studio.projects.find('evening_star').design) }

  def design
    studio.drafts.find(id).design
  end

  def gesture(**fields)
    send_form("/drafts/#{id}", **fields)
    follow_redirect! if last_response.redirect?
  end

  {
    'path' => [nil, false], 'centre' => ['centre', false],
    'chosen' => ['front.pattern.0@each', false], 'apart' => [nil, true], 'glitter' => [nil, false]
  }.each do |where, (hung_at, apart)|
    it "adds a component #{where}" do
      gesture(do: 'add', construction: 'wire_link', where: where, at: 'front.pattern.0')
      added = design.components.last
      expect([added.construction, added.hung_at, added.apart]).to eq([:wire_link, hung_at, apart])
    end
  end

  it 'hangs something else somewhere else, with a length of its own, and says when that is none' do
    gesture(do: 'add', construction: 'twisted_strands', where: 'centre')
    key = design.components.last.key
    gesture(do: 'set', component: key, place: 'front.pattern.0', which: 'every_2', own_length: '45 mm')
    expect([design.component(key).hung_at, design.component(key).length]).to eq(['front.pattern.0@every_2', Core::Measure::Length.mm(45)])
    gesture(do: 'set', component: key, place: 'no place!', which: '', own_length: 'long')
    expect([design.component(key).hung_at, design.component(key).length]).to eq(['front.pattern.0@every_2', Core::Measure::Length.mm(45)])
    expect(page).to include('&quot;long&quot; does not read as a length, so it stays as it was')
  end

  it 'shows what cannot be built at its place, and draws it when it can' do
    gesture(do: 'add', construction: 'wire_link', where: 'apart')
    gesture(do: 'insert', at: 'front.pattern.0', part: 'made:wire_link')
    expect(page).to include('Made here').and include('class="piece"')
    gesture(do: 'insert', at: 'wire_link.stack.0', part: 'made:wire_link')
    expect(page).to include('This is made of itself')
    gesture(do: 'insert', at: 'front.pattern.0', part: 'made:no_such')
    expect(design.component('front').parameters['pattern'].to_s).not_to include('no_such')
  end

  it 'begins a chart, paints it, and gives it as a table' do
    gesture(do: 'add', construction: 'disc_braid', where: 'path')
    gesture(do: 'chart_begin', at: 'disc_braid.chart')
    gesture(do: 'chart_colour', at: 'disc_braid.chart', letter: '', part: 'seed_8_frost')
    gesture(do: 'chart_paint', at: 'disc_braid.chart.1.2', letter: 'B')
    expect(design.component('disc_braid').parameters['chart']['rows']).to eq(%w[AAAAAAAA AABAAAAA AAAAAAAA AAAAAAAA])
    get "/drafts/#{id}/charts/disc_braid.chart.csv"
    expect(CSV.parse(last_response.body).values_at(0, 2).map { |row| row.values_at(0, 3) }).to eq([['row', 'strand 3'], %w[2 B]])
    get "/drafts/#{id}/charts/front.pattern.csv"
    expect(last_response.status).to eq(404)
  end
end

RSpec.describe 'Handouts of woven and braided pieces', type: :request do
  def handouts(project, **person)
    base = studio.classes.find(1).state
    people = [base.attendees.first.with(colourway: nil, **person)]
    id = studio.classes.create(base.with(project_version_id: studio.projects.find(project).id, attendees: people))
    get "/classes/#{id}/handouts"
    [page, Formats::Pdf::Handouts.new(plan_of(id), span: 240.0)]
  end

  # What each must show, beside the steps.
  {
    'wandering_stars' => ['thread-way', 'The way of the thread', 'Cross'],
    'aurora' => ['Load the strands in this order', 'Strand 8:', 'Wear it from Friday 4 December'],
    'comet_tail' => ['class="technique"', 'Try it on before the last end is closed', 'Crossed lines under the crimp: cut the crimp off'],
    'two_tides' => ['Wear it from Friday 4 December', 'class="technique"']
  }.each do |project, words|
    it "of #{project} show #{words.first}" do
      shown, pdf = handouts(project)
      words.each { |text| expect([text, shown.include?(text)]).to eq([text, true]) unless text == 'Cross' }
      expect(pdf.render[0, 5]).to eq('%PDF-') if pdf.respond_to?(:render)
    end
  end

  it 'are large for who sees little, and for all where that is asked' do
    expect(handouts('comet_tail', needs: Core::People::Needs.new(low_vision: true)).first).to include('class="handout large"')
    expect(handouts('comet_tail').first).not_to include('class="handout large"')
    get '/classes/1/handouts', large: '1'
    expect(page.scan('class="handout large"').size).to eq(12)
  end

  it 'are mirrored for a left-hander' do
    shown, = handouts('comet_tail', needs: Core::People::Needs.new(left_handed: true))
    expect(shown).to include('for the left hand')
    shown, = handouts('comet_tail')
    expect(shown).not_to include('for the left hand')
  end
end
