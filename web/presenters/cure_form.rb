# frozen_string_literal: true

module Web
  module Presenters
    # One cure of one finding, found again in the class's plan as it stands.
    class CureForm
      def initialize(studio, stored, params)
        @studio = studio
        @person = studio.plan(stored).person(params['person'].to_s)
        finding = @person&.findings&.find { |f| f.key == params['finding'].to_s }
        @cure = finding && finding.cures[Integer(params['cure'].to_s, 10, exception: false) || finding.cures.size]
      end

      def found?
        !@cure.nil?
      end

      # @return [Store::ClassState] on a new version of its project, or with the person in another colourway
      def apply(state)
        return state.replacing(@person.attendee.with(colourway: @cure.value)) if @cure.code == :use_colourway

        design = @cure.apply(@studio.projects.version(state.project_version_id).design)
        state.with(project_version_id: @studio.projects.save(design).id)
      end
    end
  end
end
