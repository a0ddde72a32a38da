# frozen_string_literal: true

require 'json'

module Store
  # Classes with their people, and every state they were in. What a class is stands once, in the document of its newest revision;
  # its row holds what lists and other tables need.
  class Classes
    include Transactional
    include History
    include Erasing

    # One stored class.
    #
    # @param state ClassState
    # @param rank the lower, the earlier it takes from the stock
    Stored = Core::Value.define(:id, :revision, :state, :rank)
    # What an edit came to. merged: paths that someone else changed since the editor last looked
    Edited = Core::Value.define(:id, :revision, :merged)
    # One step that can be undone or redone.
    #
    # @param action what was done
    # @param path the place it changed, for its wording
    Step = Core::Value.define(:action, :before, :after)

    # States kept of each class: as many can be undone.
    MOST_STATES = 500
    # Documents that are remembered as they were read.
    MOST_READ = 400

    def initialize(database)
      super
      @read = {}
      @lock = Mutex.new
    end

    # @return [Array<Stored>] by date, those not removed
    def all
      states(live.order(:date, :start_minute, :id))
    end

    # @param today [Date] @return [Array<Stored>] from today on, the next first
    def coming(today)
      states(live.where { date >= today }.order(:date, :start_minute, :id))
    end

    # @param today [Date] @param matching [String] in the title or in someone's name, '' for all
    # @return [Array<Stored>] before today, the newest first
    def held(today, limit:, offset: 0, matching: '')
      states(before_today(today, matching).reverse(:date, :start_minute, :id).limit(limit, offset))
    end

    # @return [Integer] how many were held
    def held_count(today, matching: '')
      before_today(today, matching).count
    end

    # @return [Array<Stored>] the newest removed first
    def removed(limit:)
      states(@database[:classes].exclude(deleted_at: nil).reverse(:deleted_at).limit(limit))
    end

    # @return [Hash{Integer=>Integer}] the revision at which each class is that still knows who came
    def revisions
      live.where(names_out: false).order(:id).select_hash(:id, :revision)
    end

    # @param ids [Array<Integer>] @return [Hash{Integer=>Integer}] the revision of those of them that are there
    def revisions_of(ids)
      live.where(id: ids).order(:id).select_hash(:id, :revision)
    end

    # SQLite looks into the newest states. @return [Array<Integer>] ids of the classes of which is noted how they ended
    def ending_noted
      newest = @database[:class_revisions].where(class_id: Sequel[:classes][:id], revision: Sequel[:classes][:revision])
      noted = newest.where(Sequel.lit("coalesce(json_extract(document, '$.class.note.ended'), " \
                                      "json_extract(document, '$.class.note.unfinished')) IS NOT NULL"))
      live.where(noted.exists).select_map(:id)
    end

    # @param ids [Array<Integer>] @return [Array<Stored>] those of them that are there
    def some(ids)
      states(live.where(id: ids).order(:id))
    end

    # @raise [NotFound] for an unknown or removed class
    def find(id)
      states(live.where(id: id)).first || raise(NotFound.new(:class, id))
    end

    # @return [String] its title, cheaply @raise [NotFound]
    def title(id)
      live.where(id: id).get(:title) || raise(NotFound.new(:class, id))
    end

    # @param state [ClassState] its people get keys here @return [Integer] the new class's id
    def create(state)
      write do
        id = @database[:classes].insert(row(state).merge(revision: 0))
        @database[:classes].where(id: id).update(reserve_rank: id)
        put(id, state.with(attendees: number(id, state.attendees)), 'create')
        id
      end
    end

    # Changes a class as its editor saw it at a revision. Changes made meanwhile elsewhere are kept.
    # @yieldparam state [ClassState] as it was at that revision @yieldreturn [ClassState]
    # @param take_over [Boolean] whether the editor's change wins where both changed the same place
    # @return [Edited]
    # @raise [Conflict] when someone else changed the same place @raise [NotFound]
    def edit(id, revision, action, take_over: false)
      write do
        now = find(id)
        seen = revision == now.revision ? now.state : at(id, revision)
        mine = yield seen
        next Edited.new(id: id, revision: put(id, mine, action), merged: []) if revision == now.revision

        merge = Core::Data::Merge.three_way(seen.to_data, mine.to_data, now.state.to_data, mine_wins: take_over)
        raise Conflict.new(merge.conflicts, now.revision) if merge.conflicts.any?

        Edited.new(id: id, revision: put(id, ClassState.from_data(merge.merged), action), merged: merge.theirs_changed)
      end
    end

    # Attendees for this class, each with a key nobody in it ever had.
    def number(id, attendees)
      first = @database[:classes].where(id: id).get(:next_key)
      @database[:classes].where(id: id).update(next_key: first + attendees.size)
      attendees.each_with_index.map { |attendee, index| attendee.with(key: (first + index).to_s) }
    end

    def remove(id)
      find(id)
      write { @database[:classes].where(id: id).update(deleted_at: Time.now.utc) }
    end

    def restore(id)
      changed = write { @database[:classes].where(id: id).exclude(deleted_at: nil).update(deleted_at: nil) }
      raise NotFound.new(:class, id) if changed.zero?
    end

    # Takes first from the stock from now on. @raise [NotFound]
    def reserve_first(id)
      find(id)
      write { @database[:classes].where(id: id).update(reserve_rank: (live.min(:reserve_rank) || 1) - 1) }
    end

    private

    def live
      @database[:classes].where(deleted_at: nil)
    end

    # SQLite's json_each looks for the name among the people of the newest state.
    def before_today(today, matching)
      classes = live.where { date < today }
      return classes if matching.empty?

      words = "%#{matching.gsub(/[%_\\]/) { |sign| "\\#{sign}" }}%"
      people = @database[:class_revisions].where(class_id: Sequel[:classes][:id], revision: Sequel[:classes][:revision])
        .where(Sequel.lit("EXISTS (SELECT 1 FROM json_each(document, '$.attendees') " \
                          "WHERE lower(json_extract(value, '$.name')) LIKE ? ESCAPE '\\')", words.downcase))
      classes.where(Sequel.like(:title, words, case_insensitive: true) | people.exists)
    end

    # @param rows [Sequel::Dataset] of classes @return [Array<Stored>] in the same order
    def states(rows)
      found = rows.select_map(%i[id revision reserve_rank])
      documents = @database[:class_revisions].join(:classes, id: :class_id,
        revision: Sequel[:class_revisions][:revision]).where(class_id: found.map(&:first))
        .select_hash(:class_id, :document)
      found.map { |id, revision, rank|
        Stored.new(id: id, revision: revision, rank: rank, state: read(documents.fetch(id)))
      }
    end

    # The same text is the same state.
    def read(document)
      @lock.synchronize do
        state = @read.delete(document) || ClassState.from_data(JSON.parse(document))
        @read.shift while @read.size >= MOST_READ
        @read[document] = state
      end
    end

    def put(id, state, action, source: nil)
      state = state.with(workshop: state.workshop.with(key: "class_#{id}"))
      last = history(id).reverse(:revision).first
      revision = (last ? last[:revision] : 0) + 1
      history(id).insert(class_id: id, revision: revision, source: source || revision, before: before(id, source, last), action: action,
        document: JSON.generate(state.to_data), made_at: Time.now.utc)
      @database[:classes].where(id: id).update(row(state).merge(revision: revision))
      forget_old(id, revision)
      revision
    end

    def row(state)
      {
        title: state.workshop.title,
        date: state.workshop.date,
        start_minute: state.workshop.start.minutes,
        project_version_id: state.project_version_id
      }
    end
  end
end
