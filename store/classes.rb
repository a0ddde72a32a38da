# frozen_string_literal: true

module Store
  # Classes with their people, and every state they were in.
  class Classes
    # One stored class. state: ClassState
    Stored = Core::Value.define(:id, :revision, :state)
    # What an edit came to. merged: paths that somebody else changed since the editor last looked
    Edited = Core::Value.define(:id, :revision, :merged)

    CHOICES = %w[supply teaching session].freeze

    def initialize(database)
      @database = database
    end

    # @return [Array<Stored>] by date, those not removed
    def all
      live.order(:date, :start_minute, :id).all.map { |row| stored(row) }
    end

    def removed
      @database[:classes].exclude(deleted_at: nil).reverse(:deleted_at).all.map { |row| stored(row) }
    end

    # @return [Array<(Integer, Integer)>] id and revision, those planned first first, cheaply
    def stamps
      live.order(:id).select_map(%i[id revision])
    end

    # @raise [NotFound] for an unknown or removed class
    def find(id)
      stored(live.first(id: id) || raise(NotFound.new(:class, id)))
    end

    # @return [Array(Integer, String)] revision and title, cheaply @raise [NotFound]
    def stamp(id)
      live.where(id: id).get(%i[revision title]) || raise(NotFound.new(:class, id))
    end

    # @param state [ClassState] its people get keys here @return [Integer] the new class's id
    def create(state)
      @database.transaction(mode: :immediate) do
        id = @database[:classes].insert(columns(state).merge(revision: 0))
        write(id, state.with(attendees: number(id, state.attendees)), 'create')
        id
      end
    end

    # Changes a class as its editor saw it at a revision. Changes made meanwhile elsewhere are kept.
    # @yieldparam state [ClassState] as it was at that revision @yieldreturn [ClassState]
    # @return [Edited]
    # @param take_over [Boolean] whether the editor's change wins where both changed the same place
    # @raise [Conflict] when somebody else changed the same place @raise [NotFound]
    def edit(id, revision, action, take_over: false)
      @database.transaction(mode: :immediate) do
        now = find(id)
        seen = revision == now.revision ? now.state : at(id, revision)
        mine = yield seen
        next Edited.new(id: id, revision: write(id, mine, action), merged: []) if revision == now.revision

        merge = Core::Data::Merge.three_way(seen.to_data, mine.to_data, now.state.to_data, mine_wins: take_over)
        raise Conflict.new(merge.conflicts, now.revision) if merge.conflicts.any?

        Edited.new(id: id, revision: write(id, ClassState.from_data(merge.merged), action), merged: merge.theirs_changed)
      end
    end

    # Attendees for this class, each with a key nobody in it ever had.
    def number(id, attendees)
      first = @database[:classes].where(id: id).get(:next_key)
      @database[:classes].where(id: id).update(next_key: first + attendees.size)
      attendees.each_with_index.map { |attendee, index| attendee.with(key: (first + index).to_s) }
    end

    # @return [Integer, nil] the new revision; nil when there is nothing to go back to
    def undo(id)
      move(id) { |current| revisions(id).where(revision: current[:source]).get(:before) }
    end

    # @return [Integer, nil] the new revision; nil when nothing was undone
    def redo(id)
      move(id) { |current| revisions(id).where(before: current[:source], revision: :source).max(:revision) }
    end

    # @return [Hash] {undo: action or nil, redo: action or nil}
    def reversible(id)
      source = revisions(id).reverse(:revision).get(:source)
      edit = revisions(id).first(revision: source)
      { undo: (edit[:action] if edit && edit[:before]), redo: revisions(id).where(before: source, revision: :source).reverse(:revision).get(:action) }
    end

    def remove(id)
      find(id)
      @database[:classes].where(id: id).update(deleted_at: Time.now.utc)
    end

    def restore(id)
      changed = @database[:classes].where(id: id).exclude(deleted_at: nil).update(deleted_at: nil)
      raise NotFound.new(:class, id) if changed.zero?
    end

    private

    def live
      @database[:classes].where(deleted_at: nil)
    end

    def revisions(id)
      @database[:class_revisions].where(class_id: id)
    end

    def at(id, revision)
      row = revisions(id).first(revision: revision) or raise NotFound.new(:revision, revision)
      ClassState.from_data(JSON.parse(row[:document]))
    end

    def move(id)
      @database.transaction(mode: :immediate) do
        find(id)
        target = yield revisions(id).reverse(:revision).first
        target && write(id, at(id, target), 'undo', source: target)
      end
    end

    def write(id, state, action, source: nil)
      state = state.with(workshop: state.workshop.with(key: "class_#{id}"))
      last = revisions(id).reverse(:revision).first
      revision = (last ? last[:revision] : 0) + 1
      @database[:classes].where(id: id).update(columns(state).merge(revision: revision))
      replace_people(id, state)
      revisions(id).insert(class_id: id, revision: revision, source: source || revision, before: before(id, source, last), action: action,
                           document: JSON.generate(state.to_data), made_at: Time.now.utc)
      revision
    end

    def before(id, source, last)
      source ? revisions(id).where(revision: source).get(:before) : last && last[:source]
    end

    def columns(state)
      workshop = state.workshop
      { title: workshop.title, date: workshop.date, start_minute: workshop.start.minutes, minutes: workshop.minutes, venue: workshop.venue,
        tool_sets: workshop.tool_sets, project_version_id: state.project_version_id, choices: JSON.generate(choices(workshop)) }
    end

    # What a class has beside its columns, as plain data.
    def choices(workshop)
      Core::Data::Records::WORKSHOP.write(workshop).slice(*CHOICES)
    end

    def replace_people(id, state)
      @database[:attendees].where(class_id: id).delete
      @database[:attendees].multi_insert(state.attendees.map { |attendee| person_row(attendee).merge(class_id: id) })
    end

    def person_row(attendee)
      { key: attendee.key.to_i, name: attendee.name, level: attendee.level, mind: attendee.mind, colourway: attendee.colourway,
        brings: JSON.generate(attendee.brings), tails: attendee.tails&.to_s,
        experience: JSON.generate(Core::Data::Records::ATTENDEE.write(attendee).fetch('experience', {})), ease_nm: attendee.ease&.nm }
        .merge(Core::People::Measures::BOUNDS.keys.to_h { |body| [:"#{body}_nm", attendee.measures[body]&.nm] })
    end

    def stored(row)
      people = @database[:attendees].where(class_id: row[:id]).order(:key).all.map { |person| attendee(person) }
      workshop = Core::Data::Records::WORKSHOP.read(
        { 'key' => "class_#{row[:id]}", 'title' => row[:title], 'date' => row[:date].iso8601, 'minutes' => row[:minutes], 'venue' => row[:venue],
          'start' => Core::Measure::ClockTime.new(row[:start_minute]).to_s, 'tool_sets' => row[:tool_sets] }.merge(JSON.parse(row[:choices]))
      )
      Stored.new(id: row[:id], revision: row[:revision],
                 state: ClassState.new(workshop: workshop, project_version_id: row[:project_version_id], attendees: people))
    end

    def attendee(row)
      length = ->(name) { row[name] && Core::Measure::Length.new(row[name]) }
      measures = Core::People::Measures::BOUNDS.keys.to_h { |body| [body, length.(:"#{body}_nm")] }.compact
      Core::People::Attendee.new(key: row[:key].to_s, name: row[:name], level: row[:level], measures: measures, ease: length.(:ease_nm),
                                 mind: row[:mind], colourway: row[:colourway], brings: JSON.parse(row[:brings]), tails: row[:tails]&.to_sym,
                                 experience: Core::Data::Record::READ.fetch(:experience).call(JSON.parse(row[:experience])))
    end
  end
end
