# frozen_string_literal: true

require_relative '../spec_helper'

# What one hand-made sample shows, against closed forms, by simulation, and in the plan that follows it.
RSpec.describe Core::Sampling do
  let(:table) { sample_table }
  let(:row) { bracelet(mirror: false, pattern: pattern({ fill: ['round_8'] })) }
  let(:front) { row.path.find { |one| one.construction == :strung }.key }
  let(:made) { Core::Sampling::MadeOnce.new(row, table, front) }

  def sample(**read)
    Core::Project::Sample.new(component: front, **read)
  end

  def expectation(what, expected, shares, noise)
    Core::Sampling::Expectation.new(what: what, expected: expected, shares: shares, noise: noise)
  end

  # One reading of one assumption: mean v j r / (v j² + s²), variance v s² / (v j² + s²) (conjugate normal, Bishop 2006,
  # section 2.3.6).
  [[0.025, 100.0, 1.0, 102.0], [0.12, 40.0, 3.0, 36.0], [0.2, 10.0, 20.0, 12.0]].each do |spread, share, noise, read|
    it "takes a reading of #{read} for #{share} in as the closed form does" do
      known = Core::Sampling::Belief.before({ size: spread }).after([[expectation(:length, share, { size: share }, noise), read]])
      variance = spread**2
      both = (variance * (share**2)) + (noise**2)
      expect(known.factor(:size) - 1).to be_within(1e-9).of(variance * share * (read - share) / both)
      expect(known.spread(:size)**2).to be_within(1e-12).of(variance * (noise**2) / both)
    end
  end

  # √(fixed² + (share × reading)²), by hand.
  { length: [80, 1.0770], used: [200, 3.6056], grams: [5, 0.0707], minutes: [10, 0.9434] }.each do |what, (reading, noise)|
    it "reads #{reading} of #{what} to within #{noise}" do
      expect(Core::Sampling::Expectation.of(what, reading.to_f, {}).noise).to be_within(1e-4).of(noise)
    end
  end

  it 'believes before it has measured what docs/sample.md says' do
    usual = Core::Sampling::Estimate::BEFORE
    told = "size #{usual[:size]} (tension #{Core::Sampling::Estimate::TENSION}), take #{usual[:take]}, weight #{usual[:weight]}, " \
           "pace #{usual[:pace]}, hand #{usual[:hand]}"
    matters = Core::Sampling::Estimate::MATTERS
    tolerances = "#{matters[:length].to_i} mm, #{matters[:used].to_i} mm, #{matters[:grams]} g, #{matters[:minutes].to_i} min"
    expect(File.read(File.join(EagerBench::ROOT, 'docs', 'sample.md'))).to include(told, tolerances)
  end

  # All that is cut but what hands hold, and the weight of all parts and of the line that stays.
  it 'counts the line and the weight of a whole braid' do
    braid = design(component('braid', :disc_braid, cord: 'cord', chart: { 'palette' => { 'A' => 'round_6' }, 'rows' => ['AAAAAAAA'] }))
    weighed = table.with(lines: table.lines.transform_values { |line| line.with(material: 'steel') },
      parts: table.parts.transform_values { |part| part.with(mass_mg: 100) })
    piece = Core::Sizing::Blueprint.new(braid, weighed).fit_usual
    told = Core::Sampling::MadeOnce.new(braid, weighed, 'braid').expectations(Core::Project::Sample.new(component: 'braid'))
    used = piece.cuts.sum { |cut| (cut.body + cut.consumption).to_mm.to_f * cut.count }
    beads = piece.parts.sum(&:count)
    expect(told[:used].expected).to be_within(1e-6).of(used)
    expect(told[:grams].expected).to be_within(1e-6).of((beads * 0.1) + (used * Math::PI / 4 * (1.5**2) * 7.9 / 1000))
  end

  # Truth drawn from the priors, readings with their noise: of ranges that hold 80 of 100, 75 to 85 do.
  it 'holds what is true in about 80 of 100 ranges, and comes nearer with more samples' do
    chance = Random.new(11)
    normal = -> { Math.sqrt(-2 * Math.log(1 - chance.rand)) * Math.cos(2 * Math::PI * chance.rand) }
    spreads = Core::Sampling::Estimate::BEFORE
    swatch, whole = made.expectations(sample(units: 8)), made.expectations(sample)
    inside = Hash.new(0)
    off = { 1 => 0.0, 2 => 0.0 }
    400.times do
      truth = spreads.transform_values { |spread| spread * normal.() }
      read = ->(one) { one.expected + one.shares.sum { |name, share| share * truth[name] } + (one.noise * normal.()) }
      beliefs = [[swatch], [swatch, whole]].map { |all|
        Core::Sampling::Belief.before(spreads).after(all.flat_map(&:values).map { |one| [one, read.(one)] })
      }
      %i[size weight pace].each { |name| inside[name] += 1 if (1 + truth[name]).between?(*beliefs.first.range(name)) }
      beliefs.each.with_index(1) { |belief, number| off[number] += (belief.factor(:size) - 1 - truth[:size]).abs }
    end
    expect(inside.values).to all(be_between(300, 340))
    expect(off[2]).to be < off[1]
  end

  # A bead of 8 mm: eight of them, and their line, in a row.
  it 'knows what one repeat is by two pieces that differ in their repeats' do
    expect(made.each.length).to be_within(0.01).of(8.0)
    expect(made.expectations(sample(units: 10))[:length].expected).to be_within(0.01).of(80.0)
    whole = made.expectations(sample)[:length]
    expect(whole.expected).to be_within(0.01).of(fit(row, 183).laid_flat.to_mm)
  end

  it 'says which assumption readings speak against, what is strange, and what to measure next' do
    design = row.with(samples: [sample(units: 20, length: mm(166), minutes: 2.0)])
    found = Core::Sampling::Estimate.new(design, table, front)
    expect(found.after.factor(:size)).to be_within(0.005).of(1.0375)
    expect([found.contradicted?(:size), found.informed]).to eq([true, %i[size pace]])
    odd = Core::Sampling::Estimate.new(row.with(samples: [sample(units: 20, length: mm(260))]), table, front)
    expect([found, odd].map { |one| one.readings.first.strange? }).to eq([false, true])
    expect(found.doubts(:length).then { |now, was| now < was / 2 }).to be(true)
    often = row.with(samples: [40, 60, 80].map { |units| sample(units: units, length: mm(units * 8.3)) })
    nexts = [found, Core::Sampling::Estimate.new(often, table, front)].map(&:most_telling)
    expect(nexts.map(&:what)).to eq(%i[length minutes])
  end

  it 'plans by what was measured: fewer beads, longer cuts, heavier, slower' do
    plain = plan_for(row, [attendee('1', 170)])
    shown = Core::Making::Measured.new(component: front, size: 1.1, take: 2.0, weight: 1.5, pace: 1.25)
    measured = plan_for(row.with(measured: [shown]), [attendee('1', 170)])
    beads = [plain, measured].map { |plan| plan.people.first.piece.repeats }
    expect(beads[1]).to be_between((beads[0] / 1.1).floor - 1, (beads[0] / 1.1).ceil)
    seconds = [plain, measured].map { |plan| plan.technique_of(plan.order.steps.first).seconds }
    expect(seconds[1]).to be_within(1e-9).of(seconds[0] * 1.25)
    consumed = [plain, measured].map { |plan| plan.people.first.piece.cuts.first.consumption.to_mm }
    expect(consumed[1]).to be_within(1e-6).of(consumed[0] * 2)
  end

  # What a row of so many flowers, rows or turns takes changes with how tight hands work, not with the beads.
  it 'leaves beads as they are where it depends on hands' do
    braid = design(component('braid', :disc_braid, cord: 'cord', chart: { 'palette' => { 'A' => 'round_6' }, 'rows' => ['AAAAAAAA'] }))
    shown = Core::Making::Measured.new(component: 'braid', size: 1.1)
    plain, tighter = [braid, braid.with(measured: [shown])].map { |one| fit(one, 170) }
    unit = [plain, tighter].map { |piece| piece.work_ups.fetch('braid').lengths.unit.to_mm.to_f }
    expect(unit[1] / unit[0]).to be_within(0.001).of(1.1)
    expect(tighter.parts.map { |use| use.part.along }.uniq).to eq(plain.parts.map { |use| use.part.along }.uniq)
  end
end
