# frozen_string_literal: true

module Web
  module Presenters
    # What an instructor notes of a class that was held. Only the fields that were sent are changed.
    class NoteForm < Form
      FIELDS = %i[taken remark].freeze

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
        { taken: (taken if values.key?('taken')), remark: values['remark'], teaches: @teaches }.select { |name, value|
          name == :taken ? values.key?('taken') : !value.nil?
        }
      end

      def taken
        Core::Money.parse(value(:taken), @currency).minor unless value(:taken).empty?
      end
    end
  end
end
