# frozen_string_literal: true

module Core
  module Ends
    # The steps that close an end of lines and finish it, in the words of its school: for who includes CrimpedEnds.
    module EndSteps
      # What hands do to the crimp.
      PRESSES = { rounded: :round, rounded_covered: :round, folded: :fold, folded_covered: :fold }.freeze

      # Until a glued knot can be handled; it cures overnight (from memory).
      GLUE_MINUTES = 10

      # Of a tail that hands push into a hole (from memory).
      TIP = Measure::Length.mm(3)

      private

      # @param ends [Integer] of lines @param needs [Symbol] what must be so before tails are snipped
      # @param which [Symbol, nil] :first where one of them is finished before the other is begun
      # @return [Array<StepUse>] what follows when the ends are closed
      def end_steps(made, ends, needs: :last_end, which: nil)
        glue = step('glue', 'gluing', ends, needs: [needs], gives: [:glued], waits: GLUE_MINUTES, cautions: %i[cement]) if way.glued
        open = snipped_inside?(made) ? [] : snipped_and_covered(trim_key(made), ends, needs, [which, ''].compact.join('_'))
        [glue, *open].compact.map { |one| one.with(text: :"ends_#{one.key.delete_prefix("#{which}_")}") }
      end

      # In a shell the tail is snipped before it is closed, where it does not go on through beads.
      def snipped_inside?(made)
        way.cover == :clamshell && made.sharing.zero?
      end

      # @param trim [String] key of the step that snips @param which [String] what stands before keys and facts
      def snipped_and_covered(trim, ends, needs, which)
        snipped = step(which + trim, 'trimming', ends, needs: [needs], gives: [:"#{which}snipped"], cautions: %i[cutting sharp_tails])
        return [snipped] unless way.cover == :cover

        covered = step("#{which}covers", 'crimp_cover', ends, optional: true, needs: [needs], gives: [:cover, :"#{which}covered"])
        return [covered, snipped.with(needs: [:"#{which}covered"], key: "#{which}trim_at_cover")] if snip == :at_cover

        [snipped, covered.with(needs: [:"#{which}snipped"])]
      end

      def trim_key(made)
        made.sharing.positive? ? 'bury_tails' : 'trim_tails'
      end

      # A step that closes ends, in the words of its school.
      # @param made [Making::LineEnd] @param through [Integer] beads that the tail is led on through in this step
      # @param bare [Boolean] whether the lines have no beads yet
      def closing(step, made, through: made.shared.size, bare: false)
        told = { hung: [], **step.values, press: PRESSES.fetch(school, :flatten), also: looks, past: outside,
          threaded: Making::FromBag.new(parts: [crimp, *outside].compact), drawn: guard ? :guard : :loop,
          through: (through if through.positive?), which: which_end(step), pushed: bare ? :line_ends : :beads }
        told = told.merge(tail: tail_left(made), also: looks + [:leave_tail]) if bare && made.sharing.positive?
        step.with(pictured: made, values: told.compact, text: shell_words || step.text,
          gives: step.gives | [:crimp, *closed_by(step)], shuts: bare ? step.shuts : step.shuts | [Making::Facts::LOOSE])
      end

      # @param step [Making::StepUse] that strings the row onto lines whose first end is closed
      # @return [Making::StepUse] where the tail goes into the beads that it shares as they come
      def over_tail(step, made)
        return step unless made.sharing.positive?

        step.with(values: step.values.merge(tail_beads: made.sharing, also: [:over_tail]))
      end

      # @return [Measure::Length] of a tail that goes into the beads that it shares
      def tail_left(made)
        Measure::Length.sum(made.shared.map(&:threaded)) + TIP
      end

      # @return [Symbol] what the step is called by: one end, the other, or each alike
      def which_end(step)
        %i[first second].find { |which| step.key.start_with?(which.to_s) } || :each
      end

      # @return [Array<Symbol>] the ends that it closes
      def closed_by(step)
        { first: %i[first_end], second: %i[last_end], each: %i[first_end last_end] }.fetch(which_end(step))
      end

      # A crimp in a shell is not seen again.
      def looks
        return [] if way.cover == :clamshell

        [:"look_#{PRESSES.fetch(school, :flatten)}", (:guard if guard), (:on_edge if school == :on_edge)].compact
      end

      # @return [Symbol, nil] wording key of an end in a shell, nil for others
      def shell_words
        return if way.cover != :clamshell
        return :ends_knot_in_shell unless way.crimped

        return :ends_straight_in_shell if lines_in == :straight

        tails == :trimmed ? :ends_crimp_in_shell : :ends_crimp_in_shell_buried
      end
    end
  end
end
