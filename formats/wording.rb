# frozen_string_literal: true

require 'i18n'
require 'yaml'

module Formats
  # The words for what the core says in codes: those of one construction, rule or lever beside it, all others in wording/.
  # No value may be called unit, which is how lengths among the values are printed.
  module Wording
    FILES = Dir[File.join(EagerBench::ROOT, '{wording,core}', '**', '*.yml')].freeze
    # What stands beside words in a file, such as samples, is no language.
    BACKEND = I18n::Backend::Simple.new.tap { |backend|
      FILES.each { |file| backend.store_translations(:en, YAML.safe_load_file(file, symbolize_names: true)[:en] || {}) }
    }

    # Names that the backend keeps for itself; no text may ask for them.
    RESERVED = I18n::RESERVED_KEYS

    # Movement that no hand could leave on purpose is not told.
    WORTH_SAYING = Core::Measure::Length.mm(0.5)

    module_function

    # @param key [String] dotted, below "en" @param unit [Symbol] for the lengths among the values
    # @raise [I18n::ArgumentError] never for a key the file holds; a missing key shows itself in the text
    def say(key, unit: :mm, **values)
      BACKEND.translate(:en, key, **values.except(*RESERVED).transform_values { |value| printed(value, unit) }).to_s
    rescue UncaughtThrowError, I18n::MissingTranslationData
      "(no words for #{key})"
    end

    # @return [Hash] all that stands below a key, as it is written
    def branch(key)
      BACKEND.translate(:en, key, default: {})
    end

    def words?(key)
      BACKEND.exists?(:en, key)
    end

    def problem(problem, unit: :mm)
      say("problems.#{problem.code}", unit: unit, **problem.values)
    end

    def verdict(verdict, unit: :mm)
      counted("verdicts.#{verdict.code}.#{words(verdict)}", verdict, unit)
    end

    # @param verdict [Core::Advice::Verdict] @return [String] in two or three words
    def short(verdict, unit: :mm)
      counted("short.#{verdict.code}.#{words(verdict)}", verdict, unit)
    end

    def step(step, unit: :mm)
      said = step_sentences(step, unit)
      said = say('steps.part_of', name: step.values[:part_of].tr('_', ' ').capitalize, said: going_on(said)) if step.values[:part_of]
      said = say('steps.alike', number: step.alike, said: going_on(said)) if step.alike > 1
      slack = step.values[:slack]
      most = slack.is_a?(Core::FromTo) ? slack.most : slack
      most && most > WORTH_SAYING ? "#{said} #{say('steps.leave_slack', unit: unit, slack: slack)}" : said
    end

    # @return [String] a sentence as it stands behind a colon
    def going_on(said)
      said.sub(/\A[A-Z](?=[a-z ])/, &:downcase)
    end

    # A step that hangs nothing has words of its own, where they differ; what else its kind of end asks for follows.
    def step_sentences(step, unit)
      values = { count: step.repeats / step.alike, on: '', **step.values }
      values[:on] = say('steps.led_on', count: values[:through]) if values[:through]
      values[:turned] = say("steps.turned.#{values.fetch(:turned_by, :full)}", count: values[:turned]) if values[:turned]
      values[:all_rows] = say("steps.all_rows.#{values[:rows] == 2 ? 'two' : 'more'}", rows: values[:rows]) if values[:rows]
      values[:jaw] = values[:jaw] ? say("steps.jaw.#{values[:jaw]}") : ''
      values[:past] = values[:past] ? say('steps.led_past', past: values[:past]) : ''
      %i[circle which pushed direction tip foot worked].each { |name| values[name] = say("steps.#{name}.#{values[name]}") if values[name] }
      values[:drawn] = say("steps.drawn.#{values[:drawn]}", unit: unit, loop: values[:loop]) if values[:drawn]
      values[:finished] = finished(values[:finished]) if values[:finished]
      lines, parts = hung(step)
      values.merge!(hung: ItemNames.on_piece(parts, beside: values[:ring]), around: lines.first) if values[:hung]
      [step_key(step), *step.values[:also].to_a.map { |more| "steps.also.#{more}" }].map { |key| say(key, unit: unit, **values) }.join(' ')
    end

    # @param hung [Array<(String, Symbol)>] names of components and where they hang @return [String] "pendant in the middle"
    def finished(hung)
      hung.map { |name, which| "#{name.tr('_', ' ')} #{say("steps.threaded_at.#{which}")}" }.join(', ')
    end

    # @return [String] of its first sentence
    def step_key(step)
      lines, parts = hung(step)
      special = (:alone if parts.empty?) || (:round_line if lines.any?)
      own = "steps.#{step.text}_#{special}"
      special && words?(own) ? own : "steps.#{step.text}"
    end

    # @return [(Array<Core::Catalogue::Line>, Array<Core::Catalogue::Part>)] what a step hangs
    def hung(step)
      step.values[:hung].to_a.partition { |item| item.is_a?(Core::Catalogue::Line) }
    end

    # @param numbers [Hash{Symbol=>Object}] what of a step is someone's own @return [String] "29 beads, 152 mm"
    def step_numbers(numbers, unit: :mm)
      numbers.map { |name, value|
        key = "step_numbers.#{name}"
        words?(key) ? say(key, unit: unit, value: value) : "#{name.to_s.tr('_', ' ')} #{printed(value, unit)}"
      }.join(', ')
    end

    # @param fault [Core::Catalogue::Fault] @return [String] what to look for, and what to do until when
    def fault(fault)
      return "#{fault.sign}." if fault.repair.empty?

      key = { '' => 'repair', 'never' => 'for_good' }.fetch(fault.cheap_until, 'cheap')
      say("faults.#{key}", sign: fault.sign, repair: fault.repair, until: fault.cheap_until)
    end

    # @param strand [Integer] @param runs [Array<(Core::Catalogue::Part, Integer)>] @return [String] "Strand 1: 3 i, 1 w"
    def loading(strand, runs)
      say('loading.strand', number: strand, runs: runs.map { |part, count| "#{count} #{part.mark}" }.join(', '))
    end

    # @param length [Core::Measure::Length] @param round [Boolean] whether it closes round a body
    # @return [String] "171 mm inside", or "50 mm long"
    def size(length, round:, unit: :mm)
      say("sizes.#{round ? 'round' : 'flat'}", unit: unit, size: length)
    end

    # @param piece [Core::Sizing::Piece] @return [String] inside where it closes round a body, else how long it is or how far it hangs
    def piece_size(piece, unit: :mm)
      return size(piece.inside, round: true, unit: unit) if piece.round

      piece.hanging ? say('sizes.hanging', unit: unit, size: piece.hanging) : size(piece.laid_flat, round: false, unit: unit)
    end

    # @param change [Core::Sizing::SizeAdjustment::Change]
    def try_on(change, unit: :mm)
      offer = change.offer
      way = change.by.positive? ? 'longer' : 'shorter'
      say("try_on.#{offer.up_to ? 'adjustable' : way}", unit: unit, by: change.by.abs,
        way: say("offers.#{offer.code}", unit: unit, repeats: offer.repeats, count: offer.count, part: offer.part&.name.to_s),
        comes_to: size(offer.inside, round: offer.round, unit: unit), from: offer.inside, up_to: offer.up_to || offer.inside)
    end

    def term(term, unit: :mm)
      say("terms.#{term.code}", unit: unit, **term.values)
    end

    # @param value [Numeric] minutes @return [String] in seconds where they are less than one
    def minutes(value)
      value < 1 ? "#{(value * 60).round} s" : "#{value.round} min"
    end

    # @param tools [Hash{String=>Integer}] how many of each one person holds @param table [Core::Catalogue::Table]
    def tools(tools, table)
      tools.map { |key, count| "#{"#{count} " if count > 1}#{table.tool(key).name.downcase}" }.join(', ')
    end

    # @param person [Core::Planning::PersonPlan] @return [Array<String>] what to look out for with them, beside the joins of their piece
    def care(person, unit: :mm)
      person.findings.select { |found| found.join.nil? && found.worth_a_look? }.map { |found| finding(found, unit: unit) }
    end

    # @param checked [Store::Backups::Checked] @param path [String] as it is told @return [String] what a copy of a studio holds, or lacks
    def copy(checked, path)
      say("copies.#{checked.status}", path: path, name: checked.name.to_s, classes: checked.classes,
        changed: checked.changed ? checked.changed.strftime('%-d %B %Y, %H:%M') : '')
    end

    # @param preview [Application::StudioMerge::Preview] @return [String] what one group of another studio's file would bring
    def merge(preview)
      group = say("merge.groups.#{preview.group}")
      return say("merge.refused.#{preview.refused}", group: group) if preview.refused

      say('merge.would', group: group, fresh: preview.fresh, alike: preview.alike, differing: preview.differing)
    end

    # @param use [Application::Removal::Use] @return [String]
    def use(use)
      say("uses.#{use.code}", name: use.name, count: use.count)
    end

    # @param piece [Core::Making::OutOfReach]
    def unfitted(piece, unit: :mm)
      [piece.causes.map { |c| cause(c, unit: unit) }, piece.cures.map { |c| cause(c, unit: unit) }.join(' ')].flatten.join(' ')
    end

    # @param finding [Core::Fit::Result]
    def finding(finding, unit: :mm)
      say("fit.#{finding.code}", unit: unit, **finding.values.transform_values { |v|
        v.is_a?(Core::Measure::Length) ? LengthPrint.fine(v, unit) : v
      })
    end

    def cure(cure, unit: :mm)
      say("cures.#{cure.code}", unit: unit, **cure.values)
    end

    def cause(cause, unit: :mm)
      say("causes.#{cause.code}", unit: unit, **cause.values)
    end

    # Some verdicts have words of their own beside their status.
    def words(verdict)
      verdict.values.fetch(:words, verdict.status)
    end

    def counted(key, verdict, unit)
      say(key, unit: unit, count: verdict.values.fetch(:number, 0), **verdict.values)
    end

    def printed(value, unit)
      case value
      when Core::Measure::Length then LengthPrint.call(value, unit)
      when Core::FromTo then say('from_to', least: printed(value.least, unit), most: printed(value.most, unit))
      when Float then value.round.to_s
      when Symbol then value.to_s.tr('_', ' ')
      when Integer, String then value
      when Core::Catalogue::Part, Core::Catalogue::Line then ItemNames.name(value)
      when Core::Making::FromBag then ItemNames.from_bag(value.parts)
      when Array then listed(value, unit)
      else value.to_s
      end
    end

    def listed(items, unit)
      return ItemNames.cuts(items) { |length| printed(length, unit) } if items.first.is_a?(Core::Making::Cut)

      ItemNames.on_piece(items.grep_v(Symbol))
    end
    private_class_method :words, :counted, :printed, :listed, :step_sentences, :step_key, :hung, :going_on
  end
end
