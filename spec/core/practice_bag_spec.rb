# frozen_string_literal: true

RSpec.describe Core::Steps::PracticeBag do
  { 'crimp x 2' => [:crimp, 2, nil], 'Spacer bar × 3' => [:spacer_bar, 3, nil], 'line 200 mm' => [:line, 1, 200],
    'line 8 in' => [:line, 1, 203.2],
    'crimp' => nil, 'crimp x 0' => nil, 'line long' => nil, 'bead 200 mm' => nil, '' => nil }.each do |text, expected|
    it "reads #{text.inspect}" do
      found = described_class.read(text)
      expect(found && [found.kind, found.count, found.length&.to_mm]).to eq(expected)
    end
  end

  describe 'in a plan' do
    let(:table) {
      crimping = sample_table.techniques['flat_crimp'].with(practice: 'two on scrap', practice_minutes: 5,
        practice_takes: ['crimp x 2', 'line 200 mm', 'bead x 3', 'tape x 1', 'nonsense'])
      sample_table.with(techniques: sample_table.techniques.merge('flat_crimp' => crimping))
    }

    def plan(*people)
      Core::Planning::Plan.for(workshop: workshop, design: bracelet, attendees: people, table: table)
    end

    def crimps(person)
      person.needs.find { |need| need.part.key == 'crimp' }.count
    end

    it 'puts what practice takes into the bag of those who practise, and into what is needed, bought and cut, of kinds the piece has' do
      new, knows = plan(attendee(1, 170, level: 1), attendee(2, 170, level: 5)).people
      expect([crimps(new), crimps(knows)]).to eq([4, 2])
      expect(new.bead_count).to eq(knows.bead_count)
      expect([new, knows].map { |one| one.cuts.map { |cut| [cut.role, cut.length.to_mm] } })
        .to match([include([:practice, 200.0]), [[:strand, be > 200]]])
      both = plan(attendee(1, 170, level: 1), attendee(2, 170, level: 5))
      expect(both.needs.find { |need| need.part.key == 'crimp' }.count).to eq(6)
      expect(Core::Supply::StockDemand.of(both).parts.find { |wanted| wanted.part.key == 'crimp' }.used).to eq(6)
      expect(both.line_totals.values.first).to eq(Core::Measure::Length.sum(both.people.flat_map(&:cuts).map(&:total)))
    end

    it 'takes nothing where nothing is practised' do
      quiet = Core::Planning::Plan.for(workshop: workshop.with(teaching: Core::Setup::TeachingSettings.new(practice: false)),
        design: bracelet, attendees: [attendee(1, 170, level: 1)],
        table: table)
      expect([crimps(quiet.people.first), quiet.people.first.practice.parts]).to eq([2, []])
    end
  end
end
