# frozen_string_literal: true

module Web
  module Presenters
    # What the prints of a class show: the sections of its pages, and each person's own sheet.
    class Print < Sections::Section
      include Paper
      include Sections::Drawn

      # @param result [Application::ClassResult]
      # @param large [Boolean] whether all is printed large
      def initialize(result, unit:, seat:, large: false)
        @large = large
        @page = ClassPage.new(result, nil, unit: unit, seat: seat, place: ClassPage::PLACES.keys.first)
        @own = Application::TrackedResult.new(result, { unit: unit, seat: seat.empty? ? result.state.attendees.first&.key : seat })
        super(@own)
      end

      # @return [Array<Formats::Handout>] a sheet for each
      def handouts
        people.map { |person| Formats::Handout.new(plan, person, span: span, unit: unit) }
      end

      # @return [Boolean] whether a sheet is printed large: all are, or its reader sees little
      def large?(handout)
        @large || handout.large?
      end

      # @return [String, nil] a strip to measure with; nil where nothing of a body is measured
      def strip
        body = plan.design.body
        Formats::TrueSize::StripSvg.new(body).to_s if Formats::TrueSize::StripSvg.for?(body)
      end

      def body_words
        say("strip.body.#{plan.design.body}")
      end

      # @return [String, nil] nil where nothing is held against it
      def gauge_card
        piece = plan.sample.piece
        card = Formats::TrueSize::GaugeCardSvg.new(piece, unit: unit) if piece.is_a?(Core::Sizing::Piece)
        card.to_s unless card.nil? || card.empty?
      end

      # @return [Array<String>] one for each bent form
      def peg_boards
        piece = plan.sample.piece
        return [] unless piece.is_a?(Core::Sizing::Piece)

        piece.steps.map(&:pictured).grep(Core::Making::PegBoard).uniq.map { |board| Formats::PegBoardSvg.new(board).to_s }
      end

      # One step for the wall. about, shown: by the clock, nil while that is being worked out · picture: its technique, or the
      # piece after it
      BoardStep = Core::Value.define(:number, :technique, :words, :checkpoint, :about, :shown, :picture)

      # @return [Array<BoardStep>] the steps of the class, large
      def board
        sheet = section('run_sheet')
        steps = plan.order.steps
        first = steps.group_by { |step| plan.technique_of(step) }.transform_values(&:first)
        states = board_states(steps)
        steps.each_with_index.map do |step, i|
          technique = plan.technique_of(step)
          BoardStep.new(number: i + 1, technique: technique.name, words: step_in_short(step), checkpoint: step.checkpoint,
            about: sheet.about(step: step), shown: (sheet.about(technique: technique) if first[technique].equal?(step)),
            picture: states[i] || (Formats::TechniqueSvg.new(technique).to_s if Formats::TechniqueSvg.drawn?(technique.key)))
        end
      end

      # @return [Array<(Core::Planning::PersonPlan, Array<Formats::TableCards::Card>)>] of who has any
      def table_cards
        people.map { |person| [person, Formats::TableCards.new(person, unit: unit).cards] }.reject { |_, cards| cards.empty? }
      end

      # @param name [String] @return [Sections::Section]
      def section(name)
        @page.presenter(name, @own)
      end

      def verdicts
        @own.verdicts
      end

      # @return [String] the line below the title
      def about
        [plan.design.name,
         workshop.date.strftime('%A %-d %B %Y'),
         "#{workshop.start}\u2013#{workshop.ends}",
         (workshop.venue unless workshop.venue.empty?),
         count_of(people.size, 'person', 'people')].compact.join(' · ')
      end

      def person_words(person)
        body = plan.design.body unless plan.design.body == :own
        size = [body, length(person.measure), ('(assumed)' if person.assumed)].compact.join(' ') if person.measure
        [size, person.attendee.colourway].compact.join(' · ')
      end

      # @return [Array<String>] what to look out for with one person
      def care_words(person)
        Formats::Wording.care(person, unit: unit)
      end

      # @return [Array<String>] flags and notes of one person
      def notes_of(attendee)
        needs = attendee.needs
        [*attendee.flags.map { |flag|
          flag == :other_allergy ? "allergic: #{needs.other_allergy}" : say("flags.#{flag}")
        },
         ("age #{needs.age}" if needs.age),
         ("with #{needs.guardian}" unless needs.guardian.empty?),
         (attendee.notes unless attendee.notes.empty?)].compact
      end

      # @return [Array<String>] what is in one bag
      def bag(person)
        person.needs.map { |need| "#{need.count} × #{need.part.name} (#{need.part.mark})" } + person.cuts.map { |cut|
          "#{cut.count} × #{length(cut.length)} #{cut.line.name}"
        }
      end

      # @return [String, nil] from when it may be worn, where something must cure first
      def wear_words(person)
        say('wear_from', date: (workshop.date + 1).strftime('%A %-d %B')) if person.cures?
      end

      # @return [Array<Core::Supply::Kits::Kit>]
      def kits
        Core::Supply::Kits.new(plan).all
      end

      private

      # @return [Array<String, nil>] the first person's piece after each step
      def board_states(steps)
        piece = (people.find(&:fitted?) || plan.sample).piece
        return [] unless piece.is_a?(Core::Sizing::Piece)

        states = Core::Sizing::WorkState.new(piece, steps)
        steps.map do |step|
          moment = states.after(step)
          moment && Formats::StateSvg.new(moment, title: "After: #{step_in_short(step)}").to_s
        end
      end
    end
  end
end
