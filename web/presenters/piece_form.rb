# frozen_string_literal: true

module Web
  module Presenters
    # Which project a class makes, and with which centre. A changed centre is a new version of the project.
    class PieceForm
      def initialize(studio, params)
        @studio = studio
        @project = params['project'].to_s
        @component = params['component'].to_s
        @centre = params['centre'].to_s
      end

      # @return [Store::ClassState]
      def apply(state)
        design = @studio.projects.version(state.project_version_id).design
        return state.with(project_version_id: @studio.projects.find(@project).id) if design.key != @project

        changed = with_centre(design)
        changed == design ? state : state.with(project_version_id: @studio.projects.save(changed).id)
      end

      private

      def with_centre(design)
        return design unless @centre.empty? || @studio.catalogue.table.parts.key?(@centre)

        design.with(components: design.components.map do |component|
          next component if component.key != @component || component.parameters.dig('centre', 0, 'part').to_s == @centre

          component.with(parameters: component.parameters.merge('centre' => @centre.empty? ? [] : [{ 'part' => @centre }]))
        end)
      end
    end
  end
end
