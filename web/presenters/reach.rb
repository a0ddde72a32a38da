# frozen_string_literal: true

module Web
  module Presenters
    # Does it reach? What is left of someone's line on the way, against what is still to be made.
    class Reach < Form
      include Printing
      include OfClass

      # One line of one person's piece that is used up little by little.
      #
      # @param person [Core::Planning::PersonPlan] @param key names component and line
      Line = Core::Value.define(:person, :key, :cut)
      # What must be left on the way, for everyone.
      Row = Core::Value.define(:name, :number, :told)

      attr_reader :unit

      # @param result [Application::ClassResult]
      def initialize(result, params, unit)
        @result = result
        @unit = unit
        values = typed(params, %w[person line done left])
        @asked = params.key?('left')
        @line = lines.find { |one| one.person.attendee.key == values['person'] && one.key == values['line'] } ||
                lines.find { |one| one.person.attendee.key == values['person'] } || lines.first
        super(values, Contracts::ReachContract.new(number: @line ? @line.cut.worked.number : 2))
      end

      # @return [Boolean] whether nobody has a piece yet
      def nobody?
        @result.plan.people.none?(&:fitted?)
      end

      # @return [Boolean] whether any line is used up little by little
      def any?
        lines.any?
      end

      def error(name)
        super if @asked
      end

      # @return [Array<(String, String, Boolean)>] key, name, chosen
      def people
        lines.map { |one| one.person.attendee }.uniq.map { |one| [one.key, one.name, one.key == @line.person.attendee.key] }
      end

      # @return [Array<(String, String, Boolean)>] key, name, chosen
      def kinds
        lines.uniq(&:key).map { |one| [one.key, "#{one.cut.line.name}, #{units(one.cut)}", one.key == @line.key] }
      end

      def units(cut = @line.cut)
        say("reach_units.#{cut.worked.unit}")
      end

      def ends?
        @line.cut.worked.ends > 1
      end

      # @return [Core::Making::Reach, nil] nil until both are typed well
      def found
        @found ||= Core::Making::Reach.of(@line.cut, value(:done).to_i,
          Core::Measure::Length.parse(value(:left), default_unit: :mm)) if @asked && valid?
      end

      def status
        found.status
      end

      # @return [String] the answer
      def verdict
        Formats::ReachWords.verdict(found, @unit, units: units)
      end

      # @return [String] what each took against the plan
      def tension
        say('reach_answers.tension', used: fine(found.used), planned: fine(found.planned))
      end

      # @return [Array<Row>] for those who make the same with the same line
      def rows
        lines.select { |one| one.key == @line.key }.map do |one|
          number = one.cut.worked.number
          Row.new(name: one.person.attendee.name, number: number,
            told: one.cut.worked.on_the_way.map { |done| [done, length(one.cut.left_after(done))] })
        end
      end

      private

      def lines
        @lines ||= @result.plan.people.select(&:fitted?).flat_map do |person|
          person.piece.work_ups.flat_map { |component, made|
            made.cuts.select(&:worked).uniq(&:line).map { |cut| Line.new(person: person, key: "#{component}/#{cut.line.key}", cut: cut) }
          }
        end
      end
    end
  end
end
