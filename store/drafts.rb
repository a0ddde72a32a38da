# frozen_string_literal: true

module Store
  # Designs being composed. Every change can be undone and redone; saving makes a version of the project.
  class Drafts
    include Transactional

    # One draft.
    #
    # @param state id of the state that stands
    # @param back whether there is a state to go to
    # @param forward see back
    # @param saved whether this state was saved as a project
    # @param at when it was begun
    Stored = Core::Value.define(:id, :design, :state, :position, :back, :forward, :saved, :at)
    MOST_STATES = 300

    R = Core::Data::Records

    # @return [Integer] the new draft's id
    def begin(design)
      write do
        id = @database[:drafts].insert(begun_at: Time.now.utc)
        put(id, 0, design)
        id
      end
    end

    # @raise [NotFound]
    def find(id)
      position = @database[:drafts].where(id: id).get(:position) or raise NotFound.new(:draft, id)
      stored(id, position)
    end

    # @return [Array<Stored>] that are still kept, the newest first
    def all
      @database[:drafts].reverse(:id).select_map(%i[id position]).map { |id, position| stored(id, position) }
    end

    # Changes a draft as its composer saw it. Changes made meanwhile elsewhere are kept.
    # @param seen [Integer, nil] id of the state it was seen in; nil, or one that is gone, takes the one that stands
    # @yieldparam design [Core::Project::Design] @yieldreturn [Core::Project::Design]
    # @return [Stored]
    # @raise [Conflict] when someone else changed the same place meanwhile
    def change(id, seen = nil)
      write do
        now = find(id)
        base = states(id).where(id: seen).get(:document) if seen && seen != now.state
        base &&= R::DESIGN.read(JSON.parse(base))
        design = base ? merged(base, yield(base), now) : yield(now.design)
        next now if design == now.design

        states(id).where { position > now.position }.delete
        put(id, now.position + 1, design)
        states(id).where { position <= now.position - MOST_STATES }.delete
        stored(id, now.position + 1)
      end
    end

    # @param by [Integer] -1 for undo, 1 for redo @return [Stored] as it was when there is no such state
    def step(id, by)
      write do
        now = find(id)
        next now unless by.negative? ? now.back : now.forward

        @database[:drafts].where(id: id).update(position: now.position + by)
        stored(id, now.position + by)
      end
    end

    def discard(id)
      find(id)
      write { @database[:drafts].where(id: id).delete }
    end

    # The state that stands was saved as this version of a project.
    def saved_as(id, version_id)
      write { states(id).where(id: find(id).state).update(saved_as: version_id) }
    end

    private

    def merged(base, mine, now)
      merge = Core::Data::Merge.three_way(*[base, mine, now.design].map { |design| R.branches(design) })
      raise Conflict.new(merge.conflicts, now.state) if merge.conflicts.any?

      R.from_branches(merge.merged)
    end

    def states(id)
      @database[:draft_states].where(draft_id: id)
    end

    def put(id, position, design)
      states(id).insert(draft_id: id, position: position, document: JSON.generate(R::DESIGN.write(design)))
      @database[:drafts].where(id: id).update(position: position)
    end

    def stored(id, position)
      around = states(id).where(position: [position - 1, position + 1]).select_map(:position)
      state = states(id).first(position: position)
      Stored.new(id: id, state: state[:id], position: position, saved: !state[:saved_as].nil?,
        at: @database[:drafts].where(id: id).get(:begun_at), back: around.include?(position - 1), forward: around.include?(position + 1),
        design: R::DESIGN.read(JSON.parse(state[:document])))
    end
  end
end
