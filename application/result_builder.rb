# frozen_string_literal: true

module Application
  # Builds the result of one class at one moment: each part with what it is worked out by, and with its digest.
  class ResultBuilder
    # @param moment [Moment]
    def initialize(studio, moment, forecasts, searches)
      @studio = studio
      @moment = moment
      @forecasts = forecasts
      @searches = searches
    end

    # @return [ClassResult] @raise [Store::NotFound]
    def call(id)
      @id = id
      @stored = @moment.coming.find { |stored| stored.id == id } || @studio.classes.find(id)
      @inputs_digest = @moment.inputs_digest(@stored)
      ClassResult.new(id, @moment.library, parts)
    end

    private

    def parts
      plan = lazy { (found = outcome.value).is_a?(Core::Plan) ? found : nil }
      {
        stored: part(lazy { @stored }) { [@stored.id, @stored.revision, @stored.rank].join(' ') },
        plan: part(plan) { @inputs_digest },
        problem: part(lazy { (found = outcome.value).is_a?(Problem) ? found : nil }) { @inputs_digest },
        **supplied(plan),
        **simulated(plan),
        **shared
      }
    end

    def outcome
      @outcome ||= lazy { @moment.outcome(@stored) }
    end

    def supplied(plan)
      supply = lazy { @moment.supplies[@id] }
      taken = lazy { @studio.taken.of(@id) }
      packed = lazy { @studio.packing.of(@id) }
      orders = lazy { @studio.orders.of(@id) }
      seat = lazy { plan.value && supply.value ? Core::Bill::Seat.of(plan.value, supply.value, library.market) : taken.value && SeatRecord.read(taken.value['seat']) }
      {
        supply: part(supply) {
          Digest.of([supply.value&.parts, supply.value&.lines, library.market_digest])
        },
        seat_costs: own(seat),
        taken: own(taken),
        packed: own(packed),
        orders: own(orders)
      }
    end

    def simulated(plan)
      model = lazy { plan.value && Core::Session::Modelling.new(plan.value, library.calibration).model }
      forecast = lazy { @forecasts.state(model.value) }
      outlook = lazy { @forecasts.outlook(model.value) }
      search = lazy { @searches.state(@inputs_digest) }
      {
        model: part(model) { @inputs_digest },
        outlook: own(outlook),
        search: own(search),
        forecast: part(forecast) { [@inputs_digest, forecast.value.percent, forecast.value.running, forecast.value.error].join(' ') }
      }
    end

    def shared
      {
        steps_back: part(lazy { @studio.classes.reversible(@id) }) { [@stored.id, @stored.revision].join(' ') },
        others: own(lazy { @moment.reserving.to_h { |stored| [stored.id, stored.state.workshop.title] } }),
        removed_people: part(lazy { @studio.classes.taken_out(@id) }) { [@stored.id, @stored.revision, 'people'].join(' ') },
        settings: part(lazy { library.settings }) { library.settings.open_rings.to_s },
        techniques_by_project: part(lazy {
          library.techniques_by_project
        }) { [library.catalogue_digest, library.projects.map(&:id)].join(' ') },
        catalogue: part(lazy { library.table }) { library.catalogue_digest },
        market: part(lazy { library.market }) { library.market_digest },
        projects: part(lazy { library.projects }) { Digest.of(library.projects.map(&:id)) }
      }
    end

    def library
      @moment.library
    end

    def lazy(&work)
      Core::Lazy.new(&work)
    end

    # A part whose digest is that of its value.
    def own(value)
      part(value) { Digest.of(value.value) }
    end

    def part(value, &digest)
      ClassResult::Part.new(value: value, digest: lazy(&digest))
    end
  end
end
