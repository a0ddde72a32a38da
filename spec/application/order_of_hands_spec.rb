# frozen_string_literal: true

require_relative '../studio_helper'

# Orders that no maker would keep: over all demo projects, sizes and schools, and 500 of them with ends, tails and closures at random.
RSpec.describe Core::Steps::StepOrder do
  let(:studio) { new_studio }
  let(:table) { studio.catalogue.table }
  let(:designs) { studio.projects.newest.map(&:design) }

  def piece(design)
    Core::Sizing::Blueprint.new(design, table).fit_usual.then { |one| one if one.is_a?(Core::Sizing::Piece) }
  rescue Core::Making::InvalidParameters
    nil
  end

  def local(step)
    step.key.split('/')
  end

  # What is wrong with an order, by the rule it breaks (common practice, no source).
  def broken(steps)
    place = steps.each_with_index.to_h { |step, i| [step.key, i] }
    of = ->(step, *keys) { keys.filter_map { |key| place["#{local(step).first}/#{key}"] } }
    # Where one end is finished before the other is begun, its own is pressed.
    closings = ->(step) { local(step).last.start_with?('first_') ? of.(step, 'first_end') : of.(step, 'first_end', 'second_end', 'ends') }
    after = ->(step, others) { others.all? { |other| other < place[step.key] } }
    steps.filter_map do |step|
      looks = steps.select { |one| one.checkpoint && local(one).first == local(step).first && step.after.include?(one.key) }
      rule = if step.text.to_s.match?(/\Aends_(covers|trim_tails|bury_tails)/) && !after.(step, closings.(step))
               :covered_or_trimmed_before_it_is_pressed
             elsif step.waits.positive? && of.(step, 'check_length', 'try_on').any? && !after.(step, of.(step, 'check_length', 'try_on'))
               :glued_before_it_is_tried_on
             elsif step.key.end_with?('/second_end', '/close') && !after.(step, of.(step, 'check_length'))
               :closed_before_it_is_looked_at
             elsif step.preparable && local(step).last.start_with?('join') && step.values[:hung].to_a.any?(&:nil?)
               :prepared_with_nothing
             elsif looks.any? { |look| place[look.key] > place[step.key] }
               :looked_at_too_late
             end
      [step.key, rule] if rule
    end
  end

  # An ear wire would be in the way, and it is the last to be hung.
  def ear_wire_early?(steps)
    last = steps.index(&:last) or return false

    steps.drop(last + 1).any? { |step| !step.last && !step.after.include?(steps[last].key) }
  end

  def found(steps)
    Core::Setup::TeachingSettings.field(:school).of.flat_map do |school|
      order = described_class.of(steps, table, school: school).steps
      broken(order) + (ear_wire_early?(order) ? [[school, :ear_wire_early]] : [])
    end
  end

  it 'keeps to the order of hands in every demo project and every school' do
    wrong = designs.filter_map { |design| piece(design)&.then { |one| [design.key, found(one.steps)] } }.reject { |_, rules| rules.empty? }
    expect(wrong).to eq([])
  end

  it 'keeps to it with other ends, tails and closures' do
    random = Random.new(7)
    changes = { 'school' => %w[flat folded covered rounded], 'tails' => %w[trimmed buried], 'start' => %w[stopper first_end middle],
      'cover' => ['cover_3'], 'snug' => %w[tight_at_once tight_once_tried_on], 'closure' => %w[loop slider cord_ends] }
    tried = Array.new(500) do
      design = designs.sample(random: random)
      components = design.components.map do |one|
        known = Core::Construction::Kinds.fetch(one.construction).parameters.keys.map(&:to_s)
        name, values = changes.slice(*known).to_a.sample(random: random)
        name ? one.with(parameters: one.parameters.merge(name => values.sample(random: random))) : one
      end
      piece(design.with(components: components))
    end.compact
    expect(tried.size).to be > 300
    expect(tried.uniq { |one| one.steps.map(&:key) }.flat_map { |one| found(one.steps) }.uniq).to eq([])
  end

  it 'prepares alone what stands alone' do
    joined = designs.filter_map { |design| piece(design) }.flat_map do |one|
      one.steps.select { |step| step.preparable && step.values[:hung] }.flat_map do |step|
        own = one.work_ups.fetch(local(step).first).parts.map(&:part)
        step.values[:hung].reject { |item| own.include?(item) || own.any? { |part| part.key == item.key } }
          .map { |item| [step.key, item.name] }
      end
    end
    expect(joined).to eq([])
  end
end
