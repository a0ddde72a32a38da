# frozen_string_literal: true

require 'nokogiri'
require_relative '../web_helper'
require_relative '../support/readability'

RSpec.describe Web::App, type: :request do
  let(:id) { studio.classes.coming(Studios::TODAY).first.id }
  let(:good) do
    {
      title: 'New moon',
      project: 'comet_tail',
      date: '2026-12-03',
      start: '18:30',
      minutes: '120',
      venue: 'Hall',
      tool_sets: '6'
    }
  end

  def people
    studio.classes.find(id).state.attendees
  end

  describe 'making a class' do
    it 'makes it and shows it' do
      send_form('/classes', **good)
      follow_redirect!
      expect(page).to include('New moon', 'No people yet')
    end

    {
      title: ['', 'Give it a name'],
      date: ['2026-02-31', 'a date that exists'],
      start: ['25:00', 'hours and minutes'],
      minutes: ['-20', 'from 15 to 720'],
      tool_sets: ['many', 'whole number from 0 to 100'],
      project: ['none_such', 'Choose the project']
    }.each do |field, (typed, message)|
      it "says at #{field} what to do about #{typed.inspect}, and keeps the rest" do
        send_form('/classes', **good, field => typed)
        expect([last_response.status, page]).to match([422, a_string_including(message, 'value="Hall"')])
      end
    end

    it 'escapes what is typed, in any field' do
      send_form('/classes', **good, title: '<script>alert(1)</script>', venue: '"><img src=x>')
      follow_redirect!
      expect(page).to include('&lt;script&gt;alert(1)').and(satisfy { |html|
        !html.include?('<img src=x') && !html.include?('<script>alert')
      })
    end
  end

  describe 'changing a person' do
    def change(**fields)
      revision = studio.classes.find(id).revision
      usual = { name: 'Ilse', measure: '160 mm', body: 'wrist', level: '2', notes: '', colourway: '' }
      send_form("/classes/#{id}/people/1", **usual, revision: revision, **fields)
    end

    it 'saves what is good' do
      change(name: "Ilse \"Q\", O'Hara\tII")
      expect([people.first.name,
              people.first.measures[:wrist].to_mm,
              people.first.level]).to eq(['Ilse "Q", O\'Hara II', 160.0, 2])
    end

    {
      measure: ['0', 'has no unit'],
      notes: ['x' * 2001, '2000 characters'],
      level: ['9', 'from 1'],
      name: [' ', 'Give a name']
    }.each do |field, (typed, message)|
      it "says at #{field} what is wrong with it, and keeps what was typed" do
        change(name: 'Kept', field => typed)
        expect([last_response.status, page]).to match([422, a_string_including(message)])
        expect(page).to include('Kept') unless field == :name
        expect(people.first.name).to eq('Ilse Marrow')
      end
    end

    ['-5 mm', '2 m', '190 in'].each do |typed|
      it("does not believe #{typed}") {
        change(measure: typed) && expect(page).to(include('is not a wrist we believe'))
      }
    end

    it 'keeps a measure exact that is only shown rounded' do
      { mm: ['131.9 mm', 131.875], in: ['5 3/16 in', 132] }.each do |unit, (shown, exact)|
        studio.update(unit: unit.to_s)
        studio.classes.edit(id, studio.classes.find(id).revision, 'x') { |s|
          s.replacing(s.attendee('1').with(measures: { wrist: mm(exact) }))
        }
        change(measure: shown, level: '3')
        expect(people.first.measures[:wrist]).to eq(mm(exact))
      end
    end

    it 'shows both sides when another tab changed the same place' do
      seen = studio.classes.find(id).revision
      change(level: '4')
      change(level: '5', revision: seen)
      expect([last_response.status,
              page]).to match([409, a_string_including('Changed in two windows', 'name="take_over"')])
      change(level: '5', revision: seen, take_over: '1')
      expect(people.first.level).to eq(5)
    end
  end

  describe 'a pasted list' do
    def paste(list, **fields)
      send_form("/classes/#{id}/people/paste", list: list, revision: studio.classes.find(id).revision, **fields)
    end

    it 'saves nothing before it was looked at' do
      paste("Name\tWrist\nAnn\t17")
      expect([page.include?('Read as 170 mm'), people.size]).to eq([true, 12])
      paste("Name\tWrist\nAnn\t17", confirm: '1', header: '1', column: { '0' => 'name', '1' => 'wrist' })
      expect(people.last.name).to eq('Ann')
    end

    {
      '' => 'Paste your list here',
      "Name\n#{"Ann\n" * 10_000}" => '10000 rows',
      "Name,Wrist\n\"Ann,17" => 'do not close',
      "Name\tLevel\nAnn\t9" => 'is not a level',
      "Name\tNotes\n<script>x</script>\t\"a\"\"b" => 'quote marks'
    }.each do |list, message|
      it "answers #{list[0, 24].inspect} with a message and keeps it" do
        paste(list, confirm: '1')
        expect([last_response.status,
                page,
                people.size]).to match([message.match?(/not a level/) ? 200 : 422, a_string_including(message), 12])
        expect(page).to include(Rack::Utils.escape_html(list.lines.first.to_s.chomp)[0, 10])
      end
    end
  end

  it 'names each file by what it is, the class and the day' do
    {
      '/classes/1/file' => 'class-first-light-comet-tail-2026-12-03.json',
      '/classes/1.ics' => 'calendar-first-light-comet-tail-2026-12-03.ics',
      '/classes/1/order.csv' => 'order-first-light-comet-tail-2026-12-03.csv',
      '/classes/1/order.csv?supplier=stall' => 'order-stall-first-light-comet-tail-2026-12-03.csv',
      '/classes/1/log.csv' => 'log-first-light-comet-tail-2026-12-03.csv'
    }.each do |path, name|
      get path
      expect(last_response['content-disposition']).to include(%(filename="#{name}"))
    end
  end

  # Running text: what is long enough to be read, and is no list of beads or sum of lengths.
  it 'reads easily on every page' do
    places = ['', '/kits', '/evening', '/afterwards', '/run-sheet', '/notes', '/live', '/people/paste', '/projects']
    pages = %w[/ /classes/new /import /projects /techniques?class=1 /techniques/learnt /fit-check /stockroom /stockroom/suppliers
      /stockroom/prices /stockroom/parts/pearl_7_cream /stockroom/parts/pearl_7_cream/stock /safe-keeping /people /classes/held]
    hard = [*pages, *places.map { |place| "/classes/1#{place}" }].filter_map do |path|
      get path
      document = Nokogiri::HTML(page).tap { |html| html.css('script, svg, option, .visually-hidden').remove }
      texts = document.css('main p, .hint').map { |node| node.text.squeeze(" \n").tr("\n", ' ').strip }
      running = texts.select { |text| text.scan(Readability::WORD).size >= 8 && text.end_with?('.') }.uniq
      [path, Readability.ease(running.join("\n")).round] if running.any? && Readability.ease(running.join("\n")) < 60
    end
    expect(hard).to eq([])
  end

  it 'loads a class file, and names each place that is wrong' do
    get "/classes/#{id}/file"
    send_form('/import', document: page)
    follow_redirect!
    expect(page).to include('First light')
    send_form('/import', document: '{"format":')
    expect([last_response.status, page]).to match([422, a_string_including('complete JSON file')])
  end

  it 'gives each person a handout and a label with their own numbers' do
    plan = plan_of(id)
    get "/classes/#{id}/handouts"
    handouts = page.scan(%r{<article class="handout[^"]*">.*?</article>}m).map { |html| html.gsub(%r{</?b>}, '') }
    expect(handouts.size).to eq(12)
    plan.people.zip(handouts).each do |person, handout|
      person.tasks.each { |task| expect(handout).to include(Rack::Utils.escape_html(Formats::Wording.step(task.step))) }
      person.needs.each { |need| expect(handout).to include("#{need.count} × #{need.part.name}") }
    end
    get "/classes/#{id}/labels"
    expect([page.scan('<p class="label-name">').size, page.include?('nickel')]).to eq([12, false])
    ['/classes/3/handouts', '/classes/5/labels'].each { |path| get(path) && expect(last_response.status).to(eq(200)) }
  end

  describe 'one result behind page, file and print' do
    before { settle(id) }

    let(:json) { get("/classes/#{id}.json") && JSON.parse(page) }
    let(:plan_page) { get("/classes/#{id}") && Nokogiri::HTML(page) }
    let(:kits_page) { get("/classes/#{id}/kits") && Nokogiri::HTML(page) }
    let(:text) { ->(node) { node.text.gsub(/[[:space:]]+/, ' ') } }

    it 'says the same of chance, end, price and what is in the way' do
      simulation = json['simulation']
      expect(simulation['state']).to eq('done')
      shown = text.(plan_page.at('#clock'))
      expect(shown).to include("#{(simulation['chance'] * 100).round} in 100 chance that everyone finishes",
        "nine of ten by #{simulation['late_end']}")
      strip = text.(plan_page.at('#strip'))
      expect(strip).to include("#{json['seat']['price']['text']} a seat", "all finish in #{(simulation['chance'] * 100).round} of 100")
      get '/'
      first = text.(Nokogiri::HTML(page).at('.class-row'))
      expect(json['verdicts'].reject { |verdict| verdict['status'] == 'fits' }.map { |verdict| verdict['text'] }).to all(satisfy { |words|
        first.include?(words)
      })
      get "/classes/#{id}/run-sheet"
      expect(text.(Nokogiri::HTML(page))).to include("9 of 10 classes end by #{simulation['late_end']}")
    end

    it 'says the same of parts, packs, sizes and repeats' do
      rows = kits_page.css('#materials table').first.css('tbody tr').map { |row| row.css('th a, td').map { |cell| text.(cell).strip } }
      expect(rows.map { |cells| [cells[0], cells[1].to_i] }).to eq(json['materials'].map { |need| [need['name'], need['count']] })
      packs = kits_page.css('#materials caption').flat_map { |caption| caption.parent.css('tbody tr').map { |row| row.at('td').text.to_i } }
      expect([packs, text.(kits_page.at('#materials'))]).to match([json['order']['purchases'].map { |bought|
        bought['packs']
      },
                                                                   a_string_including("#{json['order']['total']['text']} with delivery")])
      sizes = plan_page.css('.people-table tbody tr[id^=row-]').map { |row| text.(row.at('[data-label="Size it will be"]') || row).strip }
      expect(sizes.first(12)).to eq(json['attendees'].map { |person|
        Formats::LengthPrint.call(Core::Measure::Length.mm(person['inside_mm'].round(6)), :mm)
      })
      get "/classes/#{id}/pieces"
      repeats = Nokogiri::HTML(page).css('.pieces .piece-name span').map { |span| span.text.to_i }
      expect(repeats).to eq(json['attendees'].map { |person| person['repeats'] })
    end

    it 'says the same on the command line, from the file that was saved' do
      get "/classes/#{id}/file"
      content = Formats::ClassDocument.read(page)
      alone = JSON.parse(JSON.generate(Formats::PlanDocument.write(Application::Standalone.result(content.inputs, content.market,
        content.stock))))
      same = %w[attendees materials lines tools steps order seat calibration if_nobody_waited]
      expect(alone.slice(*same)).to eq(json.slice(*same))
    end

    # Five classes share the shelf; each file carries what the others leave to it.
    it 'plans the same from the file of every class, also where another class takes from the shelf first' do
      wanted = %w[materials lines order seat]
      studio.classes.coming(Studios::TODAY).each do |stored|
        get "/classes/#{stored.id}/file"
        content = Formats::ClassDocument.read(page)
        alone = Formats::PlanDocument.write(Application::Standalone.result(content.inputs, content.market, content.stock))
        here = Formats::PlanDocument.write(app_settings.results.of(stored.id))
        expect([stored.id, content.free_to_class, *alone.values_at(*wanted)]).to eq([stored.id, true, *here.values_at(*wanted)])
      end
    end

    it 'shows a change of anything in every section at once' do
      studio.settings.then { studio.market.change_currency('GBP') }
      project = studio.projects.find('comet_tail').design
      studio.projects.save(project.with(key: 'fresh', name: 'Fresh one'))
      expect(text.(plan_page)).to include('GBP', 'Fresh one')
      studio.catalogue.save(:techniques, [studio.catalogue.table.technique('stringing').with(seconds: 500)])
      get "/classes/#{id}"
      expect(text.(Nokogiri::HTML(page).at('#steps'))).not_to eq(text.(plan_page.at('#steps')))
    end
  end

  describe 'safety' do
    it 'allows no inline script or style, and has none' do
      ['/', "/classes/#{id}", "/classes/#{id}/print", '/projects', '/classes/new'].each do |path|
        get path
        expect(last_response.headers['content-security-policy']).to include("script-src 'self'", "style-src 'self'")
        expect(page).not_to match(/<script(?![^>]*src=)|\sstyle=|\son\w+=/)
      end
      expect(last_response.headers['set-cookie']).to match(/httponly.*samesite=strict/i)
    end

    it 'refuses a form without its token' do
      expect { post '/classes', good }.not_to(change { studio.classes.all.size })
      expect(last_response.status).to eq(403)
    end

    it 'goes back only to its own pages' do
      send_form('/settings/unit', unit: 'in', back: '//elsewhere.example')
      expect([last_response.headers['location'], studio.settings.unit]).to eq(['http://127.0.0.1/', :in])
    end
  end

  # Any request that a person or a file can send: an answer below 500.
  ['/classes/0',
   '/classes/abc',
   '/classes/1.json.json',
   '/classes/99999999999999999999',
   '/classes/1?seat[]=x',
   '/classes/1?seat=%FF',
   '/nowhere',
   '/classes/1/people/paste?column=x',
   '/classes/1?a[b]=1&a=2'].each do |path|
    it("stands #{path}") { get(path) && expect(last_response.status).to(be < 500) }
  end

  [['/classes', { title: ['a'], minutes: { a: 1 } }],
   ['/classes/1/people/1', { name: ['x'], revision: 'abc' }],
   ['/classes/1/people/77', { name: 'A', level: '1', body: 'tail' }],
   ['/classes/1/piece', { project: 'none', centre: 'none' }],
   ['/classes/1/piece', { project: 'comet_tail', component: 'front', centre: 'crimp_2_silver' }],
   ['/classes/1/people/paste', { list: "\xFF\xFE\x00", column: 'x' }],
   ['/import', { file: 'x' }],
   ['/classes/1/settings', {}],
   ['/classes/1/settings', { date: 'x' * 200 }],
   ['/classes/1/people/1/more', { ease: "\xFF\xFE", times: { stringing: '9' * 50 } }],
   ['/classes/1/pdf', { what: "\xFF", skip: '1e20', grid: ['x'] }],
   ['/stockroom/parts/clasp_12_silver/offers', { amount: "\xFF1e400", unit: 'gram', price: '1e400' }],
   ['/classes/9/restore', {}],
   ['/classes/1/people/1', { name: "A\u0000B", level: '1', measure: '९ mm' }],
   ['/settings/theme', { theme: "\r\nX: y" }]].each do |path, fields|
    it("stands #{path} with #{fields}") {
      studio && send_form(path, **fields) && expect(last_response.status).to(be < 500)
    }
  end
end
