# frozen_string_literal: true

module Web
  module Presenters
    # One hand-made sample of a project: what was measured, what it shows, and what follows for all sizes.
    class Sample < Form
      include Printing

      C = Contracts::SampleContract
      # Whose minutes are shown.
      LEVELS = [1, 3, 5].freeze

      # What was read. words: of which sample
      ReadRow = Core::Value.define(:words, :read, :expected, :strange)
      # One assumption. status: :fits, :tight where samples speak against it
      Shown = Core::Value.define(:name, :status, :words)
      # One size, before and now
      SizeRow = Core::Value.define(:size, :before, :now)
      Cells = Core::Value.define(:repeats, :inside, :cut, :grams, :minutes)

      attr_reader :unit, :saved

      # @param library [Application::Library] @param saved [Store::Projects::Saved]
      def initialize(library, saved, params, unit, asked: false)
        @library = library
        @saved = saved
        @unit = unit
        @asked = asked
        super(typed(first_values.merge(params), %w[component what units worn length cut left grams minutes level note]),
          C.new(components: parts.map(&:key), repeats: parts.to_h { |one| [one.key, made(one.key).repeats?] }, sized: sized?))
        @errors = {} unless asked
      end

      def design
        saved.design
      end

      # See Paper.
      def paper_about
        design.name
      end

      def paper_back
        "/projects/#{design.key}/sample?component=#{component}"
      end

      # @return [Array<String>] what to write down of the next sample, as labels
      def blanks
        names = [:what, (:units if repeats?), (:worn if sized?), :length, :cut, :left, :grams, :minutes, :level, :note].compact
        names.map { |name| say("sample.fields.#{name}") }
      end

      # @return [Boolean] whether its whole piece is made to a size
      def sized?
        design.body != :own
      end

      # @return [String, nil] why nothing of it can be measured
      def problem
        say('sample.cannot_be_built') unless buildable?
      end

      # @return [Array<(String, String, Boolean)>] key, name, chosen
      def choices
        parts.map { |one| [one.key, "#{one.key.tr('_', ' ')}: #{construction_name(one)}", one.key == component] }
      end

      def component
        parts.map(&:key).find { |key| key == values['component'] } || parts.first&.key
      end

      def repeats?
        made(component).repeats?
      end

      # @return [String] what one repeat is planned to be
      def repeat_words
        each = made(component).each
        say('sample.repeat', length: mm(each.length), unit_name: say("sample.units.#{design.component(component).construction}"))
      end

      # @return [Core::Project::Design] with the sample that was typed
      def with_sample
        estimate(design.with(samples: [*design.samples, sample].freeze)).design
      end

      # @param number [Integer] which of the component's samples @return [Core::Project::Design]
      def without(number)
        gone = design.samples.select { |one| one.component == component }[number]
        left = design.samples.reject { |one| one.equal?(gone) }
        estimate(design.with(samples: left.freeze)).design
      end

      # @return [Array<(Integer, String)>] samples so far, with their place
      def samples
        estimate.samples.each_with_index.map { |one, number| [number, sample_words(one)] }
      end

      # @return [Array<ReadRow>]
      def readings
        estimate.readings.map do |one|
          ReadRow.new(words: say("sample.read.#{one.what}", made: made_words(one.sample)), read: value_words(one.what, one.read),
            expected: value_words(one.what, one.expected), strange: one.strange?)
        end
      end

      # @return [Array<Shown>] in the order of what is planned with them
      def shown
        %i[size take weight pace].map do |name|
          next Shown.new(name: name, status: :unknown, words: say("sample.#{kind(name)}.unknown")) unless estimate.informed.include?(name)

          against = estimate.contradicted?(name)
          Shown.new(name: name, status: against ? :tight : :fits, words: shown_words(name, against))
        end
      end

      # @return [String, nil] how far a piece of the usual size may still come out otherwise
      def doubt_words
        now, before = estimate.doubts(:length)
        say('sample.doubt', size: length(made(component).usual), now: mm(now), before: mm(before)) if now
      end

      # @return [String, nil]
      def next_words
        following = estimate.most_telling
        return if following.nil? || following.saves < 0.02

        thing = following.units ? say('sample.swatch_of', count: following.units) : say('sample.whole_piece')
        say("sample.next.#{following.what}", thing: thing)
      end

      # @return [Array<String>] how much goes on a gram, where grams and a length are known
      def by_gram
        each = made(component).each
        beads = each && (each.beads * estimate.after.factor(:weight))
        return [] unless beads&.positive? && each.length.positive? && bead_count.positive?

        [say('sample.by_gram', length: mm(each.length * estimate.after.factor(:size) / beads), beads: (bead_count / beads).round(1))]
      end

      def levels
        LEVELS
      end

      # @return [Array<SizeRow>]
      def sizes
        @sizes ||= Core::Sampling::SizeTable.measures(design).filter_map do |measure|
          before, now = [design.unmeasured, estimate.design].map { |one| size_table.row(one, measure) }
          SizeRow.new(size: measure ? length(measure) : say('sample.as_designed'), before: cells(before), now: cells(now)) if before && now
        end
      end

      private

      def first_values
        first = parts.first&.key
        { 'component' => first.to_s, 'what' => first && made(first).repeats? ? 'swatch' : 'whole', 'units' => '', 'level' => '3',
          'worn' => first && sized? ? length(made(first).usual) : '' }
      end

      def buildable?
        Core::Sizing::Blueprint.new(design, @library.table) && true
      rescue Core::Error
        false
      end

      # What repeats on the path first, then what else is made there.
      def parts
        @parts ||= begin
          made_here = buildable? ? design.path.reject { |one| one.construction == :findings } : []
          made_here.sort_by { |one| made(one.key).repeats? ? 0 : 1 }
        end
      end

      def made(key)
        @made ||= {}
        @made[key] ||= Core::Sampling::MadeOnce.new(design, @library.table, key, calibration: @library.calibration)
      end

      def estimate(given = design)
        @estimates ||= {}.compare_by_identity
        @estimates[given] ||= Core::Sampling::Estimate.new(given, @library.table, component, calibration: @library.calibration)
      end

      def construction_name(one)
        say("constructions.#{one.construction}")
      end

      # @return [Core::Project::Sample]
      def sample
        swatch = value(:what) == 'swatch'
        lengths = %i[worn length cut left].to_h { |name| [name, C.mm(value(name))&.then { |mm| Core::Measure::Length.mm(mm) }] }
        Core::Project::Sample.new(component: component, units: (value(:units).to_i if swatch), worn: (lengths[:worn] if !swatch && sized?),
          length: lengths[:length], used: lengths[:cut] && (lengths[:cut] - (lengths[:left] || Core::Measure::Length::ZERO)),
          grams: number(:grams), minutes: number(:minutes), level: value(:level).to_i, note: value(:note))
      end

      def number(name)
        value(name).tr(',', '.').to_f unless value(name).empty?
      end

      def size_table
        @size_table ||= Core::Sampling::SizeTable.new(@library.table, component, levels: LEVELS, date: @library.today,
          calibration: @library.calibration)
      end

      def cells(row)
        Cells.new(repeats: row.repeats, inside: length(row.inside), cut: row.cut ? length(row.cut) : '',
          grams: format('%.1f g', row.grams), minutes: row.minutes.map(&:round))
      end

      # @return [Float] beads in one repeat
      def bead_count
        @bead_count ||= made(component).beads_in_one
      end

      def mm(number)
        length(Core::Measure::Length.mm(number.round(1)))
      end

      def kind(name)
        name == :size && estimate.tension? ? 'tension' : name
      end

      def shown_words(name, against)
        factor = estimate.after.factor(name)
        low, high = estimate.after.range(name).map { |one| percent(one) }
        way = against ? (factor > 1 ? 'more' : 'less') : 'as_planned'
        range = say('sample.range', low: signed(low), high: signed(high))
        say("sample.#{kind(name)}.#{way}", by: format('%g', percent(factor).abs), range: range)
      end

      def percent(factor)
        ((factor - 1) * 100).round(1)
      end

      def value_words(what, number)
        case what
        when :grams then format('%.2f g', number)
        when :minutes then format('%.1f min', number)
        else mm(number)
        end
      end

      def made_words(one)
        one.units ? say('sample.swatch_of', count: one.units) : say('sample.whole_piece')
      end

      def sample_words(one)
        given = { length: one.length&.to_mm, used: one.used&.to_mm, grams: one.grams, minutes: one.minutes }.compact
        read = given.map { |what, number| "#{say("sample.short.#{what}")} #{value_words(what, number.to_f)}" }
        [made_words(one), *read, say('sample.by_level', level: one.level), (one.note unless one.note.empty?)].compact.join(' · ')
      end
    end
  end
end
