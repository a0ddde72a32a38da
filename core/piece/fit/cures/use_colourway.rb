# frozen_string_literal: true

module Core
  module Fit
    module Cures
      # Another colourway for one person.
      class UseColourway < Cure
        code :use_colourway

        attr_reader :colourway

        def initialize(colourway)
          @colourway = colourway
          super(change: 0, colourway: colourway)
        end

        def apply_to_person(attendee)
          attendee.with(colourway: colourway)
        end

        def for_person?
          true
        end

        private

        def identity
          [colourway]
        end
      end
    end
  end
end
