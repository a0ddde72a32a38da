# frozen_string_literal: true

module Web
  module Presenters
    # One cure of one finding, found again by its key in the class's plan as it stands.
    class CureForm
      # @param plan [Core::Planning::Plan]
      def initialize(plan, studio, params)
        @studio = studio
        @person = plan.person(params['person'].to_s)
        finding = @person&.findings&.find { |known| known.key == params['finding'].to_s }
        @cure = finding&.cures&.find { |known| known.key == params['cure'].to_s }
      end

      def found?
        !@cure.nil?
      end

      # @return [Store::ClassState] on a new version of its project, or with the person changed
      def apply(state)
        return state.replacing(@cure.apply_to_person(state.attendee(@person.attendee.key))) if @cure.for_person?

        design = @cure.apply(@studio.projects.version(state.project_version_id).design)
        state.with(project_version_id: @studio.projects.save(design).id)
      end
    end
  end
end
