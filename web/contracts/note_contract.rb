# frozen_string_literal: true

module Web
  module Contracts
    # What is noted of a class that was held.
    class NoteContract < Contract
      judges Core::Setup::Note

      option :currency
    end
  end
end
