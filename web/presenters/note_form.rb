# frozen_string_literal: true

module Web
  module Presenters
    # What an instructor notes of a class that was held.
    class NoteForm < SettingsForm
      def initialize(params, currency)
        super(params, Core::Setup::Note, Contracts::NoteContract.new(currency: currency), currency: currency)
      end

      # @param state [Store::ClassState] @return [Store::ClassState]
      def apply(state)
        state.with(workshop: state.workshop.with(note: state.workshop.note.with(**changes)))
      end
    end
  end
end
