# frozen_string_literal: true

require 'date'

module Application
  # The one way to the results of a studio's classes. Asking for a result starts nothing beside the pages.
  class Results
    # Plans kept: of all classes that somebody may look at or that take from the stock.
    MOST_PLANS = 250
    MOST_RESULTS = 250

    # @param studio [Store::Studio] @param forecasts [Forecasts] @param searches [Searches]
    # @param today [#call] @return [Date]
    def initialize(studio, forecasts, searches, today: -> { Date.today })
      @studio = studio
      @forecasts = forecasts
      @searches = searches
      @today = today
      @plans = Kept.new(MOST_PLANS)
      @results = Kept.new(MOST_RESULTS)
      @techniques = Kept.new(MOST_PLANS)
      @lock = Mutex.new
    end

    # @return [Moment] of the studio as it is now
    def now
      revision = @studio.revision
      today = @today.call
      @lock.synchronize do
        next @moment if @moment&.current?(revision, today)

        @moment = Moment.new(@studio, revision, today, plans: @plans, techniques: @techniques)
      end
    end

    # @return [Boolean] whether its plan need not be worked out anew
    def known?(id, moment)
      stored = moment.coming.find { |one| one.id == id }
      !stored.nil? && !@plans[stored.id, moment.inputs_digest(stored)].nil?
    end

    # @param moment [Moment] @return [ClassResult] of a class as it is now @raise [Store::NotFound]
    def of(id, moment = now)
      @results.fetch(id, [moment.revision, moment.today, @forecasts.stamp, @searches.stamp]) {
        ResultBuilder.new(@studio, moment, @forecasts, @searches).call(id)
      }
    end
  end
end
