# frozen_string_literal: true

require 'pdf/reader'
require_relative '../studio_helper'

# What lies on the table beside the work, against the work itself.
RSpec.describe Formats::TableCards do
  # Plays one round of the disc: the left strand of the top pair goes to the left of the bottom pair, the right one of that to the right of
  # the top pair, then the next pair comes to the top (common practice, no source).
  def moved_in_order(pairs)
    disc = pairs.map { |pair| [pair.left, pair.right] }
    (0...disc.size).flat_map do |stop|
      top, bottom = stop, (stop + (disc.size / 2)) % disc.size
      down = disc[top].first
      up = disc[bottom].first
      disc[top] = [disc[top].last, up]
      disc[bottom] = [disc[bottom].last, down]
      [down, up]
    end
  end

  [8, 12, 16].each do |strands|
    it "numbers the #{strands} strands of a disc in the order in which they move" do
      start = Core::Making::DiscStart.new(strands: strands)
      expect(moved_in_order(start.pairs)).to eq((1..strands).to_a)
      expect(start.pairs.flat_map(&:slots).uniq.size).to eq(strands)
    end
  end

  # Between 32 and 1, and two slots free beside the dots at the sides (common practice, no source).
  it 'lays twelve strands two by two' do
    expect(Core::Making::DiscStart.new(strands: 12).pairs.map(&:slots))
      .to eq([[32, 1], [5, 6], [11, 12], [16, 17], [21, 22], [27, 28]])
  end

  context 'with the demo' do
    let(:studio) { new_studio }

    def cards_of(key, worn, **needs)
      saved = studio.projects.newest.find { |one| one.design.key == key }
      measures = saved.design.body == :own ? {} : { saved.design.body => mm(worn) }
      person = Core::People::Attendee.new(key: '1', name: 'Ilse & Co', level: 2, measures: measures,
        needs: Core::People::Needs.new(**needs))
      workshop = Core::Setup::Workshop.new(key: 'c', title: 'Cards', date: Date.new(2026, 12, 20),
        start: Core::Measure::ClockTime.parse('18:00'), minutes: 120, tool_sets: 1)
      @plan = Core::Planning::Inputs.new(workshop: workshop, design: saved.design, attendees: [person], table: studio.catalogue.table).plan
      described_class.new(@plan.people.first).cards
    end

    it 'shows each bead of each strand, and the disc mirrored for the left hand' do
      loading, disc = cards_of('aurora', 165, left_handed: true)
      beads = @plan.people.first.needs.find { |need| need.part.key == 'seed_8_ink' }
      expect(loading.svg.scan(/font-size="2.5"[^>]*>i</).size).to eq(beads.count)
      expect([disc.kind, disc.words[/right of the bottom pair/]]).to eq([:disc, 'right of the bottom pair'])
      places = [disc, cards_of('aurora', 165).last].map { |card| card.svg.scan(/<text x="(-?[\d.]+)" y="(-?[\d.]+)"[^>]*>(\d+)</) }
      expect(places[0]).to eq(places[1].map { |x, y, number| [Formats::PieceSvg::N.(-x.to_f), y, number] })
    end

    it 'shows each flower of a woven band by the letter of its petals, with a box each' do
      card = cards_of('wandering_stars', 171).find { |one| one.kind == :weave }
      flowers = @plan.people.first.tasks.find { |task| task.step.key == 'band/weave' }.step.values[:flowers]
      letters = card.svg.scan(/font-size="3"[^>]*>([^<]+)</).flatten
      expect([letters.size, card.svg.scan('h4.4v4.4h-4.4z').size, letters.uniq.size]).to eq([flowers, flowers, 2])
      # Two colours in turn, and as many petals of each as are in the bag.
      expect(letters.each_cons(2)).to all(satisfy { |one, other| one != other })
      petals = letters.tally.transform_values { |number| number * 6 }
      bag = @plan.people.first.needs.to_h { |need| [need.part.mark, need.count] }
      expect(petals.map { |letter, number| bag[letter] - number }).to all(be >= 0)
    end

    it 'has a box for each run of each petal, as many beads as are used' do
      card = cards_of('frost_star', nil).first
      runs = card.svg.scan(/Run \d+: (\d+) bead/).flatten.map(&:to_i)
      boxes = card.svg.scan('h6.6').size
      used = @plan.people.first.piece.parts.find { |use| use.role == :bead }.count
      expect([boxes, runs.sum * boxes / runs.size]).to eq([runs.size * 6, used])
    end

    it 'marks a line where its stations lie in the drawing, in pieces that fit on paper' do
      cards = cards_of('perseid', 400)
      piece = @plan.people.first.piece
      marked = piece.work_ups.values.flat_map { |work_up| work_up.cards.value }
      drawn = piece.work_ups.values.flat_map(&:layout).select { |shape| shape.role == :holder }.group_by(&:y).values
      expect(marked.map { |line| line.spans.map { |from, _| from.to_mm.round(2) } })
        .to eq(drawn.map { |holders| holders.each_slice(2).map { |first, _| (first.x - (first.along / 2)).round(2) } })
      ends = cards.first.svg.scan(/H([\d.]+)v/).flatten.map(&:to_f)
      expect(ends.sum - (ends.size * 10)).to be_within(0.1).of(marked.first.long.to_mm)
      expect(ends.max).to be <= Formats::TrueSize::Sheet::WIDEST
    end

    # What a maker must know of a step without its words: how many, how long, how thick.
    it 'leaves the numbers of a step where its words go' do
      cards_of('comet_tail', 165)
      steps = Formats::Handout.new(@plan, @plan.people.first, span: 240.0).blocks.select { |block| block.kind == :steps }.flat_map(&:items)
      told = steps.to_h { |step| [step.text[/\A\w+/], step.numbers] }
      expect([told['Cut'].first, told['String']]).to match([/\A\d+ mm\z/, [/\A\d+\z/, /\A\d+(\.\d)? mm\z/]])
      expect(steps.flat_map(&:numbers).grep(/[a-z]{3,}/)).to eq([])
    end

    it 'says nothing for a piece without them, and makes a PDF of all' do
      expect(cards_of('comet_tail', 165)).to eq([])
      cards_of('moth_garden', nil)
      words = PDF::Reader.new(StringIO.new(Formats::Pdf::Cards.new(@plan).render)).pages.map(&:text).join(' ')
      expect(words).to include('Ilse & Co', 'petals', 'leaves')
    end
  end
end
