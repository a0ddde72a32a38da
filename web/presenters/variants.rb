# frozen_string_literal: true

module Web
  module Presenters
    # Several versions of a class's project side by side: what is planned, and up to three others, each of one or two changes.
    class Variants
      include Printing
      include OfClass

      # One column. keys: of the changes it is made by · cells: what stands in each row, nil where nothing does
      Column = Core::Value.define(:title, :keys, :picture, :cells, :problem)

      SLOTS = %w[a b c].freeze
      CHANGES = 2
      ROWS = %i[chance end_by seat size minutes parts skills faults steps].freeze
      MOST_FAULTS = 3
      MOST_STEPS = 5

      attr_reader :unit

      # @param result [Application::ClassResult] @param stock [Core::Supply::Stock] free to the class
      # @param given [Hash{String=>String}] the chosen changes, such as "a1" => the key of a way
      def initialize(result, stock, given, unit)
        @result = result
        @stock = stock
        @given = given
        @unit = unit
      end

      def project
        @result.plan.design.name
      end

      def revision
        @result.revision
      end

      # @return [Boolean] whether nobody has a piece yet to try changes on
      def nobody?
        person.nil?
      end

      # @return [Hash{String=>String}] whom one can be taken for
      def people
        WayForm.people(@result.plan)
      end

      # @return [Boolean] whether there is anything to compare
      def any?
        ways.any?
      end

      # @return [Array<(String, Array<(String, String)>)>] each choice with its other ways: key and name
      def choices
        @choices ||= all.map do |choice|
          [choice_words(choice), choice.ways.reject(&:chosen).map { |way| [way.cure.key, way_words(choice, way)] }]
        end
      end

      # @return [Array<(String, String, String)>] name of each field, its label and what is chosen in it
      def fields
        SLOTS.flat_map { |slot|
          (1..CHANGES).map { |number|
            ["#{slot}#{number}", say("variants.change_#{number}", slot: slot.upcase), asked.dig(slot, number - 1).to_s]
          }
        }
      end

      # @return [Array<Symbol>]
      def rows
        ROWS
      end

      # @return [Array<Column>] the planned one first
      def columns
        @columns ||= [[], *asked.values.reject(&:empty?)].map { |keys| column(keys) }
      end

      private

      def all
        return [] if person.nil?

        @all ||= Core::Advice::Choices.new(@result.plan, @result.remedies, @result.library.calibration)
          .for(person.attendee) { |_, parameter| Formats::Wording.words?("choice_reasons.#{parameter}.label") }
      end

      # Who works it as it is planned for most shows what can be changed.
      def person
        fitted = @result.plan.people.select(&:fitted?)
        ways = @result.plan.own_ways
        fitted.find { |one| ways.for(one.attendee).empty? } || fitted.first
      end

      # @return [Hash{String=>(Choice, Way)}] by key
      def ways
        @ways ||= all.flat_map { |choice| choice.ways.reject(&:chosen).map { |way| [way.cure.key, [choice, way]] } }.to_h
      end

      # What is asked for; of nothing, the first other way of the first choices.
      # @return [Hash{String=>Array<String>}] slot => keys
      def asked
        @asked ||= begin
          given = SLOTS.to_h { |slot| [slot, (1..CHANGES).filter_map { |number| known(@given["#{slot}#{number}"]) }.uniq] }
          @given.empty? ? SLOTS.zip(proposed).to_h.transform_values(&:to_a) : given
        end
      end

      def known(key)
        key if ways.key?(key)
      end

      def proposed
        all.map { |choice| [choice.ways.reject(&:chosen).first.cure.key] }.first(SLOTS.size)
      end

      def column(keys)
        variant = Core::Comparison::Variant.of(@result.inputs, keys.map { |key| ways.fetch(key).last.cure }, @result.market, @stock)
        title = keys.empty? ? say('variants.planned') : keys.map { |key| way_words(*ways.fetch(key)) }.join(', ')
        return Column.new(title: title, keys: keys, picture: '', cells: {}, problem: say('variants.not_built')) unless variant.built?

        Column.new(title: title.sub(/\A./, &:upcase), keys: keys, picture: picture(variant), cells: cells(variant), problem: nil)
      end

      def picture(variant)
        shown = variant.plan.people.find(&:fitted?)&.piece or return ''
        Formats::WornSvg.new(shown, title: variant.design.name).to_s
      end

      def cells(variant)
        suits = variant.suits
        { chance: suits.chance && say('variants.chance', chance: (suits.chance * 100).round),
          end_by: suits.late_end && (@result.workshop.start + suits.late_end).to_s, seat: suits.seat&.to_s, size: size(variant),
          minutes: minutes(variant), parts: materials(variant), skills: skills(variant), faults: faults(variant), steps: steps(variant) }
      end

      def size(variant)
        off = variant.far_off
        told = off.empty? ? say('variants.all_near') : say('variants.far_off', count: off.size, names: off.first(3).join(', '))
        least, most = variant.larger.minmax
        return told if variant.cures.empty? || least.nil? || [least.abs, most.abs].max < Core::Measure::Length.mm(0.5)

        "#{told}; #{say('variants.larger', least: length(least, signed: true), most: length(most, signed: true))}"
      end

      def minutes(variant)
        least, most = variant.minutes.minmax
        least && (least.round == most.round ? "#{least.round} min" : say('variants.minutes', least: least.round, most: most.round))
      end

      def materials(variant)
        return say('variants.as_planned') if variant.cures.empty?

        parts = variant.parts.map { |part, more| "#{signed(more)} × #{Formats::ItemNames.name(part)}" }
        lines = variant.lines.reject { |_, more| more.abs < Core::Measure::Length.mm(1) }
          .map { |line, more| "#{length(more, signed: true)} #{Formats::ItemNames.name(line)}" }
        (parts + lines).empty? ? say('variants.same') : (parts + lines).join(', ')
      end

      def skills(variant)
        return variant.suits.techniques.size.to_s if variant.cures.empty?

        told = [(say('variants.fresh', names: names(variant.fresh)) if variant.fresh.any?),
                (say('variants.gone', names: names(variant.gone)) if variant.gone.any?)].compact
        told.empty? ? say('variants.same') : told.join(' ')
      end

      def names(techniques)
        techniques.map { |one| one.name.downcase }.join(', ')
      end

      def faults(variant)
        return say('variants.as_planned') if variant.cures.empty?

        told = variant.faults.first(MOST_FAULTS).map(&:sign)
        told.empty? ? say('variants.same') : "#{told.map { |sign| sign.chomp('.') }.join('; ')}."
      end

      def steps(variant)
        return @result.plan.order.steps.size.to_s if variant.cures.empty?

        come, go = variant.steps
        said = method(alike?(come, go) ? :step_words : :step_in_short)
        told = { '+' => come, "\u2212" => go }.flat_map { |sign, steps| steps.first(MOST_STEPS).map { |step| "#{sign} #{said.(step)}" } }
        told.empty? ? say('variants.same') : told.join(' ')
      end

      # @return [Boolean] whether the first sentences do not tell what comes from what goes
      def alike?(come, go)
        come.map { |step| step_in_short(step) }.intersect?(go.map { |step| step_in_short(step) })
      end

      # @return [String] with the component where the design has more than one like it
      def choice_words(choice)
        alike = @result.plan.design.components.count { |one| one.construction == choice.construction }
        "#{say("choice_reasons.#{choice.parameter}.label")}#{" (#{choice.component.tr('_', ' ')})" if alike > 1}"
      end

      def way_words(choice, way)
        say("choice_reasons.#{choice.parameter}.#{way.name}.name")
      end
    end
  end
end
