# frozen_string_literal: true

module Web
  module Presenters
    # How values are said on a page, for presenters that know the unit.
    module Printing
      SIGNS = { start: '', plus: '+', minus: "\u2212", times: "\u00d7", shared: "\u00f7", part: '+', equals: '=' }.freeze

      def length(value, signed: false)
        Formats::LengthPrint.call(value, unit, signed: signed)
      end

      # @param number [Numeric] @return [String] with its sign, also where it is above zero
      def signed(number)
        number.negative? ? "\u2212#{number.abs}" : "+#{number}"
      end

      # @param offer [Core::Sizing::NearerSizes::NearerSize] @return [String] how far it is from the wish, or its size where it meets it
      def offer_size(offer)
        return say('offers.range', from: offer.inside, to: offer.up_to) if offer.up_to

        offer.deviation.zero? ? length(offer.inside) : length(offer.deviation, signed: true)
      end

      # To the nearest hundredth, for what must fit.
      def fine(value, signed: false)
        Formats::LengthPrint.fine(value, unit, signed: signed)
      end

      def say(key, **values)
        Formats::Wording.say(key, unit: unit, **values)
      end

      # @param step [Core::Making::StepUse]
      def step_words(step)
        Formats::Wording.step(step, unit: unit)
      end

      # @return [String] what must be told apart at arm's length: its first sentence
      def step_in_short(step)
        words = step_words(step)
        words[/\A.*?[.](?=\s|\z)/] || words
      end

      # @param numbers [Hash{Core::People::Attendee=>Hash}] of a step that people differ in
      # @return [Array<(String, String)>] who has the same, and what it is, the least first
      def numbers_by_person(numbers)
        # Not everyone's step has all of the numbers: then there is no order.
        alike = numbers.group_by(&:last).sort { |one, other| (one.first.values <=> other.first.values) || 0 }
        alike.map { |own, same| [same.map { |attendee, _| attendee.name }.join(', '), Formats::Wording.step_numbers(own, unit: unit)] }
      end

      # @param fault [Core::Catalogue::Fault] @return [String] what to look for and what to do
      def fault_words(fault)
        Formats::Wording.fault(fault)
      end

      # @param change [Core::Sizing::SizeAdjustment::Change]
      def try_on_words(change)
        Formats::Wording.try_on(change, unit: unit)
      end

      # @param verdict [Core::Advice::Verdict]
      def verdict_words(verdict)
        Formats::Wording.verdict(verdict, unit: unit)
      end

      def short_words(verdict)
        Formats::Wording.short(verdict, unit: unit)
      end

      # @param finding [Core::Fit::Result]
      def finding_words(finding)
        Formats::Wording.finding(finding, unit: unit)
      end

      # @param piece [Core::Making::OutOfReach]
      def unfitted_words(piece)
        Formats::Wording.unfitted(piece, unit: unit)
      end

      def sign(term)
        SIGNS.fetch(term.operation)
      end

      def term_words(term)
        Formats::Wording.term(term, unit: unit)
      end

      # @return [String] a person's working on one line
      def working_line(person)
        shown_working(person).map { |term, shown| [sign(term), shown && length(shown), term_words(term)].compact.join(' ').strip }.join(' ')
      end

      # @return [Array<(Core::Making::Term, Core::Measure::Length)>] a working with its lengths as shown, which add up
      def shown_working(person)
        Formats::LengthSum.working(person.working, unit)
      end

      # @param piece [Core::Sizing::Piece] @return [String, nil] nil where nothing repeats
      def repeats_words(piece)
        count_of(piece.repeats, 'repeat') if piece.repeats.positive?
      end

      def minutes_text(value)
        return '' if value.nil?

        Formats::Wording.minutes(value)
      end

      def minutes(value)
        "#{value.round} min"
      end

      # @param share [Float] @return [Integer] of 100
      def hundredths(share)
        (share * 100).round
      end

      # @param one [Core::Comparison::Suitability] @return [String] what speaks for a project or against it, in a sentence
      def suits_words(one)
        say("suits.#{one.reason}", chance: hundredths(one.chance.to_f), target: one.target, names: some_names(one.unfitted),
          harmed: some_names(one.harmed.keys), unsure: some_names(one.unsure.keys),
          count: one.wrong, techniques: one.new_to_most.join(', '), problem: one.problem.to_s)
      end

      # @return [String] names, the first three of many
      def some_names(list)
        return '' if list.empty?

        return "#{list.first(3).join(', ')} and #{list.size - 3} more" if list.size > 3

        [list[0...-1].join(', '), list.last].reject(&:empty?).join(' and ')
      end

      # @return [String] "1 bead" or "3 beads"
      def count_of(number, one, many = "#{one}s")
        "#{number} #{number == 1 ? one : many}"
      end
    end
  end
end
