# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # Everyone's piece on one scale: shown when someone asks for it.
      class Pieces < Section
        include Drawn

        # @return [Array<Core::Planning::PersonPlan>] everyone, or someone of a usual size where nobody is there yet
        def shown
          people.empty? ? [plan.sample] : people
        end

        def shapes
          @shapes ||= Formats::SharedShapes.new('s')
        end

        def offers(person)
          Core::Sizing::NearerSizes.for(person.piece, person.additions(@reading.catalogue))
        end
      end
    end
  end
end
