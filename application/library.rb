# frozen_string_literal: true

module Application
  # What all classes of a studio share at one revision: settings, catalogue, market, projects.
  class Library
    attr_reader :settings, :table, :market, :today

    # @param studio [Store::Studio] @param kept [Core::LruCache] techniques of projects, which change with the catalogue only
    # @param today [Date]
    def initialize(studio, kept, today)
      @today = today
      @studio = studio
      @settings = studio.settings
      @table = studio.catalogue.table
      @market = studio.market.all
      @projects = Core::Lazy.new { studio.projects.newest }
      @techniques_by_project = Core::Lazy.new { projects.to_h { |saved| [saved.design.key,
        kept.fetch([saved.id, catalogue_digest]) { Core::Sizing::Blueprint.techniques(saved.design, table) }] } }
    end

    # @return [Array<Store::Projects::Saved>] the newest version of each
    def projects
      @projects.value
    end

    # @return [Core::Project::Design]
    def design(version_id)
      @studio.projects.version(version_id).design
    end

    def calibration
      settings.calibration
    end

    # @return [String] changes with the catalogue
    def catalogue_digest
      settings.catalogue_revision.to_s
    end

    # @return [String] changes with prices, packs, suppliers and the currency
    def market_digest
      "#{settings.supply_revision} #{settings.currency}"
    end

    # @return [Core::Planning::Inputs] all that a class's plan depends on
    def inputs(state)
      Core::Planning::Inputs.new(workshop: state.workshop, design: design(state.project_version_id), attendees: state.attendees,
        table: table, open_rings: settings.open_rings,
        calibration: calibration)
    end

    # @return [String] changes whenever a class's plan may
    def inputs_digest(state)
      Digest.of([state.to_data, settings.open_rings, Core::Data::Records::CALIBRATION.write(calibration), catalogue_digest])
    end

    # @return [Hash{String=>Array<String>}] project keys to the techniques their steps use
    def techniques_by_project
      @techniques_by_project.value
    end
  end
end
