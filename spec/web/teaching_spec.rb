# frozen_string_literal: true

require_relative '../web_helper'

RSpec.describe 'The steps of a class', type: :request do
  def plan
    plan_of(1)
  end

  def choose(path = 'teaching', **fields)
    send_form("/classes/1/#{path}", revision: studio.classes.find(1).revision, **fields)
  end

  it 'shows levels 1, 3 and 5 different lists with their reasons, on screen, in print and on the handout' do
    %w[/classes/1 /classes/1/print].each do |path|
      get path
      expect(page).to include('new to you, so first on scrap', 'extra for early finishers', 'Before class')
    end
    expect(page).to include('The room', 'count out and in')
    lists = [1, 3, 5].map { |level|
      plan.people.find { |person|
        person.attendee.level == level
      }.tasks.map { |task| [task.kind, task.step.key] }
    }
    expect(lists.uniq.size).to eq(3)
    get '/classes/1/handouts'
    expect(page).to include('Practise: crimp two tubes', 'class="state-picture"', 'Left hand: Hold the bead end in the right hand')
  end

  it 'orders by the school that is chosen, and refuses one that it does not know' do
    choose(school: 'ends_late')
    expect([plan.workshop.teaching.school, plan.order.reasons.map(&:code)]).to match([:ends_late, include(:end_last).or(include(:follows))])
    choose(school: 'hardest')
    get '/classes/1'
    expect(page).to include('the hardest while all are fresh')
    choose(school: 'sideways')
    expect([last_response.status, plan.workshop.teaching.school]).to eq([422, :hardest])
  end

  it 'moves a step by hand, says what that breaks, keeps it and works it out again' do
    before = plan.order.steps.map(&:key)
    choose('steps', step: 'front/string', by: '-1')
    expect(plan.order.steps.map(&:key)).not_to eq(before)
    get '/classes/1'
    expect(page).to include('In an order of your own', 'which it needs')
    expect(Core::Advice::Verdicts.new(plan).call.find { |verdict| verdict.code == :steps }.status).to eq(:will_not)
    choose('steps', reset: '1')
    expect(plan.order.steps.map(&:key)).to eq(before)
    choose('steps', step: 'no/such', by: '1')
    expect(plan.order.broken).to be_empty
  end

  it 'prepares, shortens and adds by level, for those it is meant for only' do
    choose('prepared[front/cut_line]': '2', 'prepared[front/string]': '5', shorter: '1', 'easier[folded_crimp]': '2', 'prepared[x]': '9')
    spared = plan.people.to_h { |person| [person.attendee.level, person.spared.map { |step, reason| [step.key, reason] }] }
    expect(spared.values_at(1, 2,
      3)).to eq([[['front/cut_line', :prepared], ['front/covers', :shorter]], [['front/cut_line', :prepared]], []])
    expect(plan.workshop.teaching.prepared).to eq('front/cut_line' => 2)
  end

  {
    { shorter: '9' } => 'from 0 to 5',
    { extra_minutes: '0' } => 'from 1 to 240',
    { extra_text: 'x' * 301 } => '300 characters'
  }.each do |typed, message|
    it("answers #{typed.keys.first} with #{message.inspect}") {
      choose(**typed) && expect([last_response.status, page]).to(match([422, a_string_including(message)]))
    }
  end

  it 'takes what someone has done, which spares them the practice' do
    more = ->(**fields) { send_form('/classes/1/people/1/more', revision: studio.classes.find(1).revision, ease: '', **fields) }
    practised = -> { plan.person('1').tasks.select { |task| task.kind == :practice }.map { |task| task.technique.key } }
    expect(practised.call).to eq(%w[flat_crimp crimp_cover])
    more.call('times[flat_crimp]': '9', 'last[flat_crimp]': '2026-11-01')
    expect(practised.call).to eq(%w[crimp_cover])
    more.call('times[flat_crimp]': 'often', 'last[flat_crimp]': '2026-02-31')
    expect([last_response.status, page]).to match([422, a_string_including('Give how often', 'Give a date that exists', 'value="often"')])
    more.call('times[flat_crimp]': '')
    expect(practised.call).to eq(%w[flat_crimp crimp_cover])
  end

  it 'keeps what a technique teaches, and says what is wrong with it' do
    send_form('/stockroom/techniques/ring', name: 'Ring', level: '1', seconds: '30', practice: 'five rings', practice_minutes: '4',
      points: "one\ntwo\n", easier: '')
    expect(studio.catalogue.table.technique('ring').points).to eq(%w[one two])
    send_form('/stockroom/techniques/ring', name: 'Ring', level: '1', seconds: '30', points: 'x' * 301, easier: 'none_such')
    expect([last_response.status, page]).to match([422, a_string_including('Shorten each line', 'Choose from the list')])
  end
end

# A tool that stands in for one that is missing.
RSpec.describe Web::Presenters::Sections::Tools, type: :request do
  it 'offers it where the tool is missing, counts it from then on, tells it, and takes it back' do
    get '/classes/1/evening'
    expect(page).to include('Use masking tape for this: bead stopper')
    send_form('/classes/1/teaching', stand_in: 'bead_stopper/tape', revision: studio.classes.find(1).revision.to_s, place: 'evening')
    get '/classes/1/evening'
    expect(page).to include('Stands in: masking tape', 'Undo: which tool stands in')
    settle
    get '/classes/1/run-sheet'
    expect(page).to include('Fold the tape over the line')
    expect(plan_of(1).tools.map { |need| need.tool.key }).to include('tape').and(satisfy { |keys| !keys.include?('bead_stopper') })
    send_form('/classes/1/teaching', stand_in: 'bead_stopper/tape', stands: '0', revision: studio.classes.find(1).revision.to_s,
      place: 'evening')
    expect(studio.classes.find(1).state.workshop.teaching.stand_ins).to eq([])
    send_form('/classes/1/teaching', stand_in: 'no such thing', revision: studio.classes.find(1).revision.to_s)
    expect(studio.classes.find(1).state.workshop.teaching.stand_ins).to eq([])
  end
end
