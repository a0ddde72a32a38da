# frozen_string_literal: true

module Application
  # Everybody who is in a class, once. Of all classes only those are read anew that changed.
  class People
    # @param studio [Store::Studio]
    def initialize(studio)
      @studio = studio
      @revisions = {}
      @classes = {}
      @known = []
      @lock = Mutex.new
    end

    # @return [Array<Core::People::Register::Known>] by name
    def known
      revisions = @studio.classes.revisions
      @lock.synchronize do
        next @known if revisions == @revisions

        read(revisions)
        @known = Core::People::Register.of(@classes.values)
      end
    end

    private

    def read(revisions)
      changed = revisions.reject { |id, revision| @revisions[id] == revision }.keys
      fresh = @studio.classes.some(changed).to_h do |one|
        workshop = one.state.workshop
        [one.id, [one.id, workshop.title, workshop.date, one.state.attendees]]
      end
      @classes = @classes.slice(*revisions.keys).merge(fresh)
      @revisions = revisions
    end
  end
end
