# frozen_string_literal: true

module Application
  # Forecasts of classes that are under way, from where they stand. The newest of each class counts; while it is worked out the one before
  # is shown.
  class LiveForecasts
    MOST = 32
    # Runs after which an answer is told: the first within the tap, the last soon after.
    STAGES = [60, 400].freeze
    # Without a tap it is worked out again after so many seconds, since minutes go by.
    OLD_SECONDS = 30

    # taken: how many taps it counts · at: seconds · before: Core::Session::Forecast that was known until then, or nil
    # levers: {(kind, detail) => Work::Job} of what would come of each
    Asked = Struct.new(:taken, :at, :job, :before, :levers)

    # @param runner [Work::Runner]
    def initialize(runner)
      @runner = runner
      @asked = Core::LruCache.new(MOST)
      @beside = Core::LruCache.new(MOST, by_identity: true)
      @lock = Mutex.new
    end

    # @param model [Core::Session::Model] of the whole class @param evening [Core::Live::LiveState] @param now [Integer] seconds
    def ask(id, model, evening, now)
      @lock.synchronize do
        last = @asked[id]
        next if last && last.taken == evening.taken.size && now - last.at < OLD_SECONDS

        beside = @beside.fetch(model) { Core::Session::BesideWork.watched(Core::Session::Simulation.new(model)) }
        from_here = Core::Live::RemainingModel.new(model, evening, now, beside)
        levers = levers(id, evening, now) { |changed| Core::Live::RemainingModel.new(model, changed, now, beside, pace: from_here.pace) }
        @asked[id] = Asked.new(evening.taken.size, now, submit([:live, id], from_here), forecast(last), levers)
      end
    end

    # @return [Core::Session::Forecast, nil] the newest there is
    def known(id)
      forecast(@asked[id])
    end

    # @return [Boolean] whether a newer one is on its way
    def running?(id)
      @asked[id]&.job&.state&.running? || false
    end

    # @param lever [Core::Live::LastChanges::LeaveOut, Core::Live::LastChanges::ShowNow] @return [Core::Session::Forecast, nil] what would
    # come of it
    def with(id, lever)
      found = @asked[id]&.levers&.fetch([lever.kind, lever.detail], nil)&.state&.found
      found if found.is_a?(Core::Session::Forecast)
    end

    # The class is gone: nothing about it is worked out any more.
    def drop(id)
      [[:live, id], *(0...Core::Live::LastChanges::MOST).map { |i| [:live, id, i] }].each { |about| @runner.drop(about) }
    end

    private

    def submit(about, from_here)
      rest = from_here.model
      rest && @runner.submit(Tasks::Simulate.new(model: rest, stages: STAGES), title: 'Will we finish, from here?', about: about)
    end

    # What would come of each lever, worked out after the forecast itself.
    # @yield [Core::Live::LiveState] as it would be @yieldreturn [Core::Live::RemainingModel]
    def levers(id, evening, now)
      Core::Live::LastChanges.of(evening, now).each_with_index.to_h do |lever, i|
        changed = evening.with(Core::Live::LastChanges.event(lever, "lever-#{i}", now))
        [[lever.kind, lever.detail], submit([:live, id, i], yield(changed))]
      end
    end

    def forecast(asked)
      found = asked&.job&.state&.found
      found.is_a?(Core::Session::Forecast) ? found : asked&.before
    end
  end
end
