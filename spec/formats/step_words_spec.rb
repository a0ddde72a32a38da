# frozen_string_literal: true

require_relative '../studio_helper'
require_relative '../support/kind_samples'

# Every sentence of every step: it names its parts, gives its numbers, and belongs to no other join.
RSpec.describe Formats::Wording do
  # Words that are missing, values that were not given, articles that stand twice.
  broken = /no words|%\{|  |\bthe \.|\b(a|the) (a|the)\b|#</
  let(:studio) { new_studio }
  let(:table) { studio.catalogue.table }
  let(:designs) { studio.projects.newest.map(&:design) }

  def pieces(design, tables = table)
    blueprint = Core::Sizing::Blueprint.new(design, tables)
    sizes = { wrist: [150, 190], neck: [380, 440], ankle: [220] }.fetch(design.body, [nil])
    sizes.map { |size| size ? blueprint.fit(mm(size), Core::Making::Maker.new, ease: design.added_ease) : blueprint.fit_usual }
      .grep(Core::Sizing::Piece)
  end

  it 'has words for each step of each demo project, with all their values, at more than one size' do
    said = designs.flat_map { |design| pieces(design).flat_map { |piece| piece.steps.map { |step| described_class.step(step) } } }
    expect(said.size).to be > 500
    expect(said.grep(broken)).to eq([])
    expect(said).to all(match(/[.!?]\z/))
  end

  it 'says what each cut is for' do
    own = KindSamples::ALL.flat_map { |kind, all| all.each_value.flat_map { |parameters| piece_of(kind, parameters).cuts.map(&:role) } }
    roles = (own + designs.flat_map { |design| pieces(design).flat_map { |piece| piece.cuts.map(&:role) } }).uniq
    expect(roles.map { |role| described_class.say("cut_uses.#{role}") }.grep(broken)).to eq([])
    expect(described_class.branch('cut_uses').keys - roles).to eq([])
  end

  # A cut that waits until the piece is done is worded by its own step, which must find the cuts in every kind of piece.
  it 'has words for each step of a class that works off the reel' do
    supply = Core::Setup::SupplySettings.new(off_reel: true)
    steps = designs.flat_map do |design|
      Core::Planning::Plan.for(workshop: workshop.with(supply: supply), design: design, attendees: [attendee(1, 165), attendee(2, 190)],
        table: table).people.flat_map(&:tasks).map(&:step).uniq(&:key)
    end
    expect(steps.count { |step| step.text == :worked_off_reel }).to be > 10
    expect(steps.map { |step| described_class.step(step) }.grep(broken)).to eq([])
  end

  it 'says no two joins of a piece in one sentence, and names what hangs in each ring' do
    designs.each do |design|
      joins = pieces(design).first&.steps.to_a.select { |step| step.text.to_s.start_with?('findings_join') }
      next if joins.empty?

      said = joins.map { |step| described_class.step(step) }
      hung = joins.map { |step| step.values[:hung].grep(Core::Catalogue::Part).all? { |part|
        described_class.step(step).include?(Formats::ItemNames.name(part)) } }
      places = joins.map { |step| [step.values[:ring].key, step.values[:hung].map(&:key).sort] }
      expect([design.key, said.uniq.size, hung.uniq]).to eq([design.key, places.uniq.size, [true]])
    end
  end

  # The ring of comet tail's clasp joins the soldered ring and the clasp; its line ends in the soldered ring.
  it 'names the parts of a bracelet as hands call them' do
    piece = pieces(designs.find { |design| design.key == 'comet_tail' }).first
    said = piece.steps.to_h { |step| [step.key, described_class.step(step)] }
    expect(said.fetch('clasp_end/join')).to eq('Twist the 5 mm opening ring open. Hang the 6 mm soldered ring and the 12 mm spring clasp ' \
                                               'in it. Twist it shut, a little past flush and back.')
    expect(said.fetch('front/first_end'))
      .to eq('First end: thread a 1.5 mm crimp tube, then the 6 mm soldered ring. Lead the 0.38 mm coated cable back through the ' \
             'crimp, beside itself. Draw it in until the loop is 3 mm wide and still moves, and flatten the crimp. Seen from its end, ' \
             'nothing of the crimp is hollow.')
    cut = piece.cuts.find { |one| one.role == :strand }.measured
    expect(said.fetch('front/cut_line')).to eq("Cut #{cut.to_mm.to_i} mm of 0.38 mm coated cable.")
  end

  # Two beads of one size are told apart by what follows the comma of their names.
  it 'tells apart parts that share size and kind' do
    names = Core::Making::ShortNames.new(%w[8_dusk 8_ember 6_rose].map { |key|
      part(key, 8).with(name: "#{key[0]} mm round, #{key[2..]} glass") })
    values = { bead: part('8_dusk', 8).with(name: '8 mm round, dusk glass'), other: part('6_rose', 8).with(name: '6 mm round, rose glass') }
    told = names.tell_apart(values)
    expect(told.transform_values { |item| Formats::ItemNames.name(item) }).to eq(bead: 'dusk glass 8 mm round', other: '6 mm round')
  end

  it 'counts what comes from the bag, and says what is on the piece as "the"' do
    round, disc = part('round', 8).with(name: '8 mm round'), part('disc', 2).with(name: 'Disc, 2 mm')
    ring = part('ring', 6, kind: :ring).with(name: '6 mm ring')
    expect(Formats::ItemNames.from_bag([round, disc, disc, round])).to eq('an 8 mm round, 2 × disc and an 8 mm round')
    expect(Formats::ItemNames.on_piece([ring, ring, disc])).to eq('both 6 mm rings and the disc')
    expect(Formats::ItemNames.on_piece([ring, disc], beside: ring)).to eq('the other 6 mm ring and the disc')
  end

  def piece_of(kind, parameters)
    full = KindSamples.table(self)
    fixed = Core::Construction::Kinds.fetch(kind).build(parameters, full).fill.nil?
    one = Core::Project::Component.new(key: 'one', construction: kind, parameters: parameters)
    blueprint = Core::Sizing::Blueprint.new(design(one, **(fixed ? { body: :own } : {})), full)
    fixed ? blueprint.fit_usual : blueprint.fit(mm(180), Core::Making::Maker.new)
  end

  def made(kind, parameters)
    piece_of(kind, parameters).steps
  end

  KindSamples::ALL.each do |kind, all|
    it "has words for each way of working a #{kind.to_s.tr('_', ' ')}" do
      said = all.each_value.flat_map { |parameters| made(kind, parameters).map { |step| described_class.step(step) } }
      expect(said.grep(broken)).to eq([])
    end
  end

  # A ring and a pendant that cannot open go into the eyes of a link before these are closed.
  def hung(stack, eye)
    whole = design(component('ring', :findings, parts: pattern('ring')),
      component('link', :wire_link, wire: 'wire_20', stack: pattern(*stack), first: eye, last: eye),
      component('charm', :findings, hung_at: 'link@last', parts: pattern('drop')), body: :own)
    Core::Sizing::Blueprint.new(whole, sample_table).fit_usual.steps
  end

  it 'hangs what cannot open in the eye that closes round it' do
    said = hung(%w[round_8], 'wrapped').to_h { |step| [step.key, described_class.step(step)] }
    expect(said.values_at('link/last_eye', 'link/first_eye'))
      .to match([/Hang the drop in it, and slide it/, /Hang the ring in it, and slide it/])
  end

  it 'keeps no words for a step that none of these makes' do
    linked = [[], %w[round_8]].product(%w[simple wrapped]).flat_map { |stack, eye| hung(stack, eye) }
    steps = linked + designs.flat_map { |one| pieces(one).flat_map(&:steps) } +
            KindSamples::ALL.flat_map { |kind, all| all.each_value.flat_map { |parameters| made(kind, parameters) } }
    read = steps.map { |step| described_class.send(:step_key, step).delete_prefix('steps.') }.uniq
    words = Dir[File.join(EagerBench::ROOT, 'core', 'piece', 'construction', 'kinds', '*.yml')].flat_map { |path|
      YAML.load_file(path).dig('en', 'steps').to_h.keys }
    # What hangs nothing here may hang something in a piece.
    expect(words - read - read.map { |key| key.delete_suffix('_alone') }).to eq([])
  end

  it 'reads the order of beads by the letters of the bag list, and by names where two parts share one' do
    bead = table.parts.each_value.first
    marks = { 'glass' => 'g', 'spacer' => 's', 'stone' => 's' }
    glass, spacer, stone = marks.map { |name, mark| bead.with(key: name, name: name, mark: mark) }
    said = ->(*beads) { Formats::ItemNames.order(beads) }
    expect(said.(*([glass, spacer] * 3), glass, glass, glass)).to eq('In order: g s, 3 times; 3 g.')
    expect(said.(glass, spacer, glass, spacer, stone, spacer, glass, spacer, glass))
      .to eq('In order: glass + spacer, 2 times; stone in the middle; then back the same way.')
  end
end
