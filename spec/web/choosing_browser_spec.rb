# frozen_string_literal: true

require_relative '../browser_helper'

RSpec.describe 'Choosing a project for a group', type: :feature do
  it 'shows each as it is worked out, best first, filters them, and plans the one that is taken' do
    open_studio
    leave_projects('night_page', 'slow_orbit', 'meteor_path', 'night_rails', 'lodestar')
    visit '/classes/1'
    click_on 'Compare projects for this group'
    expect(page).to have_css('.choosing li', minimum: 1)
    expect(page).to have_no_css('[data-poll]', wait: Studios::PATIENCE)
    rows = all('.choosing li').size
    expect([rows, all('.choosing .piece-name b').first.text]).to eq([studio.projects.newest.size, 'Night Page bookmark'])
    expect(find('.choosing li', text: 'Slow Orbit cuff')).to have_text('Not for Noor Bellweather').and have_text('a seat')
    expect(page).to be_axe_clean
    fill_in 'A seat costs at most', with: 'cheap'
    click_on 'Show these'
    expect(page).to have_text('Give an amount, such as 12.50').and have_field('A seat costs at most', with: 'cheap')
    fill_in 'A seat costs at most', with: '20'
    select 'up to 1', from: 'Level'
    find_button('Show these').send_keys(:enter)
    expect(page).to have_css('.choosing li', text: 'Meteor Path wrap').and have_css('.choosing li',
      count: 2).and have_text("#{rows - 2} projects do not pass the filters")
    click_on 'Make this: Meteor Path wrap'
    expect(page).to have_select('Project', selected: 'Meteor Path wrap')
  end

  it 'compares for a usual group where nobody has signed up' do
    open_studio
    visit '/classes/3/projects'
    expect(page).to have_text('compared for 8 people of usual sizes').and have_css('.choosing li', minimum: 2)
  end
end
