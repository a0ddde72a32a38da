# frozen_string_literal: true

module Application
  # Everyone who is in a class, once. Of all classes only those are read again that changed.
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

    # Forgets whom it read.
    def clear
      @lock.synchronize do
        @revisions = {}
        @classes = {}
        @known = []
      end
    end

    # Two names turn out to be one person's. One of them is not known, is the other, or both sat in one class: then they are not.
    class NotOne < Core::Error
      attr_reader :code, :title

      # @param code [Symbol] :unknown, :same or :together @param title [String] of a class that both were in
      def initialize(code, title = '')
        @code = code
        @title = title
        super(code.to_s)
      end
    end

    # In every class one name takes the place of the other. @return [Integer] classes that changed @raise [NotOne]
    def merge(name, into)
      one, other = [name, into].map { |known_as| known.find { |person| person.name.casecmp?(known_as) } || raise(NotOne, :unknown) }
      raise NotOne, :same if one == other

      both = one.visits.find { |visit| other.visits.map(&:class_id).include?(visit.class_id) }
      raise NotOne.new(:together, both.title) if both

      @studio.write { one.visits.each { |visit| rename(visit.class_id, one.name, other.attendee.name) } }
      one.visits.size
    end

    private

    def rename(class_id, name, new_name)
      stored = @studio.classes.find(class_id)
      here = Core::People::Register.of([[class_id, '', stored.state.workshop.date, stored.state.attendees]])
      key = here.find { |person| person.name.casecmp?(name) }.attendee.key
      @studio.classes.edit(class_id, stored.revision, 'person_renamed') do |state|
        state.replacing(state.attendee(key).with(name: new_name))
      end
    end

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
