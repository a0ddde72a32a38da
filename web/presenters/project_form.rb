# frozen_string_literal: true

module Web
  module Presenters
    # Beginning a design: its name, what it is sized by, its first construction and how it closes.
    class ProjectForm < Form
      FIELDS = %i[name body construction closure ease wraps made tails note].freeze
      USUAL = {
        'body' => 'wrist',
        'construction' => 'strung',
        'closure' => 'clasp_ring',
        'ease' => '13 mm',
        'wraps' => '1',
        'made' => '1',
        'tails' => 'by_level',
        'note' => ''
      }.freeze

      attr_reader :studio

      def self.blank(studio)
        new(studio, { 'name' => '' }, checked: false)
      end

      def initialize(studio, params, checked: true)
        super(typed(USUAL.merge(params.to_h), FIELDS), Contracts::DesignContract.new)
        @studio = studio
        @errors = {} unless checked
        @errors = errors.merge(construction: 'Choose how it is made.') unless construction
      end

      # @return [Core::Project::Design]
      def design
        empty = Core::Project::Design.new(key: free_key, name: value(:name), body: value(:body).to_sym,
          ease: Core::Measure::Length.parse(value(:ease)), components: [])
        made = Core::Project::Edit.new(empty).add(construction,
          Core::Construction::Starter.parameters(Core::Construction::Kinds.fetch(construction), studio.catalogue.table))
        closure = studio.catalogue.closures.find { |c| c.key == value(:closure) }
        closure ? Core::Project::Edit.new(made).close(closure.first, closure.last, takes_clasp: closure.takes_clasp) : made
      end

      def bodies
        Core::Project::Design::BODIES
      end

      def constructions
        Core::Construction::Kinds.keys
      end

      def closures
        studio.catalogue.closures
      end

      private

      def construction
        Core::Construction::Kinds.keys.find { |key| key.to_s == value(:construction) }
      end

      def free_key
        key_from(value(:name), studio.projects.newest.to_h { |saved| [saved.design.key, saved] }, otherwise: 'project')
      end
    end
  end
end
