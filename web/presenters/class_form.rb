# frozen_string_literal: true

require 'date'

module Web
  module Presenters
    # The settings of a class. Only the fields that were sent are changed; all else of the class stays.
    class ClassForm < Form
      FIELDS = %i[title date start minutes venue tool_sets].freeze

      def initialize(params)
        super(sent(params, FIELDS), Contracts::ClassContract.new)
      end

      # @param state [Store::ClassState] @return [Store::ClassState]
      def apply(state)
        state.with(workshop: state.workshop.with(**changes))
      end

      private

      def changes
        values.keys.to_h { |name| [name.to_sym, read(name)] }
      end

      def read(name)
        case name
        when 'date' then Date.iso8601(value(name))
        when 'start' then Core::Measure::ClockTime.parse(value(name))
        when 'minutes', 'tool_sets' then value(name).to_i
        else value(name)
        end
      end
    end
  end
end
