# frozen_string_literal: true

require_relative '../browser_helper'

RSpec.describe 'The class page', type: :feature do
  def cell(name, field)
    find("input[aria-label='#{field} of #{name}']")
  end

  # Types over what stands in a cell, and leaves it.
  def retype(cell, text)
    cell.send_keys([:control, 'a'], text, :tab)
  end

  it 'takes an instructor from an empty studio to a plan by keyboard alone' do
    open_studio(demo: false)
    visit '/'
    click_on_key 'New class'
    type 'First light'
    press :tab
    type '12032026'
    press :tab
    press :tab, :tab, :tab
    press :tab, 'C', :tab
    type 'Upper room'
    press :enter
    expect(page).to have_css('h1', text: 'First light').and have_text('No people yet')
    press 'n'
    expect(page).to have_css('h1', text: 'People for First light')
    paste "Who\tWrist\tLevel\tNotes\nIlse Marrow\t158\t1\t\n" \
          "Tomasz Okonjo\t7 1/2 in\t2\tleft-handed\nNoor Bellweather\t17,2\t2\tnickel allergy\n"
    press :tab, :tab, :enter
    expect(page).to have_text('Read as 158 mm').and have_text('Read as 172 mm')
    click_on_key 'Add 3 people'
    expect(page).to have_css('.place', count: 3).and have_css('#mat svg.piece')
    unfold('steps-fold')
    expect(page).to have_css('#steps tbody tr', minimum: 8).and have_text('left-handed')
    expect(@studio.classes.find(1).state.attendees.map { |a| a.measures[:wrist].to_mm }).to eq([158.0, 190.5, 172.0])
  end

  it 'fetches everyone’s piece when the fold is opened, and again when someone’s size changes' do
    open_studio
    visit '/classes/1'
    expect(page).to have_no_css('.pieces')
    find('#pieces-fold > summary').send_keys(:enter)
    expect(page).to have_css('.pieces li svg', count: 12)
    expect(page).to have_no_link('Show them').and be_axe_clean.within('#piece')
    before = find('.pieces li', text: 'Ilse Marrow').text
    find('[aria-label="Wrist of Ilse Marrow"]').set("190 mm\n")
    expect(page).to have_no_text(before)
    expect(page).to have_css('.pieces li', count: 12)
  end

  # Walks the focus to a link or button by Tab, and presses it.
  def click_on_key(label)
    80.times do
      press :tab
      return press(:enter) if evaluate_script('document.activeElement.innerText').include?(label)
    end
    raise "#{label} cannot be reached by Tab"
  end

  def paste(text)
    page.driver.browser.execute_cdp('Input.insertText', text: text)
  end

  # From an empty studio to handouts for fourteen: every click, choice and text counts as one.
  it 'takes a newcomer from an empty studio to printed handouts for a pasted list in few actions' do
    open_studio(demo: false)
    visit '/'
    people = (1..14).map { |i| "Person #{i},#{150 + (i * 3)},#{(i % 5) + 1},#{'left-handed' if i == 4}" }
    actions = [
      -> { click_on 'New class', match: :first }, -> { fill_in 'Title', with: 'First light' },
        -> { fill_in 'Date', with: Date.new(2026, 12, 3) },
      -> { select 'Evening Star bracelet', from: 'Project' }, -> { find('button.btn-next').click },
        -> { find('[data-next]', match: :first).click },
      -> { find('textarea').set(['Who,Wrist,Level,Notes', *people].join("\n")) }, -> { click_on 'Read the list' },
      -> { click_on 'Add 14 people' }, -> { find('.places-nav a', text: 'Evening').click }, -> { click_on 'Handouts' }
    ]
    actions.each(&:call)
    expect(page).to have_css('.handout', count: 14).and have_css('button[data-print]')
    expect(page).to have_css('svg.technique[aria-label*="for the left hand"]')
    expect(actions.size).to be <= 20
  end

  it 'redraws what a change touches, without a reload and without losing focus or scroll' do
    open_studio
    visit '/classes/1'
    execute_script('window.kept = true; document.getElementById("people").scrollIntoView()')
    scroll = evaluate_script('window.scrollY')
    before = find('#mat .mat-head').text
    retype(cell('Ilse Marrow', 'Wrist'), '205 mm')
    expect(page).to have_css('#bench .place', text: '205 mm')
    expect(find('#mat .mat-head').text).not_to eq(before)
    expect(evaluate_script('[window.kept, document.activeElement.id]')).to eq([true, 'person-1-level'])
    expect(evaluate_script('window.scrollY')).to be_within(2).of(scroll)
    select '16 × 12 mm oval, night blue stone', from: 'Centre'
    unfold('kit-fold')
    expect(page).to have_css('#mat .kit', text: '16 × 12 mm oval')
    expect(evaluate_script('window.kept')).to be(true)
    expect(page).to have_css('[data-undo]', text: 'Undo: project or centre')
    find('[data-undo]').click
    expect(page).to have_css('#mat .kit', text: 'moon white')
  end

  it 'marks a wrong cell, keeps what was typed there while other rows are saved' do
    open_studio
    visit '/classes/1'
    retype(cell('Ilse Marrow', 'Wrist'), '190 in')
    expect(page).to have_text('Did you mean 190 mm?')
    retype(cell('Tomasz Okonjo', 'Wrist'), '18 cm')
    expect(page).to have_css('.place', text: '180 mm')
    expect(cell('Ilse Marrow', 'Wrist').value).to eq('190 in')
    retype(cell('Ilse Marrow', 'Wrist'), '190 mm')
    expect(page).to have_no_text('Did you mean').and have_css('.place', text: '190 mm')
  end

  it 'tells a second tab, which can take its own or keep the other' do
    open_studio
    visit '/classes/1'
    other = open_new_window
    within_window(other) do
      visit '/classes/1'
      retype(cell('Ilse Marrow', 'Wrist'), '150 mm')
      expect(page).to have_css('.place', text: '150 mm')
    end
    retype(cell('Tomasz Okonjo', 'Wrist'), '188 mm')
    expect(page).to have_text('both changes are kept').and have_css('.place', text: '150 mm')
    within_window(other) {
      retype(cell('Tomasz Okonjo', 'Wrist'), '177 mm') && expect(page).to(have_text('Changed in two windows'))
    }
    within_window(other) do
      click_on 'Keep what I changed here'
      expect(page).to have_no_text('Changed in two windows').and have_css('.place', text: '177 mm')
      other.close
    end
  end

  it 'chooses a place by mouse and by key' do
    open_studio
    visit '/classes/1'
    find('.place', text: 'Marguerite').click
    expect(page).to have_css('#mat h3', text: 'Marguerite Oyelaran')
    press ']'
    expect(page).to have_css('#mat h3', text: 'Kasimir Thole')
    press '?'
    expect(page).to have_css('dialog[open]', text: 'Keys')
  end

  it 'adds and removes a person, and brings a removed class back' do
    open_studio
    visit '/classes/1'
    find('input[aria-label="Name of a new person"]').set('Vesna Holt')
    find('input[aria-label="Wrist of the new person"]').set("6 1/2 in\n")
    expect(page).to have_css('.place', count: 13).and have_css('.place', text: '165.1 mm')
    cell('Ilse Marrow', 'Wrist').send_keys(:enter)
    expect(page).to have_css('#said', text: 'Saved').and have_css('.place', count: 13)
    click_on 'Remove Ilse Marrow'
    expect(page).to have_css('.place', count: 12)
    find('#settings summary').click
    click_on 'Remove this class'
    expect(page).to have_text('is removed')
    click_on 'Undo'
    expect(page).to have_css('.place', count: 12)
  end

  # As the demo's class of twelve opens, its forecast known: no place is longer than three windows, and what stays in view stays low.
  it 'keeps each place within three windows, and its head low' do
    open_studio
    visit '/classes/1'
    click_on 'Work out the forecast' if page.has_button?('Work out the forecast', wait: 2)
    expect(page).to have_css('.ribbon-wrap', wait: Studios::PATIENCE).and have_no_css('.working-on', wait: Studios::PATIENCE)
    ['', '/kits', '/evening', '/afterwards'].each do |place|
      visit "/classes/1#{place}"
      expect([place, evaluate_script('document.documentElement.scrollHeight / 800')]).to match([place, be <= 3])
    end
    { 1280 => 96, 390 => 112 }.each do |width, most|
      Browser.size(page, width, width == 390 ? 844 : 800)
      visit '/classes/1'
      expect([width, evaluate_script("document.querySelector('#strip').getBoundingClientRect().height")]).to match([width, be <= most])
    end
  end

  it 'goes dark on every page, and light again' do
    open_studio
    visit '/'
    click_on 'Dark mode'
    expect(page).to have_css('html[data-bs-theme="dark"]')
    visit '/classes/4'
    expect(page).to have_css('html[data-bs-theme="dark"]')
    click_on 'Light mode'
    expect(page).to have_css('html[data-bs-theme="light"]').and have_current_path('/classes/4')
  end
end
