# frozen_string_literal: true

require 'json'
require 'nokogiri'
require_relative '../web_helper'

RSpec.describe Web::Routes::Register, type: :request do
  def people(id)
    studio.classes.find(id).state.attendees
  end

  it 'lists everyone once, takes them into a class with all that is known, exports and erases one for good' do
    first = people(1).first
    get '/people'
    expect(page.scan(first.name).size).to be > 1
    send_form('/classes/3/people/known', names: [first.name, 'Nobody'], revision: '1')
    taken = people(3).last
    expect([taken.name, taken.measures, taken.needs, taken.level]).to eq([first.name, first.measures, first.needs, first.level])
    get '/people/export.json', name: first.name
    expect(JSON.parse(page)['person']['name']).to eq(first.name)
    send_form('/people/erase', name: first.name)
    expect(page).to include("#{first.name} is erased from", 'The name is still in the notes of Wren Castellan')
    names = studio.database[:class_revisions].select_map(:document).flat_map { |text|
      JSON.parse(text)['attendees'].values.map { |person| person['name'] } }
    expect(names).not_to include(first.name)
    expect(studio.database.fetch('PRAGMA integrity_check').single_value).to eq('ok')
  end

  # Every byte of the folder is looked at: database, log, free pages, copies, letters, sheets and files on their way.
  it 'leaves nothing of an erased person in any file, however they came there, and says which copies hold them' do
    folder = File.dirname(studio.database.opts[:database])
    words = ['Quillon Ashgrove', 'swells up at dusk', 'Aunt Perpetua']
    holds = ->(path) { File.file?(path) && words.any? { |word| File.binread(path).include?(word) } }
    holding = -> { Dir[File.join(folder, '**', '*')].select(&holds) }
    attendee = Core::People::Attendee.new(key: '0', name: words[0], level: 2, notes: words[1],
      measures: { wrist: Core::Measure::Length.mm(165) },
      needs: Core::People::Needs.new(minor: true, guardian: words[2]))
    state = studio.classes.find(1).state
    ids = Array.new(3) { studio.classes.create(state.with(attendees: [attendee])) }
    studio.classes.edit(ids[0], 1, 'person_removed') { |now| now.with(attendees: []) }
    studio.classes.remove(ids[1])
    app = Web::App.for_studio(studio, secret: Requests::SECRET, runner: Studios::RUNNER, folder: folder, today: -> { Studios::TODAY })
    studio.result_cache.put('x', 'last' => words[0])
    copy = Store::Backups.new(studio.database.opts[:database]).take(:asked)
    Web::SignIn.mailbox(folder).deliver(to: 'a@example.org', subject: 'x', text: "#{words[0]} is coming")
    Web::KeptFolder.new(File.join(folder, 'brought'), most: 5).put('a' * 24,
      Formats::StudioFile.write(Application::StudioArchive.of(studio)))
    client = Rack::MockRequest.new(app)
    client.get('/classes/' + ids[2].to_s, 'HTTP_HOST' => '127.0.0.1')
    erasure = Application::Erasure.new(studio, Store::Backups.new(studio.database.opts[:database]),
      files: [Web::KeptFolder.new(File.join(folder, 'brought'), most: 5), Web::SignIn.letters(folder)])
    expect(holding.call).not_to be_empty
    done = erasure.call(words[0])
    expect([done.classes, done.copies, done.clean]).to eq([3, [File.basename(copy)], true])
    expect(holding.call).to eq([copy])
    expect(Dir[File.join(folder, 'brought', '*')]).to eq([])
    erasure.from_copies(words[0], done.copies)
    expect([holding.call, Store::Backups.check(copy).status]).to eq([[], :good])
    studio.classes.restore(ids[1])
    expect(ids.flat_map { |id| people(id) }).to eq([])
  end

  # An empty text is in every file, and a letter in most.
  it 'takes nothing away for a name that nobody has' do
    folder = File.dirname(studio.database.opts[:database])
    letters = Web::SignIn.letters(folder)
    letters.put('b' * 24, 'x is coming')
    copy = Store::Backups.new(studio.database.opts[:database]).take(:asked)
    before = [Digest::SHA256.file(copy), people(1)]
    erasure = Application::Erasure.new(studio, Store::Backups.new(studio.database.opts[:database]), files: [letters])
    ['', ' ', 'x'].each do |name|
      expect(erasure.call(name).classes).to eq(0)
      erasure.from_copies(name, [File.basename(copy)]) if name.strip.empty?
    end
    expect([letters.key?('b' * 24), Digest::SHA256.file(copy), people(1)]).to eq([true, *before])
  end

  it 'says so where no copy was chosen, and where nobody has the name' do
    send_form('/people/erase', name: '')
    expect([last_response.status, page]).to match([200, a_string_including('Nobody called')])
    Dir.mktmpdir do |folder|
      app_settings.set :folder, folder
      copy = File.join(folder, 'backups', 'studio-20261130-120000-asked.sqlite3')
      FileUtils.mkdir_p(File.dirname(copy))
      Store::Backups.new(studio.database.opts[:database]).take(:asked, to: copy)
      send_form('/people/erase/copies', person: 'Ilse Marrow', do: 'erase')
      expect([last_response.status, page]).to match([422, a_string_including('Choose at least one copy', 'name="copies[]"')])
    end
  end

  it 'erases in a copy of an older version, too, or deletes the copy' do
    file = studio.database.opts[:database]
    FileUtils.mkdir_p(File.join(File.dirname(file), 'backups'))
    old = File.join(File.dirname(file), 'backups', 'studio-20260101-120000-before_upgrade.sqlite3')
    FileUtils.cp(File.join(EagerBench::ROOT, 'spec', 'fixtures', 'studio-v5.sqlite3'), old)
    erasure = Application::Erasure.new(studio, Store::Backups.new(file))
    expect(erasure.copies_with('Ilse Marrow')).to eq([File.basename(old)])
    erasure.from_copies('Ilse Marrow', [File.basename(old)])
    checked = Store::Backups.check(old)
    expect([SQLite3::Database.new(old).get_first_value("SELECT count(*) FROM attendees WHERE name = 'Ilse Marrow'"), checked.status,
            checked.version]).to eq([0, :good, 5])
    erasure.drop_copies([File.basename(old)])
    expect(Dir["#{old}*"]).to eq([])
  end

  it 'makes two names one person in every class, unless both sat in one' do
    first, second = people(1).first(2).map(&:name)
    elsewhere = app_settings.people.known.find { |one| one.visits.none? { |visit| people(visit.class_id).map(&:name).include?(first) } }
    other = elsewhere.name
    wrong = { [first, second] => 'so they are two people', [first, first] => 'that are not the same',
      [first, 'Nobody'] => 'names of the list' }
    wrong.each do |names, words|
      send_form('/people/merge', name: names.first, into: names.last)
      expect([last_response.status, page]).to match([422, a_string_including(words, %(value="#{names.last}"))])
    end
    visits = elsewhere.visits.map(&:class_id)
    send_form('/people/merge', name: other, into: first)
    follow_redirect!
    expect(page).to include('One person now')
    expect(app_settings.people.known.map(&:name)).not_to include(other)
    expect(visits).to all(satisfy { |id| people(id).map(&:name).include?(first) })
    expect(app_settings.people.known.find { |one| one.name == first }.visits.map(&:class_id)).to include(1, *visits)
  end

  # Sixty people in as many classes before today, and one who came to all of them.
  it 'shows long lists page by page, and finds held classes by title and by who came' do
    workshop = studio.classes.find(1).state.workshop
    (1..60).each do |i|
      people = ["Person #{i}", 'Odile_Constant'].map { |name| Core::People::Attendee.new(key: '0', name: name, level: 1) }
      studio.classes.create(studio.classes.find(1).state.with(attendees: people,
        workshop: workshop.with(title: "Past #{i}", date: Studios::TODAY - i)))
    end
    get '/classes/held'
    expect(page).to include('63 classes, page 1 of 3', 'Past 1<', 'Older').and(satisfy { |html| !html.include?('Newer') })
    get '/classes/held', page: '3'
    expect(page.scan(%r{/afterwards">Past \d+}).size).to be_between(10, 13)
    { 'past 7' => 1, 'person 12' => 1, 'odile_' => 60, '%' => 0, "'; DROP TABLE classes" => 0 }.each do |query, count|
      get '/classes/held', q: query, page: '9' * 5
      expect([query, page[/(\d+) class(?:es)?[,<]/, 1].to_i]).to eq([query, count])
    end
    get '/people', q: 'odile'
    expect(page).to include('1 person', 'and 57 more', '/classes/held?q=Odile_Constant')
    get '/people'
    expect(page.scan('name="name" value=').size).to eq(2 * Web::Presenters::Paging::PER_PAGE)
    get '/classes/3/people/known', q: 'person 12'
    expect(page.scan('name="names[]"').size).to eq(1)
  end

  it 'knows everyone again when a class changes, is removed or comes back, reading that class alone' do
    known = -> { app_settings.people.known.map(&:name) }
    before = known.call
    expect(before).to include('Ilse Marrow')
    loaded = []
    allow(studio.classes).to(receive(:some).and_wrap_original { |own, ids| loaded.concat(ids) && own.call(ids) })
    studio.classes.edit(3, studio.classes.find(3).revision, 'x') { |state|
      state.adding([Core::People::Attendee.new(key: '99', name: 'New One', level: 1)]) }
    expect(known.call - before).to eq(['New One'])
    studio.classes.remove(3)
    expect(known.call).to eq(before)
    expect(loaded.uniq).to eq([3])
  end

  it 'repeats a class a week later with people who know what they practised' do
    before = people(1).first
    send_form('/classes/1/repeat')
    id = last_response.headers['location'][/\d+\z/].to_i
    again = studio.classes.find(id).state
    expect(again.workshop.date - studio.classes.find(1).state.workshop.date).to eq(7)
    known = again.attendees.first.experience['flat_crimp']
    expect([known.last, known.times]).to match([studio.classes.find(1).state.workshop.date,
      be > (before.experience['flat_crimp']&.times || 0)])
  end

  it 'takes down by hand who finished when, corrects it, and says what it cannot read' do
    send_form('/classes/1/by-hand', place: 'afterwards', finished: { '1' => '20:15', '2' => '', '3' => 'late' })
    expect([last_response.status, page]).to match([422, include('Write the time by the clock', 'value="20:15"')])
    noted = %w[20:15 20:20].map do |time|
      send_form('/classes/1/by-hand', finished: { '1' => time, '2' => '' })
      settle
      get '/classes/1/afterwards'
      page.scan(%r{>Ilse Marrow</th><td>[^<]+</td><td>([\d:]+)}).flatten
    end
    expect(noted).to eq([%w[20:15], %w[20:20]])
  end
end

RSpec.describe Web::Routes::Courses, type: :request do
  let(:chosen) { %w[evening_star pole_star moonrise] }

  def shown
    page.scan(%r{<th scope="row">([^<]+)</th>}).flatten
  end

  it 'orders projects, says what is new, and makes the classes, whose people know what they practised' do
    get '/classes/1/course', projects: chosen, gap: '14'
    expect(page).to include('No other order does better', 'New', '17 Dec 2026')
    order = shown
    expect(order.size).to eq(3)
    before = studio.classes.all.size
    send_form('/classes/1/course', projects: chosen, gap: '14', first: '2027-03-02', once: 'a' * 32)
    made = studio.classes.all.select { |one| one.state.workshop.title.include?('evening') }
    parts = made.map { |one| one.state.workshop.title[/\d of 3/] }.sort
    expect([studio.classes.all.size - before, parts]).to eq([3, ['1 of 3', '2 of 3', '3 of 3']])
    last = made.max_by { |one| one.state.workshop.date }.state
    expect(last.attendees.first.experience.size).to be > studio.classes.find(1).state.attendees.first.experience.size
  end

  it 'works each evening out for a group that learns from one to the next' do
    inputs = Application::Results.new(studio, Application::Forecasts.new(nil, studio.result_cache),
      Application::Searches.new(nil)).of(1).inputs
    designs = Array.new(2) { studio.projects.find('comet_tail').design }
    told = []
    found = Application::Tasks::ForecastCourse.new(inputs: inputs, designs: designs, market: studio.market.all, stock: studio.ledger.stock,
      dates: [Date.new(2026, 12, 3), Date.new(2026, 12, 10)]).call(->(one) { told << one })
    expect(found.map(&:key)).to eq(%w[comet_tail comet_tail])
    expect(found.last.chance).to be > found.first.chance
    expect(found.last.lacking.size).to be < found.first.lacking.size
    expect(told.grep(Array).map(&:size)).to eq([1, 2])
  end

  def proposed(goal, **rest)
    asked = { goal: goal, evenings: '3', gap: '7', first: '2027-01-07', **rest }
    get '/classes/1/course', asked
    app_settings.courses.propose(1, goal, (0..2).map { |i| Date.new(2027, 1, 7) + (7 * i) }).wait(Studios::PATIENCE)
    get '/classes/1/course', asked
    Nokogiri::HTML(page)
  end

  it 'proposes evenings that lead to a technique, says what this group cannot be taught, and asks before two classes on one day' do
    found = proposed('technique/wrapped_loop')
    expect(found.at('[role=status]').text).to include('none is too long for this group')
    expect(found.css('#course-order tbody tr').size).to be >= 1
    expect(found.css('#course-order tbody td').map(&:text).join).to match(/\d+ of 100/)
    expect(page).to include('Thu 7 Jan 2027')
    expect(proposed('project/aurora').text)
      .to match(/No way was found for this group to reach “Aurora braid bracelet”.*With \d+ minutes, 9 of 10 evenings/m)
    get '/classes/1/course', goal: 'technique/wrapped_loop', evenings: 'many', gap: '7', first: 'soon'
    expect(page).to include('Give a number of evenings', 'Give a date', 'value="many"', 'value="soon"')
    there = studio.classes.find(1).state.workshop
    twice = { projects: chosen.first(2), gap: '7', first: there.date.iso8601, once: 'b' * 32 }
    send_form('/classes/1/course', **twice)
    expect([last_response.status, page.include?("there is already “#{there.title}”")]).to eq([422, true])
    send_form('/classes/1/course', **twice, same_day: '1')
    expect(last_response.status).to eq(303)
  end

  it 'takes an order of one’s own and says what it breaks, and a gap that is none' do
    get '/classes/1/course', projects: chosen, gap: '7', place: { 'pole_star' => '1', 'evening_star' => '2', 'moonrise' => '3' }
    expect(shown.first).to eq('Pole Star pendant')
    expect(page).to include('Your order')
    get '/classes/1/course', projects: chosen, gap: 'weekly'
    expect(page).to include('Give a number of days', 'value="weekly"')
    send_form('/classes/1/course', projects: [], gap: '7')
    expect(last_response.status).to eq(422)
  end
end

# What is left makes more of the same.
RSpec.describe Web::Presenters::Sections::Afterwards, type: :request do
  it 'says how many more pieces the shelf makes, and what runs out first' do
    get '/classes/1/afterwards'
    expect(page).to include('nothing more of this. Missing: ')
    plan = plan_of(1)
    entry = ->(kind, item, quantity, **more) {
      Core::Supply::Entry.new(kind: kind, item: item.key, quantity: quantity, reason: :received, **more)
    }
    more = plan.needs.map { |need| entry.(:part, need.part, (need.count * 2) + 500) }
    bars = plan.line_totals.keys.map { |line| entry.(:line, line, 40, length: Core::Measure::Length.mm(1000)) }
    studio.ledger.post(more + bars)
    get '/classes/1/afterwards'
    expect(page).to match(/\d+ pieces for 172 mm\. First to run out: /)
  end
end
