# frozen_string_literal: true

require 'forwardable'

module Core
  module Planning
    # One attendee's part of a plan.
    #
    # @param own OwnPiece, what they make
    # @param needs [Materials::Need]
    # @param cuts [Cutting::CutNeed], both with what they practise with
    # @param practice Steps::PracticeBag, what of needs and cuts is for that
    # @param tools {tool key => held at once}
    # @param tasks [Steps::Task] in order
    # @param spared [(Making::StepUse, reason)], steps of the piece they do not do
    PersonPlan = Value.define(:own, :needs, :cuts, :tools, :tasks, spared: [].freeze, practice: nil) do
      extend Forwardable

      def_delegators :own, :attendee, :body, :piece, :measure, :ease, :assumed, :findings, :fitted?, :bead_count

      # @return [Array<Making::Term>] from the body measure to the finished size; empty when not fitted
      def working
        return [] unless fitted?

        [Making::Term.new(operation: :start, code: :"measure_#{body}", length: measure),
         Making::Term.new(operation: :plus, code: :ease, length: ease),
         Making::Term.new(operation: :equals, code: :worn, length: piece.worn),
         *piece.working.drop(1)]
      end

      # @param task [Steps::Task] one of theirs @return [Boolean] whether it is the first of its technique
      def first_of_technique?(task)
        tasks.find { |other| other.technique.key == task.technique.key }.equal?(task)
      end

      # @return [Boolean] whether something glued or cemented must cure before it is worn
      def cures?
        tasks.any? { |task| task.step.waits.positive? && (task.step.cautions + task.technique.cautions).include?(:cement) }
      end

      # @return [Array<Making::Threads>] the way of the thread, for work that has one
      def thread_ways
        piece.work_ups.values.filter_map { |work_up| work_up.threads&.value }
      end

      # @return [Array<(Integer, Array<(Catalogue::Part, Integer)>)>] strands with what is loaded on each
      def loading
        piece.work_ups.values.flat_map { |work_up| work_up.loading.value }
      end

      # @param table [Catalogue::Table] @return [Array<Sizing::SizeAdjustment::Change>] none for what has a size of its own
      def try_on(table)
        body == :own ? [] : Sizing::SizeAdjustment.changes(piece, additions(table))
      end

      # @param table [Catalogue::Table] @return [Array<Catalogue::Part>] what may be added to this piece, for this person
      def additions(table)
        Fit::Additions.for(piece, table, attendee)
      end

      # @return [Float] own working minutes, without waiting and demonstrations
      def working_minutes
        tasks.sum(&:minutes)
      end
    end
  end
end
