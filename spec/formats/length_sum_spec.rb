# frozen_string_literal: true

require_relative '../spec_helper'
EagerBench.load(:formats)

RSpec.describe Formats::LengthSum do
  # What is shown, read back from the text by another way.
  def read(text)
    text.include?('in') ? text.delete_suffix(' in').split.sum(&:to_r) : text.delete_suffix(' mm').to_r
  end

  %i[mm in].each do |unit|
    it "adds up as shown in #{unit}, each at most one step from its own rounding" do
      rng = Random.new(5)
      200.times do
        parts = Array.new(rng.rand(2..7)) { Core::Measure::Length.new(rng.rand(0..90_000_000)) }
        total = Core::Measure::Length.sum(parts)
        shown = described_class.shown(parts, total, unit)
        expect(shown.sum { |length| read(Formats::LengthPrint.call(length, unit)) }).to eq(read(Formats::LengthPrint.call(total, unit)))
        expect(shown.zip(parts).map { |a, b| (a - b).abs }.max).to be <= described_class::GRID.fetch(unit)
      end
    end

    it "shows workings whose lines add up in #{unit}" do
      people = (1..24).map { |i| attendee(i, 131.3 + (i * 4.7)) }
      plan_for(bracelet(pattern: pattern('seed', { fill: %w[round_8 seed] }), centre: pattern('round_12')), people).people.each do |person|
        runs = described_class.working(person.working, unit).slice_after { |term, _| term.operation == :equals }.to_a
        said = runs.map { |run| run.map { |term, length| [term.operation, length && read(Formats::LengthPrint.call(length, unit))] } }
        start = 0
        said.each do |run|
          made = run.select { |operation, _| operation == :part }.sum(&:last)
          added = run[0...-1].sum { |operation, length| { start: 1, plus: 1, minus: -1 }.fetch(operation, 0) * length }
          expect(run.last.last).to eq(made.zero? ? start + added : made) if run.last.first == :equals
          start = run.last.last
        end
      end
    end
  end
end
