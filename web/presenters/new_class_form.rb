# frozen_string_literal: true

module Web
  module Presenters
    # Making a class.
    class NewClassForm < ClassForm
      # The project is chosen when the people are in.
      BY_GROUP = ''

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
        @list = params['list'].is_a?(String) ? params['list'] : ''
        @errors = errors.merge(project: 'Choose the project of this class: this one is not there any more.') unless saved || by_group?
        @errors = errors.merge(project: 'There is no project yet. Make one first.') if studio.projects.newest.empty?
      end

      # @return [Boolean] whether the project is chosen by the group, on a page of its own
      def by_group?
        value(:project) == BY_GROUP
      end

      # @return [String] people, as pasted
      attr_reader :list

      # @return [Store::ClassState] of a new class
      def state
        workshop = Core::Setup::Workshop.new(key: 'new', **changes)
        Store::ClassState.new(workshop: workshop, project_version_id: (saved || easiest).id, attendees: [])
      end

      # @return [Array<(String, String)>] key and name
      def projects
        all.reject { |one| one.design.test_piece }.map { |one| [one.design.key, one.design.name] }.sort_by(&:last)
      end

      private

      def all
        @all ||= studio.projects.newest
      end

      # Until one is chosen: what has the least to put together, round a wrist where there is one.
      def easiest
        real = all.reject { |one| one.design.test_piece }
        (real.empty? ? all : real).min_by do |one|
          design = one.design
          [design.body == :wrist ? 0 : 1, design.components.size, design.components.sum { |part| part.parameters.size }, design.name]
        end
      end

      def saved
        all.find { |one| one.design.key == value(:project) }
      end
    end
  end
end
