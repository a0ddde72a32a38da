# frozen_string_literal: true

module Store
  # One installation's data: the way into everything that is stored.
  class Studio
    attr_reader :database, :catalogue, :projects, :classes, :drafts, :ledger, :market, :packing

    # @param path [String] see Database.open
    def initialize(path)
      @database = Database.open(path)
      @database[:studio].insert_conflict.insert(id: 1, name: 'My studio', unit: 'mm')
      @catalogue = Catalogue.new(@database)
      @projects = Projects.new(@database)
      @classes = Classes.new(@database)
      @drafts = Drafts.new(@database)
      @ledger = Ledger.new(@database)
      @market = Market.new(@database)
      @packing = Packing.new(@database)
      @plans = PlanCache.new
      @supplies = PlanCache.new(4)
      @techniques = PlanCache.new(200)
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

    # @return [Array] changes whenever the stock, an offer or any class does, cheaply
    def supply_stamp
      [@database[:studio].get(%i[supply_revision currency]), classes.stamps, stamp]
    end

    # @return [Core::Supply::ClassSupply, nil] where a class's materials come from; nil when they have already left the stock
    def supply(id)
      @supplies.fetch(supply_stamp) { allocate }[id]
    end

    # @param saved [Projects::Saved]
    # @return [Array<String>] techniques its steps use, by key; none when the catalogue cannot build it
    def techniques(saved)
      @techniques.fetch([saved.id, catalogue.revision]) do
        piece = Core::Sizing::Blueprint.new(saved.design, catalogue.table).fit_usual
        piece.is_a?(Core::Sizing::Piece) ? piece.steps.map(&:technique).uniq : []
      rescue Core::Construction::InvalidParameters, Core::UnknownKey
        []
      end
    end

    # Takes a class's kits and spares from the stock: parts, the bars they are cut from, and what is left of those comes back as offcuts.
    # @raise [Shortfall] when something is not on the shelf; then nothing is taken @raise [NotFound]
    def take_kits(id)
      workshop = classes.find(id).state.workshop
      return if ledger.taken_by(id).any?

      post = Core::Supply::Taking.entries(supply(id), id, note: workshop.title)
      ledger.post(post)
    end

    # Brings back all that a class's kits took. @raise [Shortfall]
    def put_back(id)
      title = classes.find(id).state.workshop.title
      ledger.post(ledger.taken_by(id).map { |entry| entry.with(quantity: -entry.quantity, reason: :returned, note: title) })
    end

    # Saves a class file's contents: parts and techniques the studio lacks, its project and its class.
    # @return [Integer] the new class's id
    def import(inputs)
      Importing.new(self).call(inputs)
    end

    private

    # Classes whose kits have left the stock claim nothing more.
    def allocate
      served = ledger.classes_served
      plans = classes.stamps.map(&:first).reject { |id| served.include?(id) }.to_h { |id| [id, buildable(classes.find(id))] }.compact
      Core::Supply::Allocation.new(ledger.stock, market.all).call(plans)
    end

    # A class whose design the catalogue can no longer build claims nothing.
    def buildable(stored)
      plan(stored)
    rescue Core::Construction::InvalidParameters, Core::UnknownKey
      nil
    end
  end
end
