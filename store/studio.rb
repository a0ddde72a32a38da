# frozen_string_literal: true

module Store
  # One installation's data: the way into everything that is stored.
  class Studio
    attr_reader :database, :catalogue, :projects, :classes, :drafts

    # @param path [String] see Database.open
    def initialize(path)
      @database = Database.open(path)
      @database[:studio].insert_conflict.insert(id: 1, name: 'My studio', unit: 'mm')
      @catalogue = Catalogue.new(@database)
      @projects = Projects.new(@database)
      @classes = Classes.new(@database)
      @drafts = Drafts.new(@database)
      @plans = PlanCache.new
    end

    def name
      @database[:studio].get(:name)
    end

    # @return [Symbol] :mm or :in, the unit lengths are shown in
    def unit
      @database[:studio].get(:unit).to_sym
    end

    # @return [Symbol] :warn or :forbid, what to make of a line in a ring that is not soldered
    def open_rings
      @database[:studio].get(:open_rings).to_sym
    end

    # @return [Core::Session::Calibration] the studio's own paces, or the starting ones
    def calibration
      Core::Data::Records::CALIBRATION.read(JSON.parse(@database[:studio].get(:calibration)))
    end

    # @param calibration [Core::Session::Calibration]
    def calibrate(calibration)
      update(calibration: JSON.generate(Core::Data::Records::CALIBRATION.write(calibration)))
    end

    def update(**settings)
      @database[:studio].update(settings)
    end

    # @return [Array] changes whenever a setting or the catalogue does, cheaply
    def stamp
      @database[:studio].get(%i[catalogue_revision open_rings calibration])
    end

    # @return [Core::Inputs] all that a class's plan depends on
    def inputs(stored)
      Core::Inputs.new(workshop: stored.state.workshop, design: projects.version(stored.state.project_version_id).design,
                       attendees: stored.state.attendees, table: catalogue.table, open_rings: open_rings, calibration: calibration)
    end

    # @return [Core::Plan] worked out once for each change
    def plan(stored)
      @plans.fetch([stored.id, stored.revision, *stamp]) { inputs(stored).plan }
    end

    # Saves a class file's contents: parts and techniques the studio lacks, its project and its class.
    # @return [Integer] the new class's id
    def import(inputs)
      Importing.new(self).call(inputs)
    end
  end
end
