# frozen_string_literal: true

require_relative '../browser_helper'

RSpec.describe 'The day after, and what it changes', type: :feature do
  it 'notes how a class went, uses one thing that was learnt and keeps another, with the keyboard' do
    open_studio
    visit '/classes/6/afterwards'
    expect(page).to have_text('The evening, planned and as it went', wait: Studios::PATIENCE).and have_text('8 of 10 planned finishes')
    expect(page).to be_axe_clean
    fill_in 'Money taken, EUR', with: '96,50'
    fill_in 'For the next time', with: 'Two more lamps.'
    find_button('Save the notes').send_keys(:enter)
    expect(page).to have_text('Taken: 96.50 EUR').and have_field('For the next time', with: 'Two more lamps.')
    click_on 'Learned times'
    expect(page).to have_css('table.lessons', minimum: 3, wait: Studios::PATIENCE)
    expect(page).to be_axe_clean
    row = -> { find('table.lessons tr', text: 'Flattened crimp') }
    row.().find_button('Keep as it is').send_keys(:enter)
    expect(page).to have_text('That value is fixed now')
    expect(row.()).to have_button('Let it learn').and have_no_button('Use it')
    find('table.lessons tr', text: 'Stringing').find_button('Use it').send_keys(:enter)
    expect(page).to have_text(/Stringing: [\d.]+ s \(was 4 s\), from \d+ tries in 3 classes\./)
    expect(studio.catalogue.table.technique('flat_crimp').seconds).to eq(90)
  end
end
