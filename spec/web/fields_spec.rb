# frozen_string_literal: true

require 'nokogiri'
require_relative '../web_helper'

# Bad input: a message at its field that says what to do, nothing saved, nothing lost that was typed.
RSpec.describe Web::App, 'fields', type: :request do
  good = {
    '/classes/1/settings' => { title: 'First light', date: '2026-12-03', start: '18:30', minutes: '120', venue: 'Hall', tool_sets: '10' },
    '/classes/1/session' => {
      demonstrations: 'together', assistants: '0', stagger: '0', break_at: '0', break_minutes: '10', late: '10', late_minutes: '5',
        assistant_hour: '20', tool_hire: '3', target: '90'
    },
    '/classes/1/people/1/needs' => { age: '', guardian: '', other_allergy: '' },
    '/classes/1/people/1/more' => { ease: '', tails: '' },
    '/classes/1/people/several' => { people: ['1'], level: '2', ease: '' },
    '/classes/1/people/assumed-size' => { assumed_size: '170 mm' },
    '/classes/1/people' => { name: 'New one', measure: '160 mm', body: 'wrist', level: '1' },
    '/stockroom/suppliers' => { name: 'Corner stall', delivery: '3', minimum: '0', days: '2' },
    '/stockroom/parts/round_8_smoke/offers' => { supplier: 'stall', amount: '50', unit: 'piece', price: '4.50' }
  }
  {
    '/classes/1/settings' => {
      title: ['', ' ', 'x' * 400],
      date: ['', 'tomorrow', '2026-02-30', '1999-01-01', '12.03.2026'],
      start: ['', '24:30', 'noon', '7 pm-ish'],
      minutes: ['', '0', '14', '721', 'two hours'],
      tool_sets: ['', '-1', '1.5', '9999']
    },
    '/classes/1/session' => {
      demonstrations: ['sometimes'],
      assistants: ['-1', 'two', '99'],
      break_at: ['130', '-5', 'x'],
      late: ['101', '-1'],
      target: %w[0 101 all],
      assistant_hour: ['-3', 'free']
    },
    '/classes/1/people/1/needs' => { age: ['-1', '200', 'nine'], guardian: ['x' * 2000] },
    '/classes/1/people/1/more' => { ease: ['-5 mm', 'wide', '2 m'] },
    '/classes/1/people/several' => { ease: ['soft', '3 m'] },
    '/classes/1/people/assumed-size' => { assumed_size: ['0', '-5 mm', '17-18 cm', '3 m', 'usual'] },
    '/classes/1/people' => { name: [''], measure: ['0', '-5', '17-18 cm', 'abc', '9 m'] },
    '/stockroom/suppliers' => { name: [''], delivery: ['-1', 'much'], minimum: ['-2'] },
    '/stockroom/parts/round_8_smoke/offers' => { amount: ['0', 'abc', '-1'], price: ['', '-1', 'cheap'] }
  }.each do |path, fields|
    fields.each do |field, values|
      values.each do |typed|
        it "answers #{typed[0, 20].inspect} as #{field} of #{path} at the field, and keeps it" do
          # Someone is not measured: the assumed size has a field then.
          studio.classes.edit(1, studio.classes.find(1).revision, 'x') { |state| state.replacing(state.attendee('2').with(measures: {})) }
          sent = good.fetch(path).merge(field => typed, revision: studio.classes.find(1).revision.to_s)
          expect { send_form(path, **sent) }.not_to(change { [studio.classes.find(1).state, studio.market.all] })
          expect(last_response.status).to eq(422)
          document = Nokogiri::HTML(page)
          errors = document.css('.field-error, .form-errors, [role=alert]').map { |node| node.text.strip }
          expect(errors).to include(match(/\b(?:Give|Choose|Shorten|Write|Tick|Did you mean|Measure|Say|believe|unit|has no|is not)\b/i))
          inputs = document.css("[name='#{field}'], [name='#{field}[]']")
          kept = inputs.map { |input| input['value'] || input.text } + inputs.css('option[selected]').map { |option| option['value'] }
          expect(kept).to include(typed) unless inputs.all? { |input| input.name == 'select' } || typed.strip.empty? || typed.size > 300
        end
      end
    end

    it "takes what is good for #{path}" do
      studio
      send_form(path, **good.fetch(path), revision: studio.classes.find(1).revision.to_s)
      expect(last_response.status).to eq(303)
    end
  end
end
