# frozen_string_literal: true

require_relative '../browser_helper'

RSpec.describe 'Choosing a project for a group', type: :feature do
  it 'shows each as it is worked out, best first, filters them, and plans the one that is taken' do
    open_studio
    leave_projects('night_page', 'slow_orbit', 'meteor_path', 'night_rails', 'lodestar')
    visit '/classes/1'
    click_on 'Compare projects for this group'
    expect(page).to have_css('.choosing tbody tr', minimum: 1)
    expect(page).to have_no_css('[data-poll]', wait: Studios::PATIENCE)
    rows = all('.choosing tbody tr').size
    real = studio.projects.newest.count { |one| !one.design.test_piece }
    expect([rows, all('.choosing th b').first.text]).to eq([real, 'Night Page bookmark'])
    expect(find('.choosing tbody tr', text: 'Slow Orbit cuff')).to have_text('Not for Noor Bellweather').and have_text('EUR')
    expect(page).to be_axe_clean
    fill_in 'A seat costs at most', with: 'cheap'
    click_on 'Show these'
    expect(page).to have_text('Give an amount, such as 12.50').and have_field('A seat costs at most', with: 'cheap')
    fill_in 'A seat costs at most', with: '20'
    select 'up to 1', from: 'Level'
    find_button('Show these').send_keys(:enter)
    expect(page).to have_css('.choosing tbody tr', text: 'Meteor Path wrap').and have_css('.choosing tbody tr',
      count: 2).and have_text("#{rows - 2} projects do not pass the filters")
    click_on 'Make this: Meteor Path wrap'
    expect(page).to have_select('Project', selected: 'Meteor Path wrap')
  end

  # Six presses and fields: title, date, list, make, add, choose.
  it 'makes a class from a list of people, and lets the group choose the project' do
    open_studio
    leave_projects('night_page', 'evening_star')
    visit '/classes/new'
    fill_in 'Title', with: 'Winter evening'
    page.execute_script("document.getElementById('field-date').value = '2026-12-18'")
    fill_in 'People, if you have a list', with: "Name,Wrist,Level\nAda Wren,165,1\nBo Lark,18 cm,2"
    click_on 'Make the class'
    expect(page).to have_text('As understood').and have_text('Bo Lark')
    click_on 'Add 2 people'
    expect(page).to have_text('For 2 people, levels 1 to 2')
    expect(page).to have_no_css('[data-poll]', wait: Studios::PATIENCE)
    expect(page).to be_axe_clean
    find('.choosing tr', text: 'Night Page').find('button').click
    expect(page).to have_select('Project', selected: 'Night Page bookmark').and have_text('Ada Wren')
  end

  it 'compares for a usual group where nobody has signed up' do
    open_studio
    visit '/classes/3/projects'
    expect(page).to have_text('compared for 8 people of usual sizes').and have_css('.choosing tbody tr', minimum: 2)
  end
end
