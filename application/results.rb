# frozen_string_literal: true

require 'date'

module Application
  # The one way to the results of a studio's classes. Asking for a result starts nothing beside the pages.
  class Results
    # Plans kept: of all classes that someone may look at or that take from the stock.
    MOST_PLANS = 250
    # Classes whose fitted pieces are kept for the next change.
    MOST_FITTINGS = 8

    # @param studio [Store::Studio] @param forecasts [Forecasts] @param searches [Searches]
    # @param today [#call] @return [Date]
    def initialize(studio, forecasts, searches, today: -> { Date.today })
      @studio = studio
      @forecasts = forecasts
      @searches = searches
      @today = today
      @plans = Core::LruCache.new(MOST_PLANS)
      @models = Core::LruCache.new(MOST_PLANS)
      @techniques = Core::LruCache.new(MOST_PLANS)
      @fittings = Core::LruCache.new(MOST_FITTINGS)
      @supplies = Core::LruCache.new(MOST_PLANS)
      @lock = Mutex.new
    end

    # @return [StudioSnapshot] of the studio as it is now
    def now
      revision = @studio.revision
      today = @today.call
      @lock.synchronize do
        next @moment if @moment&.current?(revision, today)

        @moment = StudioSnapshot.new(@studio, revision, today, plans: @plans, models: @models, techniques: @techniques,
          fittings: @fittings, supplies: @supplies)
      end
    end

    # @param moment [StudioSnapshot] @return [ClassResult] of a class as it is now, and as the work beside the pages stands now
    # @raise [Store::NotFound]
    def of(id, moment = now)
      lasting = moment.result(id)
      lasting.with_parts(standing(lasting))
    end

    # Forgets all that was worked out.
    def clear
      @lock.synchronize do
        [@plans, @models, @techniques, @fittings, @supplies].each(&:clear)
        @moment = nil
      end
    end

    # Warms the caches for the first visitor; errors show on their own page.
    def prepare
      now.supplies
      now.library.techniques_by_project
    rescue StandardError => e
      warn "not prepared: #{e.class}, #{e.backtrace.first}"
    end

    private

    # Looked up each time: it changes while the studio does not.
    def standing(result)
      model = Core::Lazy.new { result.model }
      outlook = ClassResult::Part.of(Core::Lazy.new { @forecasts.outlook(model.value) })
      {
        outlook: outlook,
        forecasting: job_part(result) { @forecasts.state(model.value) },
        search: job_part(result) { @searches.state(result.digest(:plan)) },
        verdicts: ClassResult::Part.of(Core::Lazy.new { verdicts(result, outlook.value.value) }) do
          [result.digest(:plan), result.digest(:supply), outlook.digest.value].join(' ')
        end
      }
    end

    def verdicts(result, outlook)
      result.plan ? Core::Advice::Verdicts.new(result.plan, result.supply, outlook).call : []
    end

    def job_part(result, &state)
      found = Core::Lazy.new(&state)
      ClassResult::Part.of(found) do
        now = found.value
        [result.digest(:plan), now.id, now.percent, now.running, now.error].join(' ')
      end
    end
  end
end
