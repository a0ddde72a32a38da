# frozen_string_literal: true

require_relative '../browser_helper'

RSpec.describe 'Will we finish?', type: :feature do
  it 'shows a poor chance and why, finds what helps, and does it in one action' do
    open_studio
    visit '/classes/1'
    execute_script('window.kept = true')
    expect(page).to have_css('#strip .verdict-will_not', text: /all finish in \d+ of 100/, wait: Studios::PATIENCE)
    within('#clock') do
      expect(page).to have_css('svg.ribbon .lane', count: 12).and have_css('svg.ribbon .range').and have_text('is the last in')
      unfold('busy-fold')
      expect(page).to have_css('svg.queue')
      click_on 'Look for what would help'
      expect(page).to have_text('This reaches the target', wait: Studios::PATIENCE)
      unfold('singles-fold')
      expect(page).to have_css('.levers tbody tr', minimum: 5)
      click_on 'Do all of this'
    end
    expect(page).to have_css('#strip .verdict-fits', text: /all finish in (9\d|100) of 100/, wait: Studios::PATIENCE)
    expect(evaluate_script('window.kept')).to be(true)
    find('[data-undo]').click
    expect(page).to have_css('#strip .verdict-will_not', text: 'of 100', wait: Studios::PATIENCE)
    visit '/classes/1/run-sheet'
    expect(page).to be_axe_clean
  end
end
