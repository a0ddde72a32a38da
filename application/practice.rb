# frozen_string_literal: true

module Application
  # Evenings to practise on: a copy of a class whose people go through their steps by themselves, faster than life. What they do comes in
  # as taps do; the instructor who practises taps as well.
  class Practice
    MOST = 8
    # Minutes of the class in one of the clock.
    SPEED = 20

    # began: seconds of the clock · waiting: [Core::Live::Event] to come, in order
    Evening = Struct.new(:began, :waiting)

    # @param studio [Store::Studio]
    def initialize(studio)
      @studio = studio
      @evenings = Core::LruCache.new(MOST)
      @lock = Mutex.new
    end

    # @param id [Integer] of the copy @param plan [Core::Planning::Plan] @param model [Core::Session::Model] @param now [Integer] seconds
    # @param run [Integer] which evening of those that could be
    def begin(id, plan, model, now, run:)
      events = Core::Live::SimulatedTaps.events(plan, model, now, run: run)
      @lock.synchronize { @evenings[id] = Evening.new(now, events) }
      bring(id, now)
    end

    # @return [Integer] seconds as they are in this class: its own where it is a practice evening
    def now(id, clock)
      evening = @evenings[id]
      evening ? evening.began + ((clock - evening.began) * SPEED) : clock
    end

    def practice?(id)
      !@evenings[id].nil?
    end

    # Adds what has happened until now. @param now [Integer] seconds of the class
    def bring(id, now)
      due = @lock.synchronize do
        evening = @evenings[id] or next []
        happened, evening.waiting = evening.waiting.partition { |event| event.at <= now }
        happened
      end
      @studio.live_events.append_all(id, due) if due.any?
    end
  end
end
