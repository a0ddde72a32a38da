# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # Where makers part ways, with what each way changes for the person who is chosen: worked out when someone asks for it.
      class Choices < Section
        include Drawn

        # @return [Core::Planning::PersonPlan, nil]
        def person
          chosen&.fitted? ? chosen : fitted.first
        end

        # @return [Array<Core::Advice::Choices::Choice>]
        def all
          return [] if person.nil?

          @all ||= Core::Advice::Choices.new(plan, @reading.remedies, @reading.calibration).for(person.attendee) { |_, parameter|
            Formats::Wording.words?("choice_reasons.#{parameter}.label") }
        end

        # @return [Hash{String=>String}] whom a way can be chosen for
        def whom
          WayForm.people(plan)
        end

        # @return [String] with the component where the design has more than one like it
        def label(choice)
          alike = plan.design.components.count { |one| one.construction == choice.construction }
          "#{say("choice_reasons.#{choice.parameter}.label")}#{" (#{choice.component.tr('_', ' ')})" if alike > 1}"
        end

        # @param about [Symbol] :name, :why or :fails
        def words(choice, way, about)
          say("choice_reasons.#{choice.parameter}.#{way.name}.#{about}")
        end

        # @return [String] what would be different for the person
        def changes(way)
          said = [size(way), minutes(way), *materials(way), (fresh(way) if way.fresh.any?)].compact
          said.empty? ? say('way_changes.nothing') : said.join(', ')
        end

        # @return [Array<String>] what would not go together
        def wrong(way)
          way.wrong.map { |result| finding_words(result) }
        end

        private

        def size(way)
          return if way.inside.abs < WORTH_TELLING

          say("way_changes.#{way.inside.positive? ? 'larger' : 'smaller'}", by: way.inside.abs)
        end

        def minutes(way)
          whole = way.minutes.round
          say("way_changes.#{whole.positive? ? 'longer' : 'shorter'}", count: whole.abs) unless whole.zero?
        end

        def materials(way)
          parts = way.parts.map do |part, more|
            say("way_changes.#{more.positive? ? 'more' : 'fewer'}", count: more.abs, item: item_name(part))
          end
          lines = way.lines.reject { |_, more| more.abs < WORTH_TELLING }
          cut = lines.map do |line, more|
            say("way_changes.#{more.positive? ? 'more_line' : 'less_line'}", length: more.abs, item: item_name(line))
          end
          parts + cut
        end

        def fresh(way)
          say('way_changes.fresh', techniques: way.fresh.map { |one| one.name.downcase }.join(', '))
        end

        def item_name(item)
          Formats::ItemNames.name(item)
        end

        # Below that nobody measures a difference (from memory).
        WORTH_TELLING = Core::Measure::Length.mm(0.5)
      end
    end
  end
end
