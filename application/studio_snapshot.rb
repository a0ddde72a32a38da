# frozen_string_literal: true

module Application
  # The studio at one revision on one day: its library, its classes, their plans, and how the stock is shared out among them.
  # Each is worked out when first asked for.
  class StudioSnapshot
    attr_reader :revision, :today, :library

    # @param plans [Core::LruCache] by class, of the digest of its inputs
    # @param models [Core::LruCache] the same
    # @param techniques [Core::LruCache] of projects
    # @param fittings [Core::LruCache] by class, of its project and the catalogue
    # @param supplies [Core::LruCache] by class, see StockSharing
    def initialize(studio, revision, today, plans:, models:, techniques:, fittings:, supplies:)
      @studio = studio
      @revision = revision
      @today = today
      @plans = plans
      @models = models
      @fittings = fittings
      @results = Core::LruCache.new(Results::MOST_PLANS)
      @library = Library.new(studio, techniques, today)
      @coming = Core::Lazy.new { studio.classes.coming(today) }
      @sharing = Core::Lazy.new { StockSharing.new(studio, self, supplies).call }
      @digests = Core::Lazy.new { {} }
      @lock = Mutex.new
    end

    def current?(revision, today)
      @revision == revision && @today == today
    end

    # @return [Array<Store::Classes::Stored>] from today on, the next first
    def coming
      @coming.value
    end

    # @return [Array<Store::Classes::Stored>] today's, or else the next one
    def at_hand
      of_today = coming.select { |stored| stored.state.workshop.date == today }
      of_today.empty? ? coming.first(1) : of_today
    end

    # @return [Array<Store::Classes::Stored>] that take from the stock, the first first
    def reserving
      served = @studio.ledger.classes_served
      coming.reject { |stored| served.include?(stored.id) }.sort_by { |stored| [stored.rank, stored.id] }
    end

    # @param stored [Store::Classes::Stored]
    # @return [Core::Planning::Plan, UnplannableClass]
    def outcome(stored)
      @plans.fetch(stored.id, inputs_digest(stored)) { plan(stored) }
    end

    # @return [Boolean] whether its plan need not be worked out again
    def planned?(stored)
      !@plans[stored.id, inputs_digest(stored)].nil?
    end

    # @return [Core::Session::Model, Core::Session::Impossible]
    def model(stored, plan)
      @models.fetch(stored.id, inputs_digest(stored)) { Core::Session::Modelling.new(plan, library.calibration).model }
    end

    # @return [ClassResult] but for how the work beside the pages stands @raise [Store::NotFound]
    def result(id)
      @results.fetch(id) { ResultBuilder.new(@studio, self).call(id) }
    end

    # @return [String] names all that a class's plan was worked out from
    def inputs_digest(stored)
      @lock.synchronize { @digests.value[[stored.id, stored.revision]] ||= library.inputs_digest(stored.state) }
    end

    # @return [Hash{Integer=>Core::Supply::ClassSupply}] by class id; classes that need nothing more from the stock are not in it
    def supplies
      @sharing.value
    end

    # @return [Core::Supply::Stock] what lies on the shelf and no class takes
    def free_stock
      @studio.ledger.stock.less(supplies.values.map(&:from_stock).reduce(Core::Supply::Stock.new, :plus))
    end

    # @return [Core::Advice::Remedies] for what is wrong in a class's plan; what they fit is kept for the next change
    def remedies(stored, plan)
      Core::Advice::Remedies.new(plan, library.table, open_rings: library.settings.open_rings, fittings: fittings(stored, plan.design))
    end

    private

    def plan(stored)
      inputs = library.inputs(stored.state)
      inputs.plan(fittings(stored, inputs.design))
    rescue Core::Error, Store::NotFound => e
      UnplannableClass.of(e)
    rescue StandardError => e
      warn "class #{stored.id} cannot be planned: #{e.class}, #{e.backtrace.first}"
      UnplannableClass.of(e)
    end

    def fittings(stored, design)
      same = [stored.state.project_version_id, library.catalogue_digest]
      @fittings.fetch(stored.id, same) { Core::Planning::Fittings.new(design, library.table) }
    end
  end
end
