# frozen_string_literal: true

module Application
  # The forecasts of a studio's classes, by the digest of the model each comes from. Nothing is simulated before it is asked for.
  class Forecasts
    MOST = 24

    # @param runner [Work::Runner] @param worked_out [Store::ResultCache] @param stages [Array<Integer>, nil] see Core::Session::Refinement;
    #   nil takes the usual
    def initialize(runner, worked_out, stages: nil)
      @runner = runner
      @worked_out = worked_out
      @stages = stages
      @jobs = Core::LruCache.new(MOST)
      @digests = Core::LruCache.new(Results::MOST_PLANS)
      @outlooks = Core::LruCache.new(Results::MOST_PLANS)
      @lock = Mutex.new
    end

    # @param model [Core::Session::Model, Core::Session::Impossible, nil]
    # @return [Work::Job::State] as far as it has come; found: Core::Session::Forecast, Core::Session::Impossible or nil
    def state(model)
      return Work::Job::UNASKED if model.nil?
      return Work::Job::UNASKED.with(found: model, percent: 100) if model.is_a?(Core::Session::Impossible)

      @jobs[digest(model)]&.state || Work::Job::UNASKED
    end

    # @param model [Core::Session::Model, Core::Session::Impossible, nil]
    # @return [Core::Session::ForecastSummary, Core::Session::Impossible, nil] from this run of the program or an earlier one
    def outlook(model)
      known = state(model).found
      return known.is_a?(Core::Session::Forecast) ? known.outlook : known if known || model.nil?

      @outlooks.fetch(digest(model)) { read(@worked_out[key(digest(model))]) }
    end

    # Asks for a class's forecast. @param urgent [Boolean] whether someone looks at it
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
    end

    # The class is gone: nothing about it is worked out any more.
    def drop(class_id)
      @runner.drop([:forecast, class_id])
    end

    private

    # Worked out once for each model object, whose id no other object ever gets.
    def digest(model)
      @digests.fetch(model.object_id) { Digest.of(model) }
    end

    def begin_work(class_id, model, named, urgent)
      task = Tasks::Simulate.new(model: model, stages: @stages || Core::Session::Refinement.stages(model))
      keep = ->(job) { @worked_out.put(key(named), write(job.result.outlook)) if job.done? }
      @jobs[named] = @runner.submit(task, title: 'Will we finish?', about: [:forecast, class_id], urgent: urgent, changed: keep)
    end

    def key(named)
      "outlook-#{named}"
    end

    def write(outlook)
      outlook.to_h.transform_keys(&:to_s)
    end

    def read(data)
      data && Core::Session::ForecastSummary.new(**data.transform_keys(&:to_sym))
    end
  end
end
