# frozen_string_literal: true

require_relative '../browser_helper'

RSpec.describe 'The composer', type: :feature do
  def begin_with(name)
    open_studio
    visit '/projects'
    click_on "Change in the composer: #{name}"
    expect(page).to have_css('#compose-mat svg.piece')
  end

  def row
    all('#compose-patterns .strand')[1].all('.chip:not(.chip-start)').map(&:text)
  end

  def design
    @studio.drafts.find(1).design
  end

  def counts
    find('#compose-count .kit').text
  end

  it 'builds a new project with the mouse, saves it, and a class can make it' do
    open_studio
    visit '/projects/new'
    fill_in 'Name', with: 'Lunar Lace'
    click_on 'Open the composer'
    expect(page).to have_css('#compose-mat svg.piece')
    find('.palette-part', text: '12 mm round, moon').click
    expect(page).to have_css('.chip', text: '1 × M')
    click_on '+ more'
    expect(page).to have_css('.chip[aria-current]', text: '2 × M')
    find('.closure', text: 'Clasp and extender').click
    expect(page).to have_css('#compose-count .kit', text: 'extender chain')
    select 'folded crimp', from: 'How it is closed'
    expect(page).to have_css('#compose-strip .btn:not(:disabled)', text: 'Undo')
    click_on 'Save the project'
    expect(page).to have_text('saved as version 1').and have_text('Lunar Lace')
    visit '/classes/1'
    select 'Lunar Lace', from: 'Project'
    unfold('kit-fold')
    expect(page).to have_css('#mat .kit', text: '4 × 12 mm round, moon')
  end

  it 'does the same by keyboard: choose, move, count, group, fill, take out, undo' do
    begin_with 'Comet Tail bracelet'
    first = row
    find('#compose-patterns .chip', text: '2 × S').click
    expect(page).to have_css('.chip[aria-current]', text: '2 × S')
    { %i[shift arrow_left] => '2 × S', '+' => '3 × S', '-' => '2 × S' }.each do |keys, text|
      page.driver.browser.switch_to.active_element.send_keys(keys)
      expect(page).to have_css('.chip[aria-current]', text: text)
      page.document.synchronize(5, errors: [RSpec::Expectations::ExpectationNotMetError]) { expect(row).not_to eq(first) }
    end
    page.driver.browser.switch_to.active_element.send_keys('f')
    expect(page).to have_css('.group-fill .chip', text: '2 × S')
    page.driver.browser.switch_to.active_element.send_keys(:delete)
    expect(page).to have_no_css('.group-fill .chip', text: '2 × S')
    5.times { find('[data-undo]').click && expect(page).to(have_css('[data-redo]:not(:disabled)')) }
    expect(page).to have_css('[data-undo]:disabled')
    expect(row).to eq(first)
  end

  it 'carries an item with the pointer' do
    begin_with 'Comet Tail bracelet'
    from = find('#compose-patterns .chip', text: '2 × S').native
    to = all('#compose-patterns .strand')[1].all('.chip', text: '1 × s').first.native
    page.driver.browser.action.move_to(from).pointer_down(:left).move_by(-10, 0).move_to(to).pointer_up(:left).perform
    expect(page).to have_css('.group-fill .chip', text: '2 × S')
    expect(design.components[1].parameters['pattern'].first['repeat'].map { |item|
      item['part']
    }).to include('round_8_smoke')
  end

  it 'chooses on the drawing, replaces one item or all of its kind, also by dragging onto what is drawn' do
    begin_with 'Comet Tail bracelet'
    first('#compose-mat .handle[data-part="round_8_smoke"]').click
    expect(page).to have_css('.chip[aria-current]', text: '2 × S')
    choose 'replaces it'
    find('.palette-part', text: '8 mm round, dusk').click
    expect(page).to have_css('.chip[aria-current]', text: '2 × D')
    expect(page).to have_no_css('.handle[data-part="round_8_smoke"]')
    fill_in 'Find a part', with: 'ember'
    expect(page).to have_css('.palette-part', count: 1)
    from = find('.palette-part', text: '8 mm round, ember').native
    to = first('#compose-mat .handle[data-part="round_12_moon"] ellipse').native
    page.driver.browser.action.move_to(from).pointer_down(:left).move_by(-10, 0).move_to(to).pointer_up(:left).perform
    expect(page).to have_css('#compose-patterns .chip', text: '1 × E')
    # By the keyboard alone: the choice of what a press does, and the part.
    find('#compose-patterns .group-fill .chip', text: '1 × s').click
    expect(page).to have_css('.chip[aria-current]', text: '1 × s')
    fill_in 'Find a part', with: '4 mm spacer'
    find(:radio_button, 'replaces it').send_keys(:arrow_down)
    find('.palette-part', text: '4 mm spacer').send_keys(:enter)
    expect(page).to have_no_css('#compose-patterns .chip', text: '1 × s')
    parts = design.component('front').parameters['pattern'].to_s
    expect([parts.scan('spacer_4_pair').size, parts.scan('spacer_2_silver').size]).to eq([3, 0])
  end

  # Twelve interactions from nothing: two colours, and a pendant hung at the middle.
  it 'makes a bracelet of two colours with a pendant in a few presses, and all of it goes together' do
    open_studio
    visit '/projects'
    click_on 'New project'
    fill_in 'Name', with: 'Tide Mark'
    click_on 'Open the composer'
    find('#compose-patterns .group-fill .chip:not(.chip-group)').click
    find('.palette-part', text: '4 mm round, ice').click
    expect(page).to have_css('.group-fill .chip', text: '1 × I')
    choose 'hangs from a ring at the middle'
    find('.palette-part', text: '18 mm drop').click
    expect(page).to have_css('.handle[data-part="drop_18_star"]')
    expect(page).to have_no_css('#compose-strip .verdict', text: 'will not')
    click_on 'Save the project'
    hung = @studio.projects.find('tide_mark').design.hung
    expect(hung.map { |one| [one.hung_at, one.parameters['parts'].map { |part| part['part'] }] })
      .to eq([['strung@middle', %w[ring_5_open drop_18_star]]])
  end

  it 'draws at any size while the slider moves, without a reload' do
    begin_with 'Comet Tail bracelet'
    execute_script('window.kept = true')
    before = counts
    find('#size').send_keys(*([:arrow_right] * 30))
    expect(page).to have_css('label', text: '200 mm')
    expect([counts == before, evaluate_script('window.kept')]).to eq([false, true])
    select 'Wren Castellan, 132 mm', from: 'of-person'
    expect(page).to have_css('label', text: '132 mm')
  end

  it 'marks what cannot be built at its place, keeps what was typed, and saves only when it is mended' do
    begin_with 'Comet Tail bracelet'
    find_field('Strands alike').send_keys([:control, 'a'], '99', :tab)
    expect(page).to have_css('.field-error', text: 'from 1 to 7').and have_text('cannot be built yet')
    expect(find_field('Strands alike').value).to eq('99')
    click_on 'Save as a new version'
    expect(page).to have_text('Correct what is marked')
    find_field('Strands alike').send_keys([:control, 'a'], '1', :tab)
    expect(page).to have_css('#compose-mat svg.piece')
    find_field('Ease').send_keys([:control, 'a'], 'wide', :tab)
    expect(page).to have_text('Give an ease from 0 to 300 mm')
    expect(find_field('Ease').value).to eq('wide')
  end

  it 'saves a new version without changing a class already planned' do
    begin_with 'Comet Tail bracelet'
    find_field('Ease').send_keys([:control, 'a'], '25 mm', :tab)
    expect(page).to have_css('[data-undo]:not(:disabled)')
    click_on 'Save as a new version'
    expect(page).to have_text('saved as version 2')
    expect(plan_of(1).design.version).to eq(1)
    expect(@studio.projects.find('comet_tail').design.ease).to eq(mm(25))
  end

  it 'passes axe' do
    begin_with 'Pole Star pendant'
    expect(page).to be_axe_clean
    visit '/projects/new'
    expect(page).to be_axe_clean
  end
end

RSpec.describe 'The fit of a class', type: :feature do
  before { open_studio }

  let(:id) { @studio.classes.all.find { |klass| klass.state.workshop.title.start_with?('Eclipse') }.id }

  it 'pins each verdict where it lies, cures in one action and takes it back' do
    visit "/classes/#{id}"
    expect(page).to have_css('#mat .mark-will_not', minimum: 5).and have_css('.verdict', text: 'will not fit')
    before = all('#fit .fit').size
    click_on 'Use 3 mm crimp cover, silver tone for 2.2 mm crimp cover, silver tone'
    expect(page).to have_no_css('#fit .fit', text: '2.2 mm crimp cover').and have_css('#fit .fit', maximum: before - 1)
    press 'u'
    expect(page).to have_css('#fit .fit', text: '2.2 mm crimp cover')
  end

  it 'asks for a missing measure where it is missed' do
    parts = @studio.catalogue.table.parts
    @studio.catalogue.save(:parts, [parts['pearl_7_cream'].with(hole: nil)])
    visit "/classes/#{id}"
    fill_in 'Hole of 7 mm pearl, cream', with: '1.2 mm'
    within('#fit') { first('.cure button', text: 'Save').click }
    expect(page).to have_text('7 mm pearl, cream: entered').and have_no_field('Hole of 7 mm pearl, cream')
  end

  it 'gauges lines at the table, redrawn while it is asked' do
    visit '/fit-check'
    execute_script('window.kept = true')
    { 'Line' => '20 SWG', 'Hole or bore' => '1.5 mm' }.each { |field, text| fill_in field, with: "#{text}\t" }
    expect(page).to have_css('.gauge-verdict', text: 'It does not go through')
    select 'none: the hole above', from: 'part'
    fill_in 'Hole or bore', with: "2 mm\t"
    expect(page).to have_css('.gauge-verdict', text: 'It fits')
    expect([evaluate_script('window.kept'),
            page.current_url]).to match([true, a_string_including('hole=2+mm', 'line=20+SWG')])
  end
end
