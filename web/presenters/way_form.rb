# frozen_string_literal: true

module Web
  module Presenters
    # One way of one choice, found again by its key in the class's plan as it stands.
    class WayForm
      # @param result [Application::ClassResult]
      def initialize(result, studio, params)
        @studio = studio
        person = result.plan&.person(params['person'].to_s)
        ways = person&.fitted? ? Core::Advice::Choices.new(result.plan, result.remedies, result.library.calibration)
          .for(person.attendee) { true }.flat_map(&:ways) : []
        @way = ways.find { |one| !one.chosen && one.cure.key == params['way'].to_s }
      end

      def found?
        !@way.nil?
      end

      # @return [Store::ClassState] on a new version of its project
      def apply(state)
        design = @way.cure.apply(@studio.projects.version(state.project_version_id).design)
        state.with(project_version_id: @studio.projects.save(design).id)
      end
    end
  end
end
