# frozen_string_literal: true

require_relative '../browser_helper'

RSpec.describe 'From plan to kits', type: :feature do
  it 'takes a class of twelve from the plan to order, cuts, bags, labels and handouts' do
    open_studio
    plan = @studio.plan(@studio.classes.find(1))
    expect([plan.people.size, plan.people.map(&:measure).uniq.size >= 4, plan.people.map { |person| person.attendee.colourway }.uniq.size >= 3]).to eq([12, true, true])
    visit '/classes/1'
    select 'in each bag', from: 'Spares'
    expect(page).to have_css('#materials td.num b', text: '+26')
    fill_in 'Kits for late sign-ups', with: '1'
    find_field('Kits for late sign-ups').send_keys(:tab)
    expect(page).to have_css('#materials .turn', text: 'Late sign-up 1').and have_css('#cuts th', text: 'Late sign-up 1')
    expect(find('#cuts')).to have_text('Proven: fewer new reels will not do').and have_css('svg.reel')
    price = find('#strip .verdict', text: 'a seat').text
    fill_in 'Venue, EUR', with: '100'
    find_field('Venue, EUR').send_keys(:tab)
    expect(page).to have_no_css('#strip .verdict', text: price).and have_css('#cost svg.curve')
    page.all('#materials button', text: 'It has arrived').size.times { first('#materials button', text: 'It has arrived').click }
    expect(find('#materials')).to have_text('Nothing: the shelf covers it')
    click_on 'Pack the kits'
    first('.pack-item').click
    expect(page).to have_css('.pack-item[aria-pressed="true"]', count: 1)
    first('button', text: 'All of it is in').click
    expect(page).to have_text('1 of 13 bags full')
    kits = Core::Supply::Kits.new(@studio.plan(@studio.classes.find(1))).all
    @studio.packing.mark(1, kits.drop(1).flat_map { |kit| kit.items.map { |item| [kit.key, item.key] } }, true)
    visit current_path
    expect(page).to have_text('13 of 13 bags full')
    click_on 'Take the kits and spares from the stock'
    expect(page).to have_text('These kits have left the stock')
    click_on 'Back to the class'
    click_on 'Make the PDF'
    expect(page).to have_link('Open handouts-1.pdf')
    page.go_back
    click_on 'Send labels to the label printer'
    expect(page).to have_text('The label printer made the file')
  end

  it 'reads a price list with the keyboard, and passes axe on each of these pages' do
    open_studio
    visit '/stockroom/prices?supplier=post_findings'
    find_button('Try it with the made-up list').send_keys(:enter)
    expect(page).to have_text('are doubtful: look at them')
    expect(page).to be_axe_clean
    find_button('Enter these prices').send_keys(:enter)
    expect(page).to have_text('are entered')
    ['/stockroom/suppliers', '/stockroom/parts/seed_11_mist/stock', '/stockroom/lines/cable_038/stock', '/classes/1/packing'].each do |path|
      visit path
      expect(page).to be_axe_clean
    end
  end
end
