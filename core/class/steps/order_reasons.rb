# frozen_string_literal: true

module Core
  module Steps
    # Why each step of an order stands where it does.
    class OrderReasons
      OF_SCHOOLS = { gentle: :easier_first, hardest: :harder_first, ends_early: :end_first, ends_late: :end_last }.freeze

      # @param rules [OrderRules] @param path [Array<Integer>] indexes of the steps in order
      def initialize(rules, path)
        @rules = rules
        @path = path
      end

      # @return [Array<StepOrder::Reason>]
      def all
        @path.each_index.map { |place| at(place) }
      end

      private

      def at(place)
        index = @path[place]
        return reason(:begins) if place.zero?
        return reason(:hung_last) if @rules.steps[index].last

        free = (@path.first(place).rindex { |other| @rules.needs[index][other] == 1 } || -1) + 1
        return reason(:follows, @path[place - 1]) if free == place

        between(@path[free...place], index, @path[place - 1])
      end

      # @param passed [Array<Integer>] what was put before this step though it need not wait for it
      def between(passed, index, before)
        other = against_school(passed, index)
        return reason(OF_SCHOOLS.fetch(@rules.school), other) if other
        return reason(:drying, before) if @rules.steps[before].waits.positive?

        rather = passed.find { |one| @rules.rather[index][one] == 1 }
        return reason(:rather_after, rather) if rather

        return reason(:same_place, before) if @rules.places[before] == @rules.places[index]

        same_tools?(before, index) ? reason(:same_tools, before) : reason(:as_declared)
      end

      # @return [Integer, nil] what stands before this step because the school wants it so
      def against_school(passed, index)
        case @rules.school
        when :gentle then passed.find { |other| @rules.levels[other] < @rules.levels[index] }
        when :hardest then passed.find { |other| @rules.levels[other] > @rules.levels[index] }
        when :ends_early then @rules.ends?(index) ? nil : passed.find { |other| @rules.ends?(other) }
        when :ends_late then @rules.ends?(index) ? passed.find { |other| !@rules.ends?(other) } : nil
        end
      end

      def same_tools?(before, index)
        @rules.held[index].any? && @rules.tools[before] == @rules.tools[index]
      end

      def reason(code, index = nil)
        StepOrder::Reason.new(code: code, step: index && @rules.steps[index])
      end
    end
  end
end
