# frozen_string_literal: true

module Application
  # Builds what is known of one class at one moment, but for how the work beside the pages stands: each part with what it is worked out
  # by, and with its digest.
  class ResultBuilder
    # @param moment [StudioSnapshot]
    def initialize(studio, moment)
      @studio = studio
      @moment = moment
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
      plan = lazy { (found = outcome.value).is_a?(Core::Planning::Plan) ? found : nil }
      {
        stored: part(lazy { @stored }) { [@stored.id, @stored.revision, @stored.rank].join(' ') },
        plan: part(plan) { @inputs_digest },
        problem: part(lazy { (found = outcome.value).is_a?(UnplannableClass) ? found : nil }) { @inputs_digest },
        model: part(lazy { plan.value && @moment.model(@stored, plan.value) }) { @inputs_digest },
        remedies: part(lazy { plan.value && @moment.remedies(@stored, plan.value) }) { @inputs_digest },
        **supplied(plan),
        **shared
      }
    end

    def outcome
      @outcome ||= lazy { @moment.outcome(@stored) }
    end

    def supplied(plan)
      supply = lazy { @moment.supplies[@id] }
      taken = lazy { @studio.seat_costs.of(@id) }
      {
        supply: part(supply) { Digest.of([supply.value&.parts, supply.value&.lines, library.market_digest]) },
        seat_costs: part(lazy { seat_costs(plan.value, supply.value, taken.value) }),
        taken: part(taken),
        packed: part(lazy { @studio.packing.of(@id) }),
        orders: part(lazy { @studio.orders.of(@id) })
      }
    end

    def seat_costs(plan, supply, taken)
      plan && supply ? Core::Price::Seat.of(plan, supply, library.market) : taken && SeatRecord.read(taken['seat'])
    end

    def shared
      {
        steps_back: part(lazy { @studio.classes.reversible(@id) }) { [@stored.id, @stored.revision].join(' ') },
        others: part(lazy { @moment.reserving.to_h { |stored| [stored.id, stored.state.workshop.title] } }),
        removed_people: part(lazy { @studio.classes.taken_out(@id) }) { [@stored.id, @stored.revision, 'people'].join(' ') },
        live_events: part(lazy { @studio.live_events.of(@id) }),
        seen_signs: part(lazy { @studio.live_events.signs(except: @id) }),
        leftovers: part(lazy { leftovers(outcome.value) }),
        settings: part(lazy { library.settings }) { library.settings.open_rings.to_s },
        techniques_by_project: part(lazy { library.techniques_by_project }) { "#{library.catalogue_digest} #{library.projects.map(&:id)}" },
        catalogue: part(lazy { library.table }) { library.catalogue_digest },
        market: part(lazy { library.market }) { library.market_digest },
        projects: part(lazy { library.projects }) { library.projects.map(&:id).join(' ') }
      }
    end

    def leftovers(planned)
      planned.is_a?(Core::Planning::Plan) ? Core::Supply::Leftovers.of(planned, @moment.free_stock) : []
    end

    def library
      @moment.library
    end

    def lazy(&work)
      Core::Lazy.new(&work)
    end

    def part(...)
      ClassResult::Part.of(...)
    end
  end
end
