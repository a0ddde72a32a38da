# frozen_string_literal: true

require_relative '../browser_helper'

RSpec.describe 'Live', type: :feature do
  def tap_on(words, whom)
    click_on "#{words}: #{whom}"
  end

  it 'teaches a class on a telephone, with two devices and a tap undone, and tells afterwards what it took' do
    open_studio
    Browser.size(page, 390, 844)
    visit '/classes/1/evening'
    click_on 'Live: teach the class from here'
    tap_on 'Not here', 'Soledad Quill'
    expect(page).to have_css('.live-card', text: /Soledad Quill.*Not here/m)
    click_on 'Start the class'
    expect(page).to have_text('min left').and have_text(/Everybody finishes in \d+ of 100/, wait: 20)
    tap_on 'Next', 'Ilse Marrow'
    expect(page).to have_css('#card-1', text: '2 of')
    other = open_new_window
    within_window(other) do
      visit '/classes/1/live'
      expect(page).to have_css('#card-1', text: '2 of')
      tap_on 'Needs me', 'Tomasz Okonjo'
      expect(page).to have_css('.needs li', text: 'Tomasz Okonjo called')
    end
    expect(page).to have_css('.needs li', text: 'Tomasz Okonjo called', wait: 15)
    expect(page).to be_axe_clean
    expect(page.evaluate_script("[...document.querySelectorAll('.btn-tap')].filter(one => one.checkVisibility() && one.getBoundingClientRect().height < 48).length")).to eq(0)
    find('#taps-fold summary').click
    first('.taps li', text: 'Needs me: Tomasz Okonjo').click_button('Undo')
    expect(page).to have_no_css('.needs li', text: 'Tomasz Okonjo called')
    click_on 'End the class'
    expect(page).to have_text('The class has ended')
    visit '/classes/1/afterwards'
    expect(page).to have_css('#afterwards', text: 'What each step took').and have_link('What happened, as a table')
    within_window(other) { other.close }
  end

  it 'keeps taps that are made without a connection, and sends each once when it is back' do
    open_studio
    visit '/classes/1/live'
    click_on 'Start the class'
    expect(page).to have_text('min left')
    execute_script("window.sent = window.fetch; window.fetch = () => Promise.reject(new Error('no connection'))")
    tap_on 'Next', 'Ilse Marrow'
    expect(page).to have_text('No connection. Your taps are kept here')
    tap_on 'Next', 'Tomasz Okonjo'
    execute_script('window.fetch = window.sent')
    expect(page).to have_css('#card-1', text: '2 of', wait: 10).and have_css('#card-2', text: '2 of', wait: 10)
    expect(studio.live_events.of(1).map(&:kind)).to eq(%i[start next next])
  end
end
