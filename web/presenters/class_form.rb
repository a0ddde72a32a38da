# frozen_string_literal: true

require 'date'

module Web
  module Presenters
    # Making a class, or changing its settings.
    class ClassForm < Form
      FIELDS = %i[title date start minutes venue tool_sets project].freeze

      attr_reader :studio

      def self.blank(studio)
        new(studio, { 'start' => '18:30', 'minutes' => '120', 'tool_sets' => '12', 'date' => '', 'title' => '' }, checked: false)
      end

      def initialize(studio, params, checked: true)
        super(params, FIELDS, Contracts::ClassContract.new)
        @studio = studio
        @errors = {} unless checked
        check_project if checked && params.key?('project')
      end

      def workshop
        Core::Workshop.new(key: 'new', title: value(:title), date: Date.iso8601(value(:date)), start: Core::Measure::ClockTime.parse(value(:start)),
                           minutes: value(:minutes).to_i, venue: value(:venue), tool_sets: value(:tool_sets).to_i)
      end

      # @return [Store::ClassState] of a new class
      def state
        Store::ClassState.new(workshop: workshop, project_version_id: project_version_id, attendees: [])
      end

      def apply(state)
        state.with(workshop: workshop.with(key: state.workshop.key))
      end

      def projects
        @projects ||= studio.projects.newest
      end

      private

      def project_version_id
        projects.find { |saved| saved.design.key == value(:project) }&.id
      end

      def check_project
        @errors = errors.merge(project: 'Choose the project of this class.') unless project_version_id
      end
    end
  end
end
