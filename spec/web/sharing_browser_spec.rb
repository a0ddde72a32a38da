# frozen_string_literal: true

require_relative '../browser_helper'

RSpec.describe 'A shared studio, in two browsers', type: :feature do
  before do
    open_studio(sharing: Web::Sharing.new(address: '0.0.0.0'))
    stub_const('BCrypt::Engine::DEFAULT_COST', BCrypt::Engine::MIN_COST)
    Web::SignInLimits::COUNTS.clear
    id = studio.accounts.add(login: 'ilse@example.org', name: 'Ilse Marrow', role: :owner)
    studio.database[:accounts].where(id: id).update(password_hash: BCrypt::Password.create('three moons over a hill', cost: 4))
  end

  def sign_in(address, password)
    visit '/'
    expect(page).to have_css('h1', text: 'Sign in')
    find_by_id('login').click
    type(address)
    press(:tab)
    type(password)
    press(:enter)
    expect(page).to have_css('header .account')
  end

  it 'lets the owner bring in someone, who sees what their role may see, from one moment to the next' do
    sign_in('ilse@example.org', 'three moons over a hill')
    expect(page).to have_css('h1', text: 'Classes')
    visit '/accounts'
    fill_in 'Name', with: 'Oru Tamsin'
    fill_in 'E-mail address', with: 'oru@example.org'
    find_by_id('role').select('viewer')
    click_button 'Add'
    link = find('.notice').text[%r{http://\S+}]
    expect(page).to have_css('th', text: 'Oru Tamsin')
    expect(page).to be_axe_clean

    Capybara.using_session(:oru) do
      Browser.size(page, 390, 844)
      visit link
      expect(page).to be_axe_clean
      fill_in 'Password', with: 'a wide quiet river'
      fill_in 'The same again', with: 'a wide quiet river'
      click_button 'Save'
      expect(page).to have_text('Your password is set')
      sign_in('oru@example.org', 'a wide quiet river')
      visit '/classes/1'
      expect(page).to have_text('change nothing').and have_css('fieldset[disabled]').and have_no_css('main form[method="post"]')
    end

    within('tr', text: 'Oru Tamsin') do
      find('select').select('helper')
      click_button 'Save'
    end
    expect(page).to have_css('td', text: 'Changed what an account may do')

    Capybara.using_session(:oru) do
      visit '/classes/1'
      expect(page).to have_text('Your account is for Live on the evening')
      visit '/'
      find('main a', match: :first).click
      expect(page).to have_button('Start the class')
      click_link 'Other classes'
      find('header').click_link('Oru Tamsin')
      click_button 'Sign out'
      expect(page).to have_text('You are signed out')
    end
  end
end
