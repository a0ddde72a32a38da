# frozen_string_literal: true

require 'nokogiri'
require_relative '../web_helper'

RSpec.describe Web::Routes::FitCheck, type: :request do
  def ask(**question)
    get '/fit-check', question
    page
  end

  it 'answers in the page, as JSON and from the command line alike' do
    question = { 'line' => '0.46 mm', 'passes' => '2', 'hole' => '0.9 mm' }
    expect(ask(**question)).to include('It does not go through', '0.92 mm')
    get '/fit-check.json', question
    output = StringIO.new
    Application::CommandLine.new(['fit', *question.flat_map { |name, value| ["--#{name}", value] }], output: output).run
    expect(JSON.parse(page)).to eq(JSON.parse(output.string))
    expect(JSON.parse(page)).to include('status' => 'will_not', 'margin_mm' => -0.02, 'needed_mm' => 0.92)
  end

  it 'draws every line it was asked about' do
    expect(ask(line: '0.5 mm', passes: '3', line2: '1 mm', passes2: '2').scan('<circle cx=').size).to be >= 5
  end

  it 'takes a part of the stockroom, and what would do instead' do
    expect(ask(line: '0.38 mm', passes: '2', part: 'crimp_2_silver',
      purpose: 'crimp')).to include('does not hold', '1.5 mm crimp tube')
  end

  {
    { hole: '9 mm', outer: '8 mm' } => 'must be smaller than the bead',
    { hole: '-1 mm' } => 'above zero',
    { line: '24 ga' } => 'Which gauge?',
    { line: '24 zwg' } => 'names no gauge system',
    { passes: '40' } => 'At most 10 lines',
    { passes: 'many' } => 'whole number from 1',
    { part: 'cap_less' } => 'No such part',
    { part: 'oval_16_night', hole: '' } => 'It',
    { purpose: 'luck' } => 'Choose one of',
    { line: '<script>' } => 'does not read as a thickness',
    { convert: '13/0' } => 'That bead size is not known',
    { line: '0.3 mm', passes: '5', line2: '0.4 mm', passes2: '4' } => 'two thicknesses'
  }.each do |question, message|
    it "answers #{question} at its field, keeping what was typed" do
      expect(ask(**question)).to include(message)
      typed = question.except(:purpose, :part).values.map { |text| Rack::Utils.escape_html(text) }
      expect([last_response.status, typed.reject { |text| page.include?(text) }]).to eq([200, []])
    end
  end

  it('reads "0,5 mm" and ".5mm" alike') {
    expect(['0,5 mm', '.5mm'].map { |line|
      ask(line: line)[/Needed.*?<dd>([^<]+)/m, 1]
    }.uniq).to eq(['1 mm'])
  }

  ['?px=abc', '?count=-3', '?bead=x', '?line[]=1', '?hole=%FF', '?passes=0'].each do |query|
    it("stands #{query}") { get("/fit-check#{query}") && expect(last_response.status).to(eq(200)) }
  end

  it 'answers each purpose that it offers' do
    Core::Fit::Passage::PURPOSES.each_key do |purpose|
      get '/fit-check', purpose: purpose.to_s, line: '1 mm', passes: '3', hole: '2.6 mm'
      expect([purpose, last_response.status, page[/no words for[^)]*/]]).to eq([purpose, 200, nil])
      expect(page).to match(/2\.(15|16|2)\d* mm/)
    end
  end

  it 'names the pliers for each crimp that takes the lines, and what to look at' do
    get '/fit-check', purpose: 'crimp', line: '0.38 mm', passes: '2', hole: '1.2 mm'
    sizes = studio.catalogue.table.parts.values.select { |part| part.kind == :crimp }.to_h { |part| [part.outer.to_mm,
      Core::Fit::QuickCheck.pliers(part)] }
    expect(sizes.sort.map(&:last).chunk_while { |a, b| a == b }.map(&:first)).to eq(%i[small middle large].first(sizes.values.uniq.size))
    expect(page).to include('small crimping pliers', 'no lines crossed under it')
    get '/fit-check', purpose: 'hole', line: '0.38 mm', passes: '2', hole: '1.2 mm'
    expect(page).not_to include('crimping pliers)')
  end

  describe 'on the class page' do
    let(:id) { studio.classes.all.find { |klass| klass.state.workshop.title.start_with?('Eclipse') }.id }

    def findings
      plan_of(id).people.first.findings
    end

    # Every rule has a case that passes and one that does not; most have one in between.
    it 'shows each rule at work in the demo' do
      table = studio.catalogue.table
      check = Core::Fit::Check.new(table)
      pieces = studio.projects.newest.flat_map do |saved|
        ['', *saved.design.colourways.keys].map { |name| Core::Sizing::Blueprint.new(saved.design,
          table.in_colourway(saved.design.colourways.fetch(name, {}))).fit_usual }
      end
      seen = pieces.grep(Core::Sizing::Piece).flat_map { |piece| check.piece(piece) }.group_by(&:rule)
        .transform_values { |all| all.map(&:status).uniq }
      expect(seen.keys + [:suits_person]).to match_array(Core::Fit::Rules.keys)
      expect(seen.values).to all(include(:fits).and(satisfy { |statuses| statuses.size > 1 }))
      three = %i[lines_through_hole
                 cover_closes
                 cap_covers
                 end_takes_cord
                 spacer_holds
                 ring_holds
                 line_bears]
      expect(seen.slice(*three).values).to all(include(:fits, :will_not).and(include(:tight).or(include(:press))))
    end

    it 'applies a cure in one action, and undo takes it back' do
      finding = findings.find { |f| f.code == :spacer_slips }
      revision = studio.classes.find(id).revision
      offered = Core::Advice::Remedies.new(plan_of(id), studio.catalogue.table).offered(finding, plan_of(id).people.first.attendee)
      send_form("/classes/#{id}/cure", person: '1', finding: finding.key, cure: offered.first.cure.key, revision: revision)
      expect(findings.map(&:code)).not_to include(:spacer_slips)
      send_form("/classes/#{id}/undo")
      expect(findings.map(&:code)).to include(:spacer_slips)
    end

    [{}, { person: '1', finding: 'x', cure: '0' }, { person: '99' }, { person: '1', cure: '-1' }].each do |fields|
      it("stands a cure of #{fields}") {
        send_form("/classes/#{id}/cure", **fields) && expect(last_response.status).to(eq(200))
      }
    end

    it 'chooses another way of working, which undo takes back, and refuses one that is not there' do
      get "/classes/#{id}/choices"
      expect(page).to include('How the crimp is closed', 'planned now', 'Changes: ')
      form = Nokogiri::HTML(page).css('form[action$="/way"]').find { |one| one['id'].end_with?('-folded') }
      key = form.css('[name="ways[]"]').first['value']
      component = key.split('~')[1]
      school = -> { plan_of(id).design.component(component).parameters['school'] || 'flat' }
      before = school.call
      send_form("/classes/#{id}/way", person: plan_of(id).people.find(&:fitted?).attendee.key, ways: [key],
        revision: studio.classes.find(id).revision)
      expect(school.call).to eq('folded')
      send_form("/classes/#{id}/undo")
      expect(school.call).to eq(before)
      [{}, { person: '1', ways: ['set_way~front~school~magic'] }, { person: '99', ways: [key] }].each do |fields|
        send_form("/classes/#{id}/way", **fields)
        expect([last_response.status, school.call]).to eq([200, before])
      end
    end

    it 'reads and names each measure that a rule may ask for' do
      expect(Web::Contracts::MeasureContract::READERS.keys).to match_array(Core::Fit::Rule::MEASURES.map(&:to_s))
      groups = %w[measures measure_hints]
      words = groups.product(Core::Fit::Rule::MEASURES).map { |group, measure| Formats::Wording.say("#{group}.#{measure}") }
      expect(words).to all(match(/\A[^:]+\z/))
    end

    {
      { item: 'round_12_moon', measure: 'hole', value: '1.1 mm' } => 'entered',
      { item: 'round_12_moon', measure: 'hole', value: '13 mm' } => 'must be smaller',
      { item: 'round_12_moon', measure: 'hole', value: 'wide' } => 'was not entered',
      { item: 'round_12_moon', measure: 'faces_with', value: 'two' } => 'odd or even',
      { item: 'cable_038', measure: 'rated_load_grams', value: '-5' } => 'in grams',
      { item: 'round_12_moon', measure: 'holds_grams', value: '500' } => 'entered',
      { item: 'round_12_moon', measure: 'wire', value: 'thin' } => 'was not entered',
      { item: 'none', measure: 'hole', value: '1 mm' } => 'no such measure',
      { item: 'round_12_moon', measure: 'key', value: 'x' } => 'no such measure'
    }.each do |fields, message|
      it "answers #{fields} with #{message.inspect}" do
        send_form('/measures', back: '/keys', **fields)
        follow_redirect!
        expect(page).to include(message)
      end
    end
  end

  # By hand: 240 mm went on 4, 60 each; 6 more and 100 held need 460, and 360 last for 4.
  {
    { start: '600', left: '360', done: '4', number: '10', held: '100' } => 'the line lasts for 4. 100 mm is missing',
    { start: '60 cm', left: '500', done: '4', number: '10', held: '' } => '350 mm is left over',
    { start: '300', left: '360', done: '4', number: '10', held: '' } => 'That is more than there was at the start (300 mm)',
    { start: '600', left: '360', done: '11', number: '10', held: '' } => 'That is more than there are in all.',
    { start: 'long', left: '', done: '', number: '', held: '' } => 'Give a length, such as 640 mm.'
  }.each do |typed, words|
    it "answers whether a line reaches: #{typed.values.join(', ')}" do
      get('/fit-check', typed.transform_keys { |name| "reach_#{name}" })
      expect([last_response.status, page]).to match([200, include(words, %(value="#{typed[:start]}"))])
    end
  end
end
