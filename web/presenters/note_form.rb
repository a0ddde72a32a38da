# frozen_string_literal: true

module Web
  module Presenters
    # What an instructor notes of a class that was held. Only the fields that were sent are changed.
    class NoteForm < Form
      FIELDS = %i[taken remark ended unfinished].freeze

      def initialize(params, currency)
        @currency = currency
        @teaches = { '1' => true, '0' => false }[params['teaches']]
        super(sent(params, FIELDS), Contracts::NoteContract.new(currency: currency))
      end

      # @param state [Store::ClassState] @return [Store::ClassState]
      def apply(state)
        state.with(workshop: state.workshop.with(note: state.workshop.note.with(**changes)))
      end

      private

      def changes
        typed = values.keys.to_h { |name| [name.to_sym, read(name)] }
        @teaches.nil? ? typed : typed.merge(teaches: @teaches)
      end

      # Empty is not known.
      def read(name)
        text = value(name)
        return text if name == 'remark'
        return if text.empty?

        case name
        when 'taken' then Core::Money.parse(text, @currency).minor
        when 'ended' then Core::Measure::ClockTime.parse(text)
        else text.to_i
        end
      end
    end
  end
end
