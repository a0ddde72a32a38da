# frozen_string_literal: true

module Application
  # All that is known of one class at one revision of the studio. Pages, files, prints and the command line are slices of it.
  # Its parts are worked out when first asked for and then stay; each has a digest that changes only when the part may.
  class ClassResult
    # One part: what it is worked out by, and how its digest is; both Core::Lazy.
    Part = Core::Value.define(:value, :digest) do
      # @yieldreturn [String] its digest; without a block that of its value
      def self.of(value, &digest)
        new(value: value, digest: Core::Lazy.new(&digest || -> { Digest.of(value.value) }))
      end
    end

    # stored: Store::Classes::Stored · plan: Core::Planning::Plan, nil where the class cannot be built · problem: Problem or nil
    # verdicts: [Core::Advice::Verdict] in the order in which things are best put right; empty where it cannot be built
    # remedies: Core::Advice::Remedies, nil where the class cannot be built
    # supply: Core::Supply::ClassSupply, nil where nothing more is needed from the stock · seat_costs: Core::Price::Seat or nil
    # taken: Hash, nil while the kits are in the stock · packed: {[kit, item] => count} · orders: [Store::Orders::Ordered]
    # model: Core::Session::Model, Impossible or nil · outlook: Core::Session::ForecastSummary, Impossible or nil
    # forecasting, search: Work::Job::State of the forecast and of the search for what would help
    # steps_back: what undo and redo would do · others: {id => title} of the classes that take from the same stock, in their order
    # removed_people: {key => name} of those taken out who still stand in an earlier state
    # live_events: [Core::Live::Event], what was tapped in the class
    # seen_signs: {mark of a fault => how often it was seen in other classes}
    # leftovers: [Core::Supply::Leftovers], more pieces from what no class waits for
    # techniques_by_project: {project key => [technique key]}
    PARTS = %i[
      stored plan remedies problem verdicts supply seat_costs taken packed orders model outlook forecasting search steps_back others
      removed_people live_events seen_signs leftovers
      catalogue market settings projects techniques_by_project
    ].freeze

    attr_reader :id, :library

    # @param parts [Hash{Symbol=>Part}]
    def initialize(id, library, parts)
      @id = id
      @library = library
      @parts = parts.freeze
      freeze
    end

    PARTS.each { |name| define_method(name) { @parts.fetch(name).value.value } }

    # @return [String]
    def digest(name)
      @parts.fetch(name).digest.value
    end

    def revision
      stored.revision
    end

    def state
      stored.state
    end

    def workshop
      state.workshop
    end

    # @param parts [Hash{Symbol=>Part}] @return [ClassResult] with these as well
    def with_parts(parts)
      ClassResult.new(id, library, { **@parts, **parts })
    end

    # @return [Core::Session::Forecast, nil] so far
    def forecast
      found = forecasting.found
      found if found.is_a?(Core::Session::Forecast)
    end

    # @return [Core::Planning::Inputs]
    def inputs
      library.inputs(state)
    end
  end
end
