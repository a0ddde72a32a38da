# frozen_string_literal: true

require_relative '../browser_helper'
require_relative '../../bench/hostile'

RSpec.describe 'Live', type: :feature do
  # What is seldom tapped stands in a fold of the person's card.
  def tap_on(words, whom)
    button = "#{words}: #{whom}"
    folded = ['Needs me', 'Has left', 'Did not come'].include?(words) && has_no_button?(button, wait: 0)
    find('.live-card', text: whom).find('.trouble summary').click if folded
    click_on button
  end

  # @return [Boolean] whether Live opens here without a connection
  def kept_offline?
    evaluate_async_script('const done = arguments[0]; caches.match(window.location.pathname).then((kept) => done(Boolean(kept)))')
  end

  # @return [String] the address and code that the page shows to be read off, in this machine's own network
  def let_phones_in
    application = ObjectSpace.each_object(Class).find { |klass| klass < Web::App && klass.settings.studio.equal?(studio) }
    application.set(:phones, Web::PhoneAccess.new(network: -> { '127.0.0.1' }))
    unfold('phones')
    click_on 'Let phones in'
    find('.phone-door svg')['aria-label'][/http\S+/]
  end

  it 'teaches a class on a telephone, with two devices and a tap undone, and tells afterwards what it took' do
    open_studio
    Browser.size(page, 390, 844)
    visit '/classes/1/evening'
    click_on 'Live: teach the class from here'
    tap_on 'Not here', 'Soledad Quill'
    expect(page).to have_css('.live-card', text: /Soledad Quill.*Not here/m)
    click_on 'Start the class'
    expect(page).to have_text('min left').and have_text(/\d+ in 100 chance that everyone finishes/, wait: Studios::PATIENCE)
    tap_on 'Next', 'Ilse Marrow'
    expect(page).to have_css('#card-1', text: '2 of')
    link = let_phones_in
    other = open_new_window
    within_window(other) do
      visit link
      expect(page).to have_css('#card-1', text: '2 of').and have_no_link('Stockroom')
      tap_on 'Needs me', 'Tomasz Okonjo'
      expect(page).to have_css('.needs li', text: 'Tomasz Okonjo called')
    end
    expect(page).to have_css('.needs li', text: 'Tomasz Okonjo called', wait: Studios::PATIENCE)
    expect(page).to be_axe_clean
    small = 'one => one.checkVisibility() && one.getBoundingClientRect().height < 48'
    expect(page.evaluate_script("[...document.querySelectorAll('.btn-tap')].filter(#{small}).length")).to eq(0)
    find('#taps-fold summary').click
    first('.taps li', text: 'Needs me: Tomasz Okonjo').click_button('Undo')
    expect(page).to have_no_css('.needs li', text: 'Tomasz Okonjo called')
    unfold('end-fold')
    expect(page).to have_css('#end-fold', text: 'Not finished: Ilse Marrow')
    click_on 'End it now'
    expect(page).to have_text('The class has ended')
    visit '/classes/1/afterwards'
    expect(page).to have_css('#afterwards', text: 'What each step took').and have_link('What happened, as a table')
    within_window(other) { other.close }
  end

  it 'measures, notes a spare, leaves a step out, takes someone new in, counts tools in and sends work home' do
    open_studio
    Browser.size(page, 390, 844)
    visit '/classes/1/live'
    click_on 'Start the class'
    5.times { |i|
      tap_on 'Next', 'Ilse Marrow'
      expect(page).to have_css('#card-1', text: "#{i + 2} of")
    }
    within('#card-1') do
      fill_in 'Measured', with: '154'
      click_on 'Check: Ilse Marrow'
      expect(page).to have_css('.live-advice', text: 'fits, goes on')
      fill_in 'Measured', with: '150'
      select 'inside, closed'
      click_on 'Check: Ilse Marrow'
      expect(page).to have_css('.live-advice', text: '150 mm inside. What to do: ')
      fill_in 'Measured', with: '171'
      select 'inside, closed'
      click_on 'Check: Ilse Marrow'
      expect(page).to have_css('.live-advice', text: 'fits, goes on')
      find('.trouble summary').click
      click_on 'Lost or spoiled: Ilse Marrow'
    end
    expect(page).to have_text('Spares used:')
    unfold('levers-fold')
    expect(page).to have_text(/\d+ in 100 chance that everyone finishes, now \d+/, wait: Studios::PATIENCE)
    click_on 'Leave it out', match: :first
    expect(page).to have_css('.taps li', text: 'Left out by everyone', visible: :all)
    find('#new-fold summary').click
    within('#new-here') { click_on 'Give a seat and a kit' }
    expect(page).to have_css('#new-here .field-error')
    within('#new-here') do
      fill_in 'Name', with: 'Quillon Farrow'
      fill_in 'Wrist, measured', with: '172'
    end
    tap_on 'Needs me', 'Tomasz Okonjo'
    expect(page).to have_button('Helped: Tomasz Okonjo')
    within('#new-here') do
      expect(page).to have_field('Name', with: 'Quillon Farrow')
      click_on 'Give a seat and a kit'
    end
    expect(page).to have_css('.live-card', text: 'Quillon Farrow', wait: Studios::PATIENCE)
    find('#tools-fold summary').click
    click_on 'One is back', match: :first
    expect(page).to have_css('#tools-fold li', text: /1 of|all back/)
    visit '/classes/1/home'
    expect(page).to have_css('.home-sheet', count: 13)
    click_on 'This sheet alone, with a code for a phone', match: :first
    expect(page).to have_css('.home-sheet', count: 1).and have_css('svg.code')
    visit '/classes/1/screen'
    expect(page).to have_no_text('Ilse Marrow')
    expect(page).to be_axe_clean
  end

  it 'asks what is seen, says why and what to do, and notes who leaves and comes back after the start' do
    open_studio
    visit '/classes/1/live'
    click_on 'Start the class'
    find('#card-1 .trouble summary').click
    within('#card-1') do
      first('.live-signs .btn').click
      expect(page).to have_css('.live-advice', text: 'What to do:')
    end
    tap_on 'Next', 'Ilse Marrow'
    expect(page).to have_no_css('#card-1 .live-advice')
    tap_on 'Has left', 'Ilse Marrow'
    expect(page).to have_css('#card-1.is-away', text: 'Not here')
    tap_on 'Did not come', 'Tomasz Okonjo'
    expect(page).to have_css('#card-2.is-away')
    tap_on 'Is here', 'Ilse Marrow'
    expect(page).to have_css('#card-1', text: '2 of')
  end

  it 'can be tried on a practice evening whose people go on by themselves' do
    open_studio
    visit '/classes/1/live'
    click_on 'Try it first, on a practice evening'
    expect(page).to have_text('This is a practice evening')
    expect(page).to have_css('.live-clock', text: /18:3[1-9]/, wait: Studios::PATIENCE)
    expect(@studio.live_events.of(1)).to eq([])
  end

  it 'loses nothing when the server is killed in the middle: two browsers tap on, and their taps are sent when it is back' do
    folder = Dir.mktmpdir
    server, port = Hostile::Stops.serve(folder)
    live = "http://127.0.0.1:#{port}/classes/1/live"
    visit live
    click_on 'Start the class'
    tap_on 'Next', 'Ilse Marrow'
    expect(page).to have_css('#card-1', text: '2 of')
    other = open_new_window
    within_window(other) { visit live }
    page.document.synchronize(Studios::PATIENCE) { kept_offline? || raise(Capybara::ElementNotFound, 'the page is not kept yet') }
    Process.kill(:KILL, server)
    Process.wait(server)
    tap_on 'Next', 'Ilse Marrow'
    expect(page).to have_css('#card-1', text: '3 of').and have_text('No connection: 1 tap kept here')
    tap_on 'Next', 'Ilse Marrow'
    expect(page).to have_css('#card-1', text: '4 of').and have_text('No connection: 2 taps kept here')
    page.refresh
    expect(page).to have_css('#card-1', text: '4 of')
    within_window(other) { tap_on 'Next', 'Tomasz Okonjo' }
    server, = Hostile::Stops.serve(folder, port: port)
    [current_window, other].each do |window|
      within_window(window) do
        { 1 => '4 of', 2 => '2 of' }.each { |card, step| expect(page).to have_css("#card-#{card}", text: step, wait: Studios::PATIENCE) }
      end
    end
    within_window(other) { other.close }
    Process.kill(:TERM, server)
    Process.wait(server)
    kept = Store::Studio.new(File.join(folder, 'studio.sqlite3'))
    expect(kept.live_events.of(1).map(&:kind)).to eq(%i[start next next next next])
    expect(kept.database.fetch('PRAGMA integrity_check').single_value).to eq('ok')
    kept.close
  end

  it 'gives a sign on the device for what was chosen there, goes back by a long press, and sends a table on' do
    open_studio
    visit '/classes/1/live'
    click_on 'Start the class'
    unfold('signs-fold')
    check 'When someone calls'
    check 'By vibration, where the device can'
    execute_script('window.shaken = 0; navigator.vibrate = () => { window.shaken += 1; return true; }')
    tap_on 'Needs me', 'Tomasz Okonjo'
    expect(page).to have_css('.needs .is-fresh', text: 'Tomasz Okonjo')
    expect(evaluate_script('window.shaken')).to eq(1)
    tap_on 'Next for the whole table', '1'
    expect(page).to have_css('#card-2', text: '2 of')
    button = find('#card-2 [data-long-press]')
    page.driver.browser.action.click_and_hold(button.native).perform
    expect(page).to have_css('#card-2', text: '1 of')
    page.driver.browser.action.release.perform
    expect(page).to have_css('#card-2', text: '1 of')
  end
end
