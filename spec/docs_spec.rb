# frozen_string_literal: true

require 'yaml'
require_relative 'web_helper'

# What the documents show is true: their examples are run as they stand there.
RSpec.describe 'The documents' do
  def text(name)
    File.read(File.join(EagerBench::ROOT, name))
  end

  def example(name, kind)
    text(name)[/^```#{kind}\n(.*?)^```$/m, 1]
  end

  def run(name)
    Object.class_eval(example(name, 'ruby'), name)
  end

  describe 'the construction worked in docs/constructions.md' do
    # The product's own kinds are read first, so that this one stays out of their list.
    before(:all) do
      Core::Construction::Kinds.all && run('docs/constructions.md')
      # Here its techniques stand on the page, not in a file beside it.
      told = Core::Catalogue::Teaching.parse(example('docs/constructions.md', 'yaml'))
      Core::Construction::Kinds::Garland.techniques.concat(told)
    end
    after(:all) { Core::Construction::Kinds.send(:remove_const, :Garland) }

    let(:klass) { Core::Construction::Kinds::Garland }
    let(:table) { sample_table.with(techniques: sample_table.techniques.merge(klass.techniques.to_h { |one| [one.key, one] })) }
    let(:beside) { YAML.safe_load(example('docs/constructions.md', 'yaml')) }
    let(:parameters) { beside['samples'].fetch('usual') }
    let(:work_up) { klass.build(parameters, table).call(target: mm(180), maker: Core::Making::Maker.new) }

    # 180 mm hold 22.5 beads of 8 mm: 22 or 23. Cord: the beads, two knots of 12 × 1.5 mm, two tails of 60 mm.
    it 'works up to whole beads, a cut that covers them, steps in order and a drawing of each bead' do
      beads = work_up.parts.sum(&:count)
      expect([22, 23]).to include(beads)
      expect(work_up.cuts.first.length).to eq(mm((beads * 8) + 36 + 120))
      expect(Core::Steps::StepOrder.of(work_up.steps_in_order, table).steps.map(&:key)).to eq(%w[cut first_knot string last_knot])
      expect(work_up.layout.count { |shape| shape.role == :bead }).to eq(beads)
      expect(Core::Measure::Length.sum(work_up.lengths.working.map(&:length))).to eq(work_up.lengths.beaded)
    end

    it 'has the words that it needs, and no others' do
      words = beside['en']
      expect(words['steps'].keys).to match_array(work_up.steps.map { |step| step.text.to_s })
      expect(words['constructions'].keys).to eq([klass.key.to_s])
      expect(beside['pictures'].keys).to eq(klass.techniques.map(&:key))
    end

    it 'says so of a pattern that cannot fill' do
      fixed = parameters.merge('pattern' => pattern('round_8'))
      expect { klass.build(fixed, table) }.to raise_error(Core::Making::InvalidParameters)
    end
  end

  describe 'the setting worked in docs/settings.md' do
    before(:all) { run('docs/settings.md') }
    after(:all) { Core::Setup.send(:remove_const, :TeaSettings) }

    let(:tea) { Core::Setup::TeaSettings }

    it 'is saved, published and judged as it is declared' do
      record = Core::Data::Record.of(tea)
      set = tea.new(cups: 12, herbal: true)
      expect([record.write(set), record.read(record.write(set))]).to eq([{ 'cups' => 12, 'herbal' => true }, set])
      expect(Formats::FieldSchema.schema(tea)['properties'].keys).to eq(%w[cups price herbal])
      declared = tea
      contract = Class.new(Web::Contracts::Contract) do
        judges declared
        option :currency
      end
      judged = contract.new(currency: 'EUR').call('cups' => '61', 'price' => '1.5', 'herbal' => '1').errors.to_h
      expect(judged).to eq(cups: ['Give a whole number from 0 to 60.'])
    end

    it 'has the words that its form needs, and no others' do
      words = YAML.safe_load(example('docs/settings.md', 'yaml')).dig('en', 'settings', 'tea')
      ways = tea.shown(:tea).select { |name| tea.field(name).type == :yes }.map { |name| "#{name}_ways" }
      expect(words.keys).to match_array(tea.shown(:tea).map(&:to_s) + ways)
    end
  end

  describe 'the rule worked in docs/fit.md' do
    before(:all) { Core::Fit::Rules.all && run('docs/fit.md') }
    after(:all) { Core::Fit::Rules.send(:remove_const, :BeadSwings) }

    # Thirty times 0.38 mm is 11.4 mm.
    { 'round_8' => :fits, 'round_12' => :tight }.each do |bead, status|
      it "answers #{status} for #{bead}, with words for it" do
        table = sample_table
        join = Core::Making::Join.new(kind: :lines_through, inner: table.line('cable'), outer: table.part(bead), at: 0.0)
        finding = Core::Fit::Rules::BeadSwings.new(table).call(join)
        expect(finding.status).to eq(status)
        expect(YAML.safe_load(example('docs/fit.md', 'yaml')).dig('en', 'fit')).to include(finding.code.to_s)
        expect(finding.cures.map { |cure| cure.key.to_s }).to all(match(/round/)) if status == :tight
      end
    end
  end

  it 'shows the lever of docs/levers.md as it stands in the product' do
    kinds = File.join(EagerBench::ROOT, 'core', 'class', 'levers', 'kinds')
    expect(example('docs/levers.md', 'ruby')).to eq(File.read(File.join(kinds, 'short_break.rb')))
    expect(example('docs/levers.md', 'yaml')).to eq(File.read(File.join(kinds, 'short_break.yml')))
  end

  # Each name of a folder or file that a document mentions stands in the tree.
  %w[README.md docs/architecture.md docs/constructions.md docs/fit.md docs/levers.md docs/session.md
     docs/settings.md].each do |name|
    it "names in #{name} only files that are there" do
      named = text(name).scan(%r{`((?:application|bench|bin|core|demo|docs|formats|spec|standins|store|web|wording)/[\w./-]*)`}).flatten
      missing = named.uniq.reject { |path| path.include?('garland') || Dir[File.join(EagerBench::ROOT, "#{path.split.first}*")].any? }
      expect(missing).to eq([])
    end

    it "links in #{name} to what is there" do
      links = text(name).scan(/\]\(([^)#]+)\)/).flatten.grep_v(/\Ahttp/)
      expect(links.reject { |link| File.exist?(File.join(EagerBench::ROOT, File.dirname(name), link)) }).to eq([])
    end
  end

  it 'gives the values from memory that a class is simulated with, before any class was held' do
    usual = Core::Setup::Calibration.new
    page = text('docs/session.md')
    expect(page).to include("quick #{usual.quick}, slow #{usual.slow} of the usual", "log2(#{usual.learning})",
      "up to #{(usual.help * 100).round} % more", "beyond #{usual.slow} times the usual time")
  end

  it 'has words for each rule, result and problem that the code names' do
    source = Dir[File.join(EagerBench::ROOT, 'core', '**', '*.rb')].to_h { |path| [path, File.read(path)] }
    problems = source.values.flat_map { |code| code.scan(/\bproblem\([^,]+, :(\w+)/).flatten.map { |code_name| "problems.#{code_name}" } }
    findings = source.select { |path, _|
      path.include?('/fit/rules/')
    }.values.flat_map { |code|
      code.scan(/found\(\w+, :\w+, :(\w+)/).flatten.map { |code_name|
        "fit.#{code_name}"
      }
    }
    rules = Core::Fit::Rules.keys.map { |key| "rules.#{key}" }
    wanted = [*problems, *findings, *rules, *Core::Construction::Kinds.keys.map { |key| "constructions.#{key}" }].uniq
    expect(wanted.size).to be > 60
    expect(wanted.reject { |key| Formats::Wording.words?(key) }).to eq([])
  end
end
