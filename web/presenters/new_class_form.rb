# frozen_string_literal: true

module Web
  module Presenters
    # Making a class.
    class NewClassForm < ClassForm
      USUAL = {
        'start' => '18:30',
        'minutes' => '120',
        'tool_sets' => '12',
        'date' => '',
        'title' => '',
        'venue' => '',
        'project' => ''
      }.freeze

      attr_reader :studio

      # @param studio [Store::Studio]
      def self.blank(studio)
        new(studio, USUAL).tap { |form| form.errors.clear }
      end

      def initialize(studio, params)
        @studio = studio
        super(FIELDS.to_h { |name| [name.to_s, ''] }.merge(params.to_h.slice(*FIELDS.map(&:to_s))))
        @values['project'] = clean(params['project'])
        @errors = errors.merge(project: 'Choose the project of this class.') unless saved
      end

      # @return [Store::ClassState] of a new class
      def state
        workshop = Core::Setup::Workshop.new(key: 'new', **changes.except(:project))
        Store::ClassState.new(workshop: workshop, project_version_id: saved.id, attendees: [])
      end

      # @return [Array<(String, String)>] key and name
      def projects
        all.map { |one| [one.design.key, one.design.name] }
      end

      private

      def all
        @all ||= studio.projects.newest
      end

      def saved
        all.find { |one| one.design.key == value(:project) }
      end
    end
  end
end
