# frozen_string_literal: true

require_relative '../studio_helper'

RSpec.describe Formats::StepFaults do
  let(:studio) { new_studio }
  let(:table) { studio.catalogue.table }
  let(:pieces) { studio.projects.newest.to_h { |saved| [saved.design.key, Core::Sizing::Blueprint.new(saved.design, table).fit_usual] } }

  def at(key, step_key)
    piece = pieces.fetch(key)
    step = piece.steps.find { |one| one.key == step_key }
    described_class.new(piece, piece.steps).at(step, table.technique(step.technique))
  end

  it 'reads each line, and tells until what is given by a step of the component' do
    lines = described_class.lines
    expect(lines.size).to be > 50
    expect(lines.values.flatten.map { |line| line.count('|') }.uniq).to eq([5])
    texts = pieces.values.grep(Core::Sizing::Piece).flat_map { |piece| piece.steps.map { |step| [piece, step] } }
    wanting = texts.flat_map do |piece, step|
      lines.fetch(step.text.to_s, []).filter_map { |line|
        fact = Core::Catalogue::Fault.read(line).cheap_until[described_class::FACT, 1] or next
        own = piece.steps.select { |other| other.component == step.component }
        [step.key, fact] unless own.any? { |other| other.gives.include?(fact.to_sym) }
      }
    end
    expect(wanting.uniq).to eq([])
  end

  it 'belongs to steps that exist' do
    kinds = Dir[File.join(EagerBench::ROOT, 'core', 'piece', 'construction', 'kinds', '*.yml')].map { |path| YAML.load_file(path)['en'] }
    steps = kinds.flat_map { |one| one['steps'].to_h.keys } + Formats::Wording.branch('steps').keys.map(&:to_s)
    expect(described_class.lines.keys - steps).to eq([])
  end

  # No crimp is cut off in an elastic, a flower or a braid.
  it 'says nothing of parts that the piece has not' do
    wrong = pieces.values.grep(Core::Sizing::Piece).flat_map do |piece|
      faults = described_class.new(piece)
      kinds = piece.parts.map { |use| use.part.kind } + piece.cuts.map { |cut| cut.line.kind }
      piece.steps.flat_map { |step| faults.at(step, table.technique(step.technique)) }
        .select { |fault| "#{fault.sign} #{fault.repair}".match?(/\bcrimps?\b/) && !kinds.include?(:crimp) }
    end
    expect(wrong).to eq([])
    expect(at('moonrise', 'ring/check_length').map(&:sign)).to eq(['Beads in the wrong order'])
    expect(at('comet_tail', 'front/check_length').map(&:sign)).to include('One bead short, found late')
  end

  it 'says before which numbered step a fault is still cheap' do
    piece = pieces.fetch('comet_tail')
    number = piece.steps.index { |step| step.key == 'front/second_end' } + 1
    expect(at('comet_tail', 'front/string').first.cheap_until).to eq("before step #{number}")
    step = piece.steps.find { |one| one.key == 'front/string' }
    expect(described_class.new(piece).at(step, nil).map(&:cheap_until)).to eq([''])
  end
end
