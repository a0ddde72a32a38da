# frozen_string_literal: true

module Web
  module Presenters
    # A version that is chosen among variants: its ways, found again by their keys in the class's plan as it stands.
    class VariantForm
      MOST = 2

      # @param result [Application::ClassResult]
      def initialize(result, studio, params)
        @studio = studio
        keys = params['ways'].is_a?(Array) ? params['ways'].grep(String).uniq.first(MOST) : []
        person = result.plan&.people&.find(&:fitted?)
        ways = person ? Core::Advice::Choices.new(result.plan, result.remedies, result.library.calibration)
          .for(person.attendee) { true }.flat_map(&:ways).reject(&:chosen) : []
        @cures = keys.filter_map { |key| ways.find { |one| one.cure.key == key }&.cure }
      end

      def found?
        @cures.any?
      end

      # @param state [Store::ClassState] @return [Store::ClassState] on a new version of its project
      def apply(state)
        design = @cures.reduce(@studio.projects.version(state.project_version_id).design) { |made, cure| cure.apply(made) }
        state.with(project_version_id: @studio.projects.save(design).id)
      end
    end
  end
end
