# frozen_string_literal: true

require 'nokogiri'
require_relative '../web_helper'

RSpec.describe Web::Routes::Stockroom, type: :request do
  let(:good) do
    {
      name: '9 mm round, dawn pink glass',
      kind: 'bead',
      along: '9 mm',
      outer: '9 mm',
      hole: '1.1 mm',
      form: 'round',
      colour: '#d08a9a',
      mark: 'dp',
      lines: '1',
      material: 'glass',
      soldered: '1',
      nickel_free: '1'
    }
  end

  def parts
    studio.catalogue.table.parts
  end

  it 'enters a part that a pattern can use at once' do
    send_form('/stockroom/parts', **good)
    part = parts.values.find { |known| known.name.start_with?('9 mm round') }
    expect([part.along, part.hole, part.material, part.nickel_free]).to eq([mm(9), mm(1.1), 'glass', true])
    id = studio.drafts.begin(studio.projects.find('comet_tail').design)
    send_form("/drafts/#{id}", do: 'insert', at: 'front.pattern', part: part.key)
    follow_redirect!
    expect(page).to include('9 mm round, dawn pink glass')
  end

  # What nobody touched is what the core takes for usual: not magnetic, not malleable, nickel not known.
  it 'finds only usual values in a new part that was saved as the page offers it' do
    { 'parts' => { name: 'x', along: '5 mm', outer: '5 mm', mark: 'xx' }, 'tools' => { name: 'y' } }.each do |table, typed|
      get "/stockroom/#{table}/new"
      offered = Nokogiri::HTML(last_response.body).css('form[action^="/stockroom/"] select[name]').to_h do |select|
        chosen = select.css('option[selected]').first || select.css('option').first
        [select['name'].to_sym, chosen ? chosen['value'].to_s : '']
      end
      send_form("/stockroom/#{table}", colour: '#d08a9a', lines: '1', people_per_tool: '1', **offered, **typed)
    end
    part = parts.values.find { |known| known.name == 'x' }
    expect([part.magnetic, part.malleable, part.soldered, part.nickel_free, part.material]).to eq([false, false, true, nil, nil])
    tool = studio.catalogue.table.tools.values.find { |known| known.name == 'y' }
    expect([tool.counted, tool.substitutable]).to eq([false, true])
  end

  it 'asks of a ring whether it is soldered' do
    send_form('/stockroom/parts', **good, kind: 'ring', soldered: '')
    expect([last_response.status, page]).to match([422, a_string_including('soldered, or opens')])
    send_form('/stockroom/parts', **good, kind: 'ring', name: 'ring that opens', soldered: '0')
    expect(parts.values.find { |known| known.name == 'ring that opens' }.soldered).to be(false)
  end

  it 'enters a line by its gauge' do
    send_form('/stockroom/lines', name: 'Wire', kind: 'wire', thickness: '22 AWG', colour: '#8d949e')
    expect(studio.catalogue.table.lines['wire'].thickness.to_mm).to be_within(0.001).of(0.6438)
  end

  {
    along: ['0 mm', 'above 0'],
    outer: ['-3 mm', 'above 0'],
    hole: ['9 mm', 'smaller than the width'],
    name: ['', 'This is needed'],
    kind: ['luck', 'Choose one'],
    lines: ['0', 'from 1 to 12'],
    colour: ['pink', 'six figures'],
    mark: ['dpx', '2 characters'],
    mass_mg: ['heavy', 'number from'],
    gap: ['wide', 'length with its unit']
  }.each do |field, (typed, message)|
    it "says at #{field} what to do about #{typed.inspect}, and keeps the rest" do
      expect { send_form('/stockroom/parts', **good, field => typed) }.not_to(change { parts.size })
      expect([last_response.status,
              page]).to match([422, a_string_including(message, '#d08a9a').or(a_string_including(message, 'value="9 mm"'))])
    end
  end

  it 'refuses a mark that another part has, offers one of the name, and lets a part keep its own' do
    taken = parts.fetch('round_6_frost').mark
    expect { send_form('/stockroom/parts', **good, mark: taken) }.not_to(change { parts.size })
    expect(page).to match(/has that mark already. Take another, such as “\p{Alpha}{2}”/)
    offered = page[/such as “(\p{Alpha}{2})”/, 1]
    expect { send_form('/stockroom/parts', **good, mark: offered) }.to(change { parts.size }.by(1))
  end

  it 'refuses a change that would leave a project unbuildable, and makes one that does not' do
    get '/stockroom/parts/crimp_15_silver'
    expect(page).to include('Used in')
    crimp = good.merge(name: '1.5 mm crimp tube', kind: 'bead', along: '1.5 mm', outer: '1.6 mm', hole: '1.0 mm')
    send_form('/stockroom/parts/crimp_15_silver', **crimp)
    expect([last_response.status, page]).to match([422, a_string_including('could not be built with this')])
    before = plan_of(2).people.first.piece.on_line
    send_form('/stockroom/parts/crimp_15_silver', **crimp, kind: 'crimp', form: 'crimp', along: '3 mm')
    expect(plan_of(2).people.first.piece.on_line).not_to eq(before)
  end

  ['/stockroom', '/stockroom/parts/new', '/stockroom/lines/new', '/stockroom/lines/cable_038'].each do |path|
    it("shows #{path}") { get(path) && expect(last_response.status).to(eq(200)) }
  end

  ['/stockroom/parts/none', '/stockroom/luck/new'].each do |path|
    it("knows no #{path}") { get(path) && expect(last_response.status).to(eq(404)) }
  end

  describe 'more about a person' do
    def more(**fields)
      send_form('/classes/1/people/1/more', revision: studio.classes.find(1).revision, **fields)
    end

    it 'takes an ease of their own and the tools they bring' do
      before = plan_of(1).tools.sum(&:missing)
      more(ease: '6 mm', brings: %w[flat_pliers ruler no_such])
      person = plan_of(1).people.first
      expect([person.ease, person.attendee.brings]).to eq([mm(6), %w[flat_pliers ruler]])
      expect(plan_of(1).tools.sum(&:missing)).to be < before
    end

    it 'says what is wrong with an ease, and keeps it' do
      more(ease: 'tight')
      expect([last_response.status, page]).to match([422, a_string_including('6 mm for snug', 'value="tight"')])
      more(ease: '', brings: 'x')
      expect(studio.classes.find(1).state.attendee('1').ease).to be_nil
    end
  end

  describe 'techniques, tools and paces' do
    let(:good) do
      {
        name: 'Spiral loop',
        level: '3',
        seconds: '90',
        demonstration_minutes: '6',
        prerequisites: ['ring'],
        tools: %w[flat_pliers flat_pliers],
        cautions: ['sharp_tails']
      }
    end

    def technique
      studio.catalogue.table.techniques['spiral_loop']
    end

    it 'enters a technique, which the ladder then shows' do
      send_form('/stockroom/techniques', **good)
      expect([technique.seconds, technique.prerequisites, technique.tools.tally]).to eq([90.0, ['ring'], { 'flat_pliers' => 2 }])
      get '/techniques?class=1'
      expect(page).to include('Spiral loop', 'Ilse Marrow and 3 more')
    end

    {
      { level: '9' } => 'from 1 to 5',
      { seconds: '0' } => 'Give a number',
      { prerequisites: ['no_such'] } => 'Choose from the list',
      { prerequisites: ['frame_row'] } => 'stands above it'
    }.each do |fields, message|
      it "answers #{fields} with #{message.inspect}, and keeps the rest" do
        send_form('/stockroom/techniques', **good, **fields)
        expect([last_response.status, page]).to match([422, a_string_including(message, 'Spiral loop')])
      end
    end

    it 'refuses techniques that would each need the other first' do
      flat = { name: 'Flattened crimp', level: '3', seconds: '90', prerequisites: ['folded_crimp'] }
      send_form('/stockroom/techniques/flat_crimp', **flat)
      expect([last_response.status, page]).to match([422, a_string_including('each need another first')])
    end

    it 'keeps all of a tool that is changed' do
      before = studio.catalogue.table.tools['cutters']
      send_form('/stockroom/tools/cutters', name: before.name, people_per_tool: '3', substitutable: '1', counted: '1',
        cautions: ['cutting'])
      expect(studio.catalogue.table.tools['cutters']).to eq(before.with(people_per_tool: 3))
    end

    it 'keeps what metals contain, for the checks and for the class file' do
      get '/stockroom/metals'
      expect(page).to include('name="contents[steel][nickel]"', 'may contain')
      send_form('/stockroom/metals', contents: { 'steel' => { 'nickel' => '', 'copper' => 'lots' }, 'brass' => { 'copper' => 'contains' } })
      kept = studio.catalogue.table.alloys
      expect(kept.contents).to eq('brass' => { 'copper' => 'contains' })
      get '/classes/1/file'
      expect(Formats::ClassDocument.read(last_response.body).inputs.table.alloys).to eq(kept)
      send_form('/stockroom/metals', contents: 'none')
      expect(studio.catalogue.table.alloys.contents).to eq({})
    end

    it 'works every class out with the studio\'s own paces' do
      before = plan_of(1).timetable.needed_minutes
      paces = { pace_1: '4', pace_2: '3', pace_3: '2,5', pace_4: '2', pace_5: '1', welcome_minutes: '5', clearing_minutes: '5' }
      send_form('/techniques/paces', **paces)
      expect(studio.settings.calibration.pace[3]).to eq(2.5)
      expect(plan_of(1).timetable.needed_minutes).to be > before
      send_form('/techniques/paces', **paces, pace_2: 'slow')
      expect([last_response.status, page]).to match([422, a_string_including('Give a number', 'value="slow"')])
    end
  end

  it 'shows the first of very many things, and finds the others by a few letters' do
    frost = studio.catalogue.table.parts['round_6_frost']
    studio.catalogue.save(:parts, (1..600).map { |i| frost.with(key: "lot_#{i}", name: "#{frost.name}, lot #{i}.") })
    get '/stockroom'
    expect(page).to include('The first 500 of').and(satisfy { |html| !html.include?('data-filter') })
    expect(page.scan('data-words=').size).to eq(500)
    get '/stockroom', find: 'frost lot 577.'
    expect(page).to include('1 thing<', 'lot 577.')
    get '/stockroom', find: 'no such thing'
    expect(page).to include('Nothing here answers to that')
  end

  describe 'removing' do
    let(:table) { studio.catalogue.table }
    let(:fresh) { table.parts['round_6_frost'].with(key: 'fresh', name: '6 mm round, nobody uses it') }

    it 'takes out what nothing uses, with its prices, and it does not come back' do
      studio.catalogue.save(:parts, [fresh])
      offer = studio.market.all.offers.find { |one| one.item == 'round_6_frost' }
      studio.market.save([offer.with(item: 'fresh')])
      get '/stockroom/parts/fresh'
      expect(page).to include('Nothing uses it')
      send_form('/stockroom/parts/fresh/remove')
      follow_redirect!
      expect([page.include?('is removed'), studio.catalogue.table.parts.key?('fresh')]).to eq([true, false])
      expect(studio.market.all.offers.map(&:item)).not_to include('fresh')
      Demo::Shipping.new(studio).call
      expect(studio.catalogue.table.parts.key?('fresh')).to be(false)
    end

    {
      [:parts, 'round_8_smoke'] => /Comet Tail bracelet/,
      [:parts, 'crimp_15_silver'] => /entr(?:y|ies) of its stock|bracelet/,
      [:lines, 'cable_038'] => /Comet Tail bracelet/,
      [:tools, 'cutters'] => /[A-Z]/,
      [:techniques, 'flat_crimp'] => /ways of making that come with the program/,
      [:suppliers, 'stall'] => /packs that it sells/
    }.each do |(kind, key), user|
      it "keeps #{key} of the #{kind}, and says what uses it" do
        Demo::Shipping.new(studio).call
        expect(Application::Removal.new(studio).uses(kind, key).map { |use| Formats::Wording.use(use) }.join(', ')).to match(user)
        send_form("/stockroom/#{kind}/#{key}/remove")
        follow_redirect!
        expect(page).to match(/stays/)
        kept = kind == :suppliers ? studio.market.all.suppliers : studio.catalogue.table.public_send(kind)
        expect(kept).to have_key(key)
      end
    end

    it 'hides what is in use: what uses it keeps it, nothing new is offered it, and it can be offered again' do
      id = studio.drafts.begin(studio.projects.find('evening_star').design)
      palette = -> { get("/drafts/#{id}") && Nokogiri::HTML(page).css('#compose-palette').to_html.include?('8 mm round, smoky grey glass') }
      expect(palette.call).to be(true)
      send_form('/stockroom/parts/round_8_smoke/hide', away: '1')
      expect(palette.call).to be(false)
      options = -> { get("/drafts/#{id}") && Nokogiri::HTML(page).css('#compose-settings option') }
      %i[lines parts].each do |kind|
        names = studio.catalogue.table.public_send(kind).transform_values(&:name)
        chosen, other = [true, false].map { |on|
          names.key(options.call.find { |one| names.value?(one.text) && one.key?('selected') == on }.text)
        }
        [chosen, other].each { |key| send_form("/stockroom/#{kind}/#{key}/hide", away: '1') }
        expect(options.call.map(&:text)).to include(names[chosen]).and(satisfy { |shown| !shown.include?(names[other]) })
      end
      get '/stockroom', find: 'smoky grey'
      expect(page).not_to include('8 mm round, smoky grey glass')
      get '/stockroom', find: 'smoky grey', hidden: '1'
      expect(page).to include('8 mm round, smoky grey glass', '<span class="hint">hidden</span>')
      expect(plan_of(1).people.first.needs.map { |need| need.part.key }).to include('round_8_smoke')
      send_form('/stockroom/parts/round_8_smoke/hide', away: '0')
      expect(palette.call).to be(true)
    end

    it 'takes out a technique of the studio that nothing builds on' do
      own = table.techniques['flat_crimp'].with(key: 'own_way', name: 'An own way', easier: nil)
      studio.catalogue.save(:techniques, [own, own.with(key: 'next_way', name: 'The next way', prerequisites: ['own_way'])])
      expect(Application::Removal.new(studio).uses(:techniques, 'own_way').map(&:name)).to eq(['The next way'])
      %w[next_way own_way].each { |key| send_form("/stockroom/techniques/#{key}/remove") }
      expect(studio.catalogue.table.techniques.keys).not_to include('own_way', 'next_way')
      studio.catalogue.save(:techniques, [own])
      own_work = Core::Project::Component.new(key: 'work', construction: :own_work, parameters: { 'work' => 'An own way x 2: Do it.' })
      studio.projects.save(studio.projects.find('evening_star').design.with(key: 'mine', name: 'Mine', components: [own_work]))
      expect(Application::Removal.new(studio).uses(:techniques, 'own_way').map(&:name)).to eq(['Mine'])
    end

    it 'takes out a supplier who sells nothing' do
      studio.market.save_supplier(studio.market.all.suppliers['stall'].with(key: 'idle', name: 'Idle stall'))
      send_form('/stockroom/suppliers/idle/remove')
      expect(studio.market.all.suppliers).not_to have_key('idle')
      send_form('/stockroom/suppliers/nobody/remove')
      expect(last_response.status).to eq(404)
    end
  end
end
