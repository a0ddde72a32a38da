# frozen_string_literal: true

require_relative '../browser_helper'

RSpec.describe 'Composing pieces made of pieces', type: :feature do
  def design
    @studio.drafts.find(1).design
  end

  def begin_with(key)
    open_studio
    visit "/drafts/#{@studio.drafts.begin(@studio.projects.find(key).design)}"
    expect(page).to have_css('#compose-mat svg.piece')
  end

  it 'makes a link first, strings it with the mouse, hangs a charm on every third item by key, and plans it' do
    begin_with 'evening_star'
    select 'bead on wire with eyes', from: 'Add a component'
    select 'made first, used like a part', from: 'where'
    click_on 'Add'
    expect(page).to have_css('#compose-palette legend', text: 'Made here')
    find('#compose-patterns .group-fill .chip:not(.chip-group)', match: :first).click
    find('#compose-palette .palette-part', text: 'wire link').click
    expect(page).to have_css('#compose-patterns .group-fill .chip', count: 4)
    find('#compose-patterns .group-fill .chip[aria-current]').click
    expect(page).to have_css(':focus.chip')
    page.driver.browser.switch_to.active_element.send_keys('h')
    expect(page).to have_css('#compose-patterns .component-1', text: 'hung on each')
    select 'every third one', from: 'Which'
    expect(page).to have_css('#compose-patterns .component-1', text: 'hung on every third one')
    fill = design.component('front').parameters['pattern'].find { |item| item['fill'] }['repeat'].map { |item| item['part'] }
    expect([fill.count('made:wire_link'), design.hung.first.hung_at]).to match([1, /\Afront\.pattern\.1\.1@every_3\z/])
    expect(page).to have_css('#compose-strip .btn-next', text: 'Save')
    click_on 'Save as a new version'
    expect(page).to have_text('is saved as version 2')
  end

  it 'paints a chart by mouse and by keyboard, undoes it, and keeps a chart that does not fit with what is wrong beside it' do
    begin_with 'aurora'
    rows = -> { design.component('braid').parameters['chart']['rows'] }
    choose 'B', allow_label_click: true
    find('[aria-label^="row 1, strand 1:"]').click
    expect(page).to have_css('[aria-label="row 1, strand 1: 8/0 seed bead, frost white"]')
    page.driver.browser.switch_to.active_element.send_keys(:arrow_down, :arrow_right, 'b')
    expect(page).to have_css('[aria-label="row 2, strand 2: 8/0 seed bead, frost white"]')
    expect(rows.call.first(2)).to eq(%w[BAAABBBB ABABBBBA])
    click_on 'Mirror all rows'
    expect(page).to have_css('.chart-cells tbody tr', count: 8)
    find('[data-undo]').click
    expect(page).to have_css('.chart-cells tbody tr', count: 4)
    select '12', from: 'Strands alike'
    expect(page).to have_css('.field-error', text: 'The chart has 8 strands, and the braid has 12')
    click_on 'Fit to the strands'
    expect(page).to have_no_css('.field-error')
    expect(rows.call.map(&:size).uniq).to eq([12])
  end

  it 'draws colourways side by side, and changes parts and lines of all of them in a grid' do
    begin_with 'evening_star'
    before = all('.colourway-row li').size
    find("#colourway-name-#{before - 1}").fill_in(with: 'Before dawn')
    find("[aria-label='8 mm round, dusk blue glass in the new colourway']").select('8 mm round, ember red glass')
    find("[aria-label='0.38 mm coated cable, 19 strands, grey in the new colourway']").select('0.30 mm coated cable, 7 strands, grey')
    click_on 'Save the colourways'
    expect(page).to have_css('.colourway-row li', count: before + 1, text: /./).and have_css('.colourway-row svg', count: before + 1)
    expect(design.colourways['Before dawn']).to eq('round_8_dusk' => 'round_8_ember', 'cable_038' => 'cable_030')
    select '2 mm disc spacer, silver tone', from: 'In every colourway'
    select '8/0 seed bead, ink', from: 'becomes'
    click_on 'Change it everywhere'
    expect(page).to have_css('#said', text: 'Saved')
    expect(design.colourways.values.map { |swaps| swaps['spacer_2_silver'] }.uniq).to eq(['seed_8_ink'])
    select 'Before dawn', from: 'Remove'
    click_on 'Remove it'
    expect(page).to have_css('.colourway-row li', count: before)
  end
end
