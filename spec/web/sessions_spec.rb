# frozen_string_literal: true

require_relative '../web_helper'
require 'icalendar'

RSpec.describe Web::Routes::Sessions, type: :request do
  def choose(path = 'session', **fields)
    send_form("/classes/1/#{path}", revision: studio.classes.find(1).revision, **fields)
  end

  def session
    studio.classes.find(1).state.workshop.session
  end

  {
    { assistants: '9' } => 'from 0 to 6', { target: '100' } => 'from 50 to 99', { late: '-1' } => 'from 0 to 100',
      { break_at: 'noon' } => 'from 0 to 720', { demonstrations: 'never' } => 'Choose one', { tool_hire: '-2' } => 'not below zero'
  }.each do |typed, message|
    it("answers #{typed} with #{message.inspect} and keeps it") {
      choose(**typed) && expect([last_response.status, page]).to(match([422, a_string_including(message)]))
    }
  end

  it 'changes how a class runs, and takes it back' do
    choose(assistants: '1', poor_light: '1', demonstrations: 'carry_on', target: '80', tool_hire: '2.50', 'more_tools[cutters]': '2',
      'more_tools[none]': '4')
    expect([session.assistants,
            session.poor_light,
            session.demonstrations,
            session.target,
            session.tool_hire,
            session.more_tools]).to eq([1, true, :carry_on, 80, 250, { 'cutters' => 2 }])
    get '/classes/1'
    expect(page).to match(/Undo: [^"]* and \d more/)
    send_form('/classes/1/undo')
    expect(session).to eq(Core::Setup::SessionSettings.new)
  end

  it 'switches off what people do beside their work, each by itself' do
    model = -> { app_settings.results.of(1).model.to_h.slice(:fatigue, :walking, :neighbours, :put_down).values.map(&:positive?) }
    expect(model.()).to eq([true, true, true, false])
    { tires: '0', walks: '0', neighbours: '0', own_piece: '1' }.each { |name, value| choose(name => value) }
    expect(model.()).to eq([false, false, false, true])
  end

  it 'says that the forecast is being worked out, never a plain sum, then what came of it and why' do
    # No other example asks for this one, so that it is not known already.
    choose(late: '13', late_minutes: '11')
    get '/classes/1', {}, 'HTTP_X_POLL' => '1', 'HTTP_X_REDRAW' => '0'
    expect([last_response.status, page.include?('simulated classes')]).to eq([204, false])
    get '/'
    expect(page).to include('The forecast is being worked out.')
    settle
    get '/classes/1'
    expect(page).to include('simulated classes', 'is the last in', 'waiting for a tool', 'Who and what is busy', 'all finish in ')
  end

  it 'begins nothing when a page is only looked at again' do
    settle
    choose(assistants: '1')
    before = app_settings.runner.instance_variable_get(:@known).size
    3.times { get('/classes/1', {}, 'HTTP_X_POLL' => '1', 'HTTP_X_REDRAW' => '1') }
    expect(app_settings.runner.instance_variable_get(:@known).size).to eq(before)
  end

  it 'shows at once that what was asked for is under way, and that it was stopped' do
    settle
    get '/classes/1'
    expect(page).to include('Look for what would help')
    send_form('/classes/1/levers')
    get '/classes/1'
    expect(page).to match(/trying changes|class="table levers"/)
    send_form('/classes/1/levers/stop')
    get '/classes/1'
    expect(page).not_to include('trying changes')
  end

  it 'says what stands against simulating a class' do
    choose('settings', tool_sets: '0')
    get '/classes/1'
    expect(page).to include('There is no ', 'and 12 are needed')
  end

  it 'applies a lever, and a combination of them, in one action that is undone in one' do
    choose('levers/apply', levers: 'assistant longer-15 drop_extra no-such')
    workshop = studio.classes.find(1).state.workshop
    expect([workshop.session.assistants, workshop.minutes, workshop.teaching.extra]).to eq([1, 135, 6])
    send_form('/classes/1/undo')
    expect(studio.classes.find(1).state.workshop).to have_attributes(minutes: 120, session: Core::Setup::SessionSettings.new)
    choose('levers/apply', levers: 'fewer-2 nonsense')
    expect(page).to include('no longer possible')
  end

  it 'prints a run sheet and gives a calendar with the same times' do
    settle
    get '/classes/1/run-sheet'
    expect(page).to include('Latest start', 'Demo: Flattened crimp', 'Problem: Crossed lines under the crimp: cut the crimp off',
      'Do not start after this time')
    get '/classes/1.ics'
    events = Icalendar::Calendar.parse(last_response.body).first.events
    expect([events.first.summary,
            *[events.first.dtstart, events.first.dtend].map { |time|
              time.strftime('%F %R')
            }]).to eq(['First light: Comet Tail', '2026-12-03 18:30', '2026-12-03 20:30'])
    expect(events.map(&:summary)).to include(a_string_including('Demo: Flattened crimp'), a_string_including('Call time'))
    get '/classes/3/run-sheet'
    expect(page).to include('Nobody is in this class yet')
  end

  it 'tells how long each project takes, filled in as it is worked out' do
    leave_projects('night_page')
    get '/projects'
    expect(page).to include('being worked out')
    app_settings.project_times.known(app_settings.results.now.library).wait(Studios::PATIENCE)
    get '/projects'
    expect(page).to include('8 people: nine of ten classes end within', 'Alone:')
  end
end
