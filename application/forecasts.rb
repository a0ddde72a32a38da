# frozen_string_literal: true

module Application
  # The forecasts of a studio's classes, by the digest of the model each comes from. Nothing is simulated before it is asked for.
  class Forecasts
    # found: Core::Session::Forecast, Core::Session::Impossible, or nil before the first answer · percent: of all runs · error: nil or what went wrong
    State = Core::Value.define(:found, :percent, :running, :error) do
      def running?
        running
      end

      # @return [Core::Session::Forecast, nil]
      def forecast
        found if found.is_a?(Core::Session::Forecast)
      end
    end

    UNASKED = State.new(found: nil, percent: 0, running: false, error: nil)
    MOST = 24

    # @return [Integer] changes whenever the state of any forecast may have
    attr_reader :stamp

    # @param runner [Work::Runner] @param worked_out [Store::WorkedOut] @param stages [Array<Integer>, nil] see Core::Session::Refinement; nil takes the usual
    def initialize(runner, worked_out, stages: nil)
      @runner = runner
      @worked_out = worked_out
      @stages = stages
      @jobs = Kept.new(MOST)
      @digests = Kept.new(Results::MOST_PLANS)
      @stamp = 0
      @lock = Mutex.new
    end

    # @param model [Core::Session::Model, Core::Session::Impossible, nil]
    # @return [State] as far as it has come
    def state(model)
      return UNASKED if model.nil?
      return State.new(found: model, percent: 100, running: false, error: nil) if model.is_a?(Core::Session::Impossible)

      job = @jobs[digest(model)]
      return UNASKED if job.nil?

      now = job.state
      State.new(found: now.result || now.found, percent: now.percent, running: now.running, error: now.error)
    end

    # @param model [Core::Session::Model, Core::Session::Impossible, nil]
    # @return [Core::Session::Outlook, Core::Session::Impossible, nil] from this run of the program or an earlier one
    def outlook(model)
      known = state(model).found
      return known.is_a?(Core::Session::Forecast) ? known.outlook : known if known || model.nil?

      read(@worked_out[key(digest(model))])
    end

    # Asks for a class's forecast. @param urgent [Boolean] whether somebody looks at it
    # @return [Work::Job, nil] nil where there is nothing to simulate
    def ask(class_id, model, urgent: true)
      return unless model.is_a?(Core::Session::Model)

      named = digest(model)
      @lock.synchronize do
        known = @jobs[named]
        next begin_work(class_id, model, named, urgent) if known.nil? || known.failed? || (known.stopped? && known.found.nil?)

        @runner.hurry(known) if urgent
        known
      end
    end

    # Keeps the answer there is.
    def stop(model)
      @jobs[digest(model)]&.stop if model.is_a?(Core::Session::Model)
      @stamp += 1
    end

    # The class is gone: nothing about it is worked out any more.
    def drop(class_id)
      @runner.drop([:forecast, class_id])
      @stamp += 1
    end

    private

    # Worked out once for each model object; the model is kept beside it, so that its id stays its own.
    def digest(model)
      @digests.fetch(model.object_id) { [model, Digest.of(model)] }.last
    end

    def begin_work(class_id, model, named, urgent)
      task = Tasks::Simulate.new(model: model, stages: @stages || Core::Session::Refinement.stages(model))
      @jobs[named] = job = @runner.submit(task, title: 'Will we finish?', about: [:forecast, class_id], urgent: urgent, changed: ->(one) {
        changed(one, named)
      })
      @stamp += 1
      job
    end

    def changed(job, named)
      @stamp += 1
      @worked_out.put(key(named), write(job.result.outlook)) if job.done?
    end

    def key(named)
      "outlook-#{named}"
    end

    def write(outlook)
      outlook.to_h.transform_keys(&:to_s)
    end

    def read(data)
      data && Core::Session::Outlook.new(**data.transform_keys(&:to_sym))
    end
  end
end
