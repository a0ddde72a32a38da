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
    ease: ['wide', 'Give the ease as a number'],
    name: ['', 'Give the project a name'],
    wraps: ['0', 'times round as a whole number'],
    body: ['tail', nil]
  }.each do |field, (typed, message)|
    it "refuses #{typed.inspect} as #{field}" do
      good = { name: 'Kept', body: 'wrist', ease: '13 mm', wraps: '1', made: '1', tails: 'usual', note: '' }
      send_form("/drafts/#{id}/settings", **good.merge(field => typed))
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
    studio.projects.newest.each do |saved|
      id = studio.classes.create(Store::ClassState.new(workshop: workshop(title: saved.design.name),
        project_version_id: saved.id, attendees: people))
      plan = plan_of(id)
      get "/classes/#{id}/print"
      expect([saved.design.key, page.scan('class="kit-print"').size, page.scan('class="piece"').size]).to eq([saved.design.key, 4, 4])
      expect([saved.design.key, plan.people.count(&:fitted?)]).to eq([saved.design.key, 4])
    end
  end
end
