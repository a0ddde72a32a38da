# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # What the class makes: everybody's piece on one scale.
      class Piece < Section
        include Drawn

        def design
          plan.design
        end

        # @return [Array<(String, String)>] key and name
        def projects
          @reading.projects.map { |saved| [saved.design.key, saved.design.name] }
        end

        # @return [Core::Project::Component, nil] the first whose construction has a centre
        def centred
          design.components.find { |component| Core::Construction::Registry.fetch(component.construction).parameters.key?(:centre) }
        end

        def centre_key
          centred&.parameters&.dig('centre', 0, 'part')
        end

        # @return [Array<Core::Catalogue::Part>]
        def beads
          table = @reading.catalogue
          [*table.offered(:parts).select(&:bead?), table.parts[centre_key]].compact.uniq(&:key)
        end

        # @return [Array<Core::PersonPlan>] everybody, or somebody of a usual size where nobody is there yet
        def shown
          people.empty? ? [plan.sample] : people
        end

        def shapes
          @shapes ||= Formats::SharedShapes.new('s')
        end

        def offers(person)
          Core::Sizing::NearerSizes.for(person.piece, @reading.catalogue)
        end
      end
    end
  end
end
