# frozen_string_literal: true

require_relative '../browser_helper'

RSpec.describe 'From plan to kits', type: :feature do
  it 'takes a class of twelve from the plan to order, cuts, bags, labels and handouts' do
    open_studio
    plan = plan_of(1)
    expect([plan.people.size,
            plan.people.map(&:measure).uniq.size >= 4,
            plan.people.map { |person|
              person.attendee.colourway
            }.uniq.size >= 3]).to eq([12, true, true])
    visit '/classes/1/kits'
    unfold('matrix-fold')
    select 'in each bag', from: 'Spares'
    expect(page).to have_css('#materials td.num b', text: /\A\+\d\d\z/)
    fill_in 'Kits for late sign-ups', with: '1'
    find_field('Kits for late sign-ups').send_keys(:tab)
    expect(page).to have_css('#materials .turn', text: 'Late sign-up 1')
    unfold('cuts-cable_038')
    expect(find('#cuts')).to have_text('Fewer new reels will not do').and have_css('svg.reel').and have_css('th', text: 'Late sign-up 1')
    price = find('#strip .verdict', text: 'a seat').text
    fill_in 'Venue, EUR', with: '100'
    find_field('Venue, EUR').send_keys(:tab)
    expect(page).to have_no_css('#strip .verdict', text: price).and have_css('#cost svg.curve')
    page.all('button', text: 'I have ordered this').size.times {
      first('button', text: 'I have ordered this').click && expect(page).to(have_text('on order'))
    }
    page.all('button', text: 'Put it on the shelf').size.times {
      first('button', text: 'Put it on the shelf').click && expect(page).to(have_text('for this class'))
    }
    expect(find('#materials')).to have_text('Nothing: the shelf and what is on order cover it')
    unfold('bags-fold')
    first('.pack-item').click
    expect(page).to have_css('.pack-item[aria-pressed="true"]', count: 1)
    first('button', text: 'Everything is in').click
    expect(page).to have_text('1 of 13 bags full')
    kits = Core::Supply::Kits.new(plan_of(1)).all
    studio.packing.mark(1, kits.drop(1).flat_map { |kit| kit.items.map { |item| [[kit.key, item.key], item.count] } }.to_h)
    visit current_path
    expect(page).to have_text('13 of 13 bags full')
    unfold('take-fold')
    click_on 'Take them now'
    expect(page).to have_text('These kits have left the stock')
    click_on 'Make the PDF'
    expect(page).to have_link('Open labels-first-light-comet-tail-2026-12-03.pdf')
    page.go_back
    click_on 'Send labels to the label printer'
    expect(page).to have_text('it made the file')
  end

  it 'reads a price list with the keyboard, and passes axe where some rows are doubtful' do
    open_studio
    visit '/stockroom/prices?supplier=post_findings'
    find_button('Try it with the made-up list').send_keys(:enter)
    expect(page).to have_text('Doubtful: 7, look at them')
    expect(page).to be_axe_clean
    find_button('Save these prices').send_keys(:enter)
    expect(page).to have_text('are entered')
  end
end
