# frozen_string_literal: true

require 'nokogiri'
require_relative '../web_helper'

RSpec.describe Web::Routes::Invitations, type: :request do
  def open_invitation(**changed)
    send_form('/classes/1/invitation', closes_on: Studios::TODAY.iso8601, seats: '14', words: 'Bring glasses.', **changed)
  end

  def invitation
    studio.invitations.of(1)
  end

  def answer(code = invitation.code, **changed)
    get "/invited/#{code}"
    post "/invited/#{code}", { authenticity_token: page[/name="authenticity_token" value="([^"]+)"/, 1], name: 'Odalys Reed',
                               measure: '17 cm', mail: '', age: '', other_allergy: '', note: '', consent: '1', **changed }
  end

  def act(id, what)
    send_form("/classes/1/invitation/#{id}/#{what}")
  end

  def people
    studio.classes.find(1).state.attendees.map(&:name)
  end

  it 'asks, takes answers, and takes people in with what they said' do
    open_invitation
    get "/invited/#{invitation.code}"
    expect(page).to include('Bring glasses.', 'Round the wrist', 'Which would you like to make?').and(not_include('aria-label="Pages"'))
    answer(colourway: 'dusk', done: { 'stringing' => 'often', 'nonsense' => 'often' }, allergies: %w[nickel gold], flags: ['left_handed'],
      brings: %w[ruler crowbar], note: 'a little late')
    expect(page).to include('Thank you, Odalys Reed.')
    act(studio.invitations.answers(1).first.id, 'accept')
    taken = studio.classes.find(1).state.attendees.last
    expect([taken.name, taken.measures[:wrist], taken.colourway, taken.flags, taken.brings, taken.notes])
      .to eq(['Odalys Reed', mm(170), 'dusk', %i[nickel left_handed], ['ruler'], 'a little late'])
    act(studio.invitations.answers(1).first.id, 'accept')
    expect(people.count('Odalys Reed')).to eq(1)
  end

  it 'marks what should be asked again, puts who comes late on the waiting list, and says what one more changes' do
    open_invitation(seats: '13')
    answer(measure: '26 cm', mail: 'odalys@example.org')
    answer(name: people.first, measure: '6.5')
    answer(name: 'Perrin Vale', measure: '', mail: 'perrin@example.org')
    get '/classes/1/invitation?more=1'
    rows = Nokogiri::HTML(page).css('.table:not(.how-many) tbody tr').map { |row| row.text.gsub(/\s+/, ' ') }
    expect(rows).to match([a_string_including('260 mm is unusual for an adult', 'new'),
                           a_string_including('without a unit, read as 165', 'someone of this name', 'waiting list'),
                           a_string_including('no size given', 'waiting list')])
    expect(page).to match(/With Odalys Reed as person 13, all finish in \d+ of 100 such classes; without, in \d+/)
    # 12 are in the class, three answered; the tools of this class are short with 12 already.
    places = Nokogiri::HTML(page).css('.how-many tbody tr').map { |row| row.css('th, td').map { |cell| cell.text[/\d+/].to_i } }
    expect(places.map(&:first)).to eq([12, 13, 14, 15])
    expect(places.map { |place| place[1] }).to eq(places.map { |place| place[1] }.sort)
    expect(page).to include('Tools are short already')
    send_form('/classes/1/invitation/reminders')
    letters = Dir[File.join(app_settings.settings.folder, 'outgoing mail', '*.eml')].map { |file| File.read(file) }
    expect(letters.grep(/To: (odalys|perrin)@example.org/).size).to eq(2)
  ensure
    FileUtils.rm_rf(File.join(app_settings.settings.folder, 'outgoing mail'))
  end

  [[{ name: '' }, 'Give your name.'], [{ measure: '190 in' }, 'Did you mean'], [{ measure: 'wide' }, 'wide'],
   [{ consent: '' }, 'Tick this'], [{ mail: 'nobody' }, 'Give an address'], [{ age: 'ten' }, 'Give the age']].each do |changed, told|
    it "says “#{told}” at the field and keeps the rest" do
      open_invitation
      answer(other_allergy: 'strawberries', **changed)
      expect([last_response.status, page.include?(told), page.include?('strawberries')]).to eq([422, true, true])
      expect(studio.invitations.answers(1)).to be_empty
    end
  end

  it 'takes none after its last day, when it is closed, or for an address that there is not' do
    expect(get('/invited/nobody').status).to eq(404)
    open_invitation(closes_on: '2099-01-01')
    expect(last_response.status).to eq(422)
    open_invitation
    code = invitation.code
    send_form('/classes/1/invitation/close')
    send_form("/invited/#{code}", name: 'Odalys Reed', consent: '1')
    expect([last_response.status, studio.invitations.answers(1)]).to eq([410, []])
    open_invitation(closes_on: (Studios::TODAY - 1).iso8601)
    expect(get("/invited/#{invitation.code}").status).to eq(410)
    expect(invitation.code).to eq(code)
  end

  it 'forgets answers two weeks after the class, and with a person who is erased' do
    open_invitation
    answer
    answer(name: 'Perrin Vale')
    studio.invitations.erase(['Perrin Vale'])
    expect(studio.invitations.answers(1).map { |one| one.answer.name }).to eq(['Odalys Reed'])
    date = studio.classes.find(1).state.workshop.date
    Application::Retention.call(studio, date + 14)
    expect(studio.invitations.answers(1).size).to eq(1)
    Application::Retention.call(studio, date + 15)
    expect([studio.invitations.answers(1), invitation]).to eq([[], nil])
  end

  # OWASP Cheat Sheet Series, Authorization: who has no account reaches this page alone, and no answers of others.
  context 'when the studio is shared' do
    let(:app) do
      Web::App.for_studio(studio, secret: Requests::SECRET, runner: Studios::RUNNER, folder: Dir.mktmpdir, today: -> { Studios::TODAY },
        sharing: Web::Sharing.new(address: '0.0.0.0', names: ['studio.example']))
    end

    it 'is all that a guest reaches, with a limit on answers from one address' do
      Web::SignInLimits::COUNTS.clear
      code = studio.invitations.open(1, closes_on: Studios::TODAY, seats: 14, words: '').code
      expect(get("/invited/#{code}").status).to eq(200)
      expect(page).to include('Send my answer').and(not_include('href="/projects"'))
      answer(code)
      expect(page).to include('Thank you, Odalys Reed.')
      closed = ["/invited/#{code}/", '/invited/../classes/1', '/classes/1/invitation', '/classes/1', '/'].map { |path| get(path).status }
      expect(closed).to eq([302, 302, 302, 302, 302])
      15.times { answer(code, name: '') }
      expect(last_response.status).to eq(429)
      expect(studio.invitations.answers(1).size).to eq(1)
    ensure
      Web::SignInLimits::COUNTS.clear
    end
  end
end

RSpec::Matchers.define_negated_matcher :not_include, :include
