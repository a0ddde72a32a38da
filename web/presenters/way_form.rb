# frozen_string_literal: true

module Web
  module Presenters
    # Ways that are chosen for all of a class, for people up to a level, or for one person: found again by their keys in the plan as it
    # stands.
    class WayForm
      MOST = 2
      EVERYONE = 'all'

      # @param result [Application::ClassResult] @param params [Hash] ways: keys · who: EVERYONE, or as in Core::Planning::OwnWays
      def initialize(result, studio, params)
        @studio = studio
        @plan = result.plan
        @who = params['who'].to_s
        keys = params['ways'].is_a?(Array) ? params['ways'].grep(String).uniq.first(MOST) : []
        known = keys.any? && worker(params['person'].to_s) ? ways(result, worker(params['person'].to_s)) : []
        @cures = keys.filter_map { |key| known.find { |one| one.cure.key == key }&.cure }
      end

      # @param plan [Core::Planning::Plan] @return [Hash{String=>String}] whom a way can be chosen for: who => name
      def self.people(plan)
        levels = plan.people.map { |one| one.attendee.level }.uniq.sort[0...-1]
        names = Sections::Section.up_to(none: '')
        { EVERYONE => 'everyone', **levels.to_h { |level| ["to-#{level}", names[level]] },
          **plan.people.select(&:fitted?).to_h { |one| ["person-#{one.attendee.key}", one.attendee.name] } }
      end

      def found?
        @cures.any? && (@who.empty? || WayForm.people(@plan).key?(@who))
      end

      # @param state [Store::ClassState] @return [Store::ClassState] on a new version of its project, or with ways for some
      def apply(state)
        return everyone(state) if @who.empty? || @who == EVERYONE

        teaching = state.workshop.teaching
        chosen = Core::Planning::OwnWays.choosing(teaching.ways, @who, @cures)
        state.with(workshop: state.workshop.with(teaching: teaching.with(ways: chosen)))
      end

      private

      def everyone(state)
        design = @cures.reduce(@studio.projects.version(state.project_version_id).design) { |made, cure| cure.apply(made) }
        state.with(project_version_id: @studio.projects.save(design).id)
      end

      def worker(key)
        fitted = @plan ? @plan.people.select(&:fitted?) : []
        key.empty? ? fitted.first : fitted.find { |one| one.attendee.key == key }
      end

      def ways(result, person)
        Core::Advice::Choices.new(@plan, result.remedies, result.library.calibration).for(person.attendee) { true }.flat_map(&:ways)
          .reject(&:chosen)
      end
    end
  end
end
